package yokebar.core.operate.contest.sending;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.Objects;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class NextStepTest {
    @Test
    void whoRunsCallsGivesTheExchangeAsksAndThanks() {
        WayOfWorking run = WayOfWorking.RUN;
        assertThat(NextStep.of(run, false, false, Set.of())).isEqualTo(new NextStep(TextSlot.CALL, false));
        assertThat(NextStep.of(run, true, false, Set.of(TextSlot.CALL)))
                .isEqualTo(new NextStep(TextSlot.EXCHANGE, false));
        assertThat(NextStep.of(run, true, false, Set.of(TextSlot.EXCHANGE)))
                .isEqualTo(new NextStep(TextSlot.AGAIN, false));
        assertThat(NextStep.of(run, true, true, Set.of(TextSlot.EXCHANGE)))
                .isEqualTo(new NextStep(TextSlot.THANKS, true));
    }

    @Test
    void whoSearchesCallsAndAnswersWithTheExchange() {
        WayOfWorking search = WayOfWorking.SEARCH;
        assertThat(NextStep.of(search, false, false, Set.of())).isEqualTo(new NextStep(null, false));
        assertThat(NextStep.of(search, true, false, Set.of())).isEqualTo(new NextStep(TextSlot.CALL, false));
        assertThat(NextStep.of(search, true, false, Set.of(TextSlot.CALL)))
                .isEqualTo(new NextStep(TextSlot.AGAIN, false));
        assertThat(NextStep.of(search, true, true, Set.of(TextSlot.CALL)))
                .isEqualTo(new NextStep(TextSlot.EXCHANGE, true));
    }

    @Property
    void nothingIsLoggedBeforeCallAndExchangeAreKnownAndTheOwnIsSent(
            @ForAll WayOfWorking way, @ForAll boolean hasCall, @ForAll boolean complete, @ForAll Set<TextSlot> sent) {
        NextStep next = NextStep.of(way, hasCall, hasCall && complete, sent);
        if (next.logs()) {
            Set<TextSlot> afterwards = EnumSet.of(TextSlot.CALL, sent.toArray(TextSlot[]::new));
            afterwards.add(Objects.requireNonNull(next.slot()));
            assertThat(hasCall && complete).isTrue();
            assertThat(afterwards).contains(TextSlot.EXCHANGE);
        }
    }
}
