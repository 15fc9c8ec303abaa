package yokebar.core.operate.contest;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.station.KnownStations;

/**
 * One piece of what the stations of a contest send each other.
 *
 * @param name by which rules call it, such as {@code zone}
 * @param kind what it looks like and where it is found in a contact that came without an exchange
 * @param allowed the values it can have, in capitals; empty when the kind alone decides
 * @param width characters in a line of the Cabrillo log
 * @param sentBy which stations send it: those that meet all of these; every station when empty
 * @param knownAs ADIF field, or column of the list of stations, that says what a station will likely send; null when none does
 */
public record ExchangeField(
        String name,
        ExchangeKind kind,
        Set<String> allowed,
        int width,
        List<Condition> sentBy,
        @Nullable String knownAs) {

    /** @param sender what is known of the station that sends */
    public boolean isSentBy(Map<Fact, String> sender) {
        return sentBy.stream().allMatch(condition -> condition.holds(sender, sender));
    }

    /** Whether a word, in capitals, can stand in it. */
    public boolean takes(String word) {
        return kind.takes(word) && (allowed.isEmpty() || allowed.contains(word));
    }

    /**
     * What a station will likely send by the lists: what it sent in earlier years of the contest, or else what is known of it. Of
     * reports and serials nothing is known, whatever a list says.
     *
     * @param contest its Cabrillo name
     */
    public Optional<String> known(KnownStations stations, Call call, String contest) {
        if (!kind.isGiven()) {
            return Optional.empty();
        }
        return stations.sent(call.text(), contest, name)
                .filter(this::takes)
                .or(() -> Optional.ofNullable(knownAs)
                        .flatMap(column -> stations.value(call.text(), column))
                        .filter(this::takes))
                .map(kind::tidy);
    }
}
