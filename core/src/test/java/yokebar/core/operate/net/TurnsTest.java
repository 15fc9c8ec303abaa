package yokebar.core.operate.net;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

class TurnsTest {
    private static Turns.Place place(long id, int order, int spoken, int skipped, CheckInMark... marks) {
        return new Turns.Place(id, order, Set.of(marks), spoken, skipped);
    }

    private static List<Long> waiting(int round, Turns.Place... list) {
        return Turns.waiting(List.of(list), round).stream().map(Turns.Place::id).toList();
    }

    @Test
    void thoseWhoLeaveEarlyComeFirstThenTheOrderOfTheList() {
        assertThat(waiting(1, place(1, 2, 0, 0), place(2, 1, 0, 0), place(3, 3, 0, 0, CheckInMark.EARLY)))
                .containsExactly(3L, 2L, 1L);
    }

    @Test
    void listenersAndThoseWhoHaveSpokenHaveNoTurn() {
        assertThat(waiting(2, place(1, 1, 2, 0), place(2, 2, 1, 0), place(3, 3, 0, 0, CheckInMark.LISTENING)))
                .containsExactly(2L);
    }

    @Test
    void whoWasSkippedInThisRoundComesLastAndInTheNextRoundAsBefore() {
        Turns.Place early = place(1, 1, 0, 1, CheckInMark.EARLY);
        assertThat(waiting(1, early, place(2, 2, 0, 0))).containsExactly(2L, 1L);
        assertThat(waiting(2, early, place(2, 2, 1, 0))).containsExactly(1L, 2L);
    }
}
