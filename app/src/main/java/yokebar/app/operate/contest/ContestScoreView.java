package yokebar.app.operate.contest;

import java.util.List;
import java.util.Map;
import yokebar.core.operate.contest.Score;

/**
 * The score of a contest book.
 *
 * @param contacts that count
 * @param dupes that do not count because the station was worked before
 * @param others of its span that do not count for another reason
 * @param points of all contacts that count
 * @param multipliers how many of each there are, by name
 * @param bonus points that are not multiplied
 * @param score what all this comes to
 * @param byBand the bands on which there is a contact
 */
record ContestScoreView(
        int contacts,
        int dupes,
        int others,
        long points,
        Map<String, Integer> multipliers,
        long bonus,
        long score,
        List<BandScoreView> byBand) {

    /**
     * The part of one band.
     *
     * @param band such as {@code 20m}
     * @param contacts that count
     * @param dupes that do not count because the station was worked before
     * @param points of the contacts that count
     * @param multipliers how many values of each were first worked there, by name
     */
    record BandScoreView(String band, int contacts, int dupes, long points, Map<String, Integer> multipliers) {}

    static ContestScoreView of(Score score) {
        return new ContestScoreView(
                score.contacts(),
                score.dupes(),
                score.others(),
                score.points(),
                score.multipliers(),
                score.bonus(),
                score.score(),
                score.byBand().stream()
                        .map(band -> new BandScoreView(
                                band.band().adifName(),
                                band.contacts(),
                                band.dupes(),
                                band.points(),
                                band.multipliers()))
                        .toList());
    }
}
