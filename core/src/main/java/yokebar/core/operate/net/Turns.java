package yokebar.core.operate.net;

import java.util.Comparator;
import java.util.List;
import java.util.Set;

/** Whose turn it is in a round: those who leave early first, then in order of check-in, those who were skipped last. */
public final class Turns {
    private Turns() {}

    /**
     * A station on the list.
     *
     * @param id whatever the caller knows it by
     * @param order its place on the list, from 1
     * @param spokenRound the last round in which it had its turn; 0 for none
     * @param skippedRound the last round in which it was passed over; 0 for none
     */
    public record Place(long id, int order, Set<CheckInMark> marks, int spokenRound, int skippedRound) {}

    /**
     * Those who still have a turn in a round, the next one first.
     *
     * @param round from 1
     */
    public static List<Place> waiting(List<Place> list, int round) {
        return list.stream()
                .filter(place -> !place.marks().contains(CheckInMark.LISTENING) && place.spokenRound() < round)
                .sorted(Comparator.comparing((Place place) -> place.skippedRound() == round)
                        .thenComparing(place -> !place.marks().contains(CheckInMark.EARLY))
                        .thenComparing(Place::order))
                .toList();
    }
}
