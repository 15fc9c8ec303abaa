package yokebar.core.basics.station;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import yokebar.core.basics.call.CallList;

/** All lists of stations together. Does not change; safe for several threads. */
public final class KnownStations {
    public static final KnownStations NONE = new KnownStations(List.of());

    private final List<StationList> lists;
    private final Set<String> calls = new HashSet<>();
    private final CallList byPart = new CallList();

    /** @param lists where two say different things the first counts */
    public KnownStations(List<StationList> lists) {
        this.lists = List.copyOf(lists);
        lists.forEach(list -> calls.addAll(list.calls()));
        calls.forEach(byPart::add);
        // Searched once now: the text in which parts are found is made with the first search.
        byPart.with("A", 1);
    }

    /** Whether a call stands in one of the lists. */
    public boolean knows(String call) {
        return calls.contains(call);
    }

    /** How many stations are known. */
    public int size() {
        return calls.size();
    }

    /** Calls that hold a part anywhere, at most as many as asked for; those that end with it before the others. */
    public List<String> callsWith(String part, int max) {
        return byPart.with(part, max);
    }

    /** What a station is known to send in every contest, in capitals; the column, such as {@code NAME}, in any case. */
    public Optional<String> value(String call, String column) {
        return lists.stream().flatMap(list -> list.value(call, column).stream()).findFirst();
    }

    /** What a station sent in earlier years of a contest, by its Cabrillo name and the name of the field; in capitals. */
    public Optional<String> sent(String call, String contest, String field) {
        return lists.stream()
                .flatMap(list -> list.sent(call, contest, field).stream())
                .findFirst();
    }
}
