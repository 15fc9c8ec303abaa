package yokebar.core.operate.contest;

import java.util.List;
import java.util.Map;
import yokebar.core.basics.band.Band;

/**
 * A score in all its parts.
 *
 * @param contacts that count
 * @param dupes that do not count because the station was worked before
 * @param others that do not count for another reason
 * @param points of all contacts that count
 * @param multipliers how many of each there are, by name, in the order of the definition
 * @param bonus points that are added at the end
 * @param score what all this comes to
 * @param byBand the bands of the contest on which there is a contact, in its order
 */
public record Score(
        int contacts,
        int dupes,
        int others,
        long points,
        Map<String, Integer> multipliers,
        long bonus,
        long score,
        List<BandScore> byBand) {

    /**
     * The part of one band.
     *
     * @param multipliers how many values of each multiplier were first worked there, by name
     */
    public record BandScore(Band band, int contacts, int dupes, long points, Map<String, Integer> multipliers) {}
}
