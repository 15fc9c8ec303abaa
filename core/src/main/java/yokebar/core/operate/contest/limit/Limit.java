package yokebar.core.operate.contest.limit;

import java.time.Duration;
import java.util.Map;
import java.util.Set;

/** A rule by which a contact does not count because of those made before it. */
public sealed interface Limit {

    /** In which categories it holds, as the choices by the category's name; empty for everybody. */
    Map<String, Set<String>> when();

    /**
     * So much time may be spent.
     *
     * @param most time between contacts, but for breaks, from 1 h to 96 h
     * @param breaks a time without contacts that is at least so long was not spent, from 1 min
     */
    record OperatingTime(Duration most, Duration breaks, Map<String, Set<String>> when) implements Limit {}

    /**
     * So many band changes are allowed in each hour by the clock; after one too many nothing counts until the hour is over.
     *
     * @param most in an hour, from 1
     */
    record BandChanges(int most, Map<String, Set<String>> when) implements Limit {}

    /**
     * Nobody stays on one frequency: after so many contacts the next one is made elsewhere.
     *
     * @param contacts that may follow each other in one place, from 1
     * @param hz less than this from the first of them is the same place
     */
    record Moving(int contacts, long hz, Map<String, Set<String>> when) implements Limit {}
}
