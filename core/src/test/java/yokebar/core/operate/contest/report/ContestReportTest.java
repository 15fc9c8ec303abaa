package yokebar.core.operate.contest.report;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import yokebar.core.basics.band.Band;
import yokebar.core.operate.contest.Score;

class ContestReportTest {
    private static ContestReport report(Map<Band, List<String>> calls) {
        Score score = new Score(
                12,
                1,
                0,
                30,
                Map.of("zones", 7),
                50,
                260,
                List.of(
                        new Score.BandScore(Band.M40, 5, 1, 10, Map.of("zones", 3)),
                        new Score.BandScore(Band.M20, 7, 0, 20, Map.of("zones", 4))));
        Map<String, List<Band>> zones = new LinkedHashMap<>();
        zones.put("4", List.of(Band.M40));
        zones.put("14", List.of(Band.M40, Band.M20));
        return ContestReport.of(new ContestReport.Contents(
                "Harbour Hours",
                "CU9QYB",
                "2026-11-28 00:00 to 24:00",
                Map.of("power", "LOW"),
                score,
                Map.of("zones", zones),
                calls));
    }

    @Test
    void itHasScoreMultipliersAndTheDupeSheet() {
        assertThat(report(Map.of(Band.M40, List.of("W1QAB", "DL1QAA", "W1QAB"))).text())
                .isEqualTo(
                        """
                        Harbour Hours
                        Call: CU9QYB
                        Time: 2026-11-28 00:00 to 24:00
                        Category, power: LOW

                        Score
                          Band        Contacts       Dupes      Points       zones
                          40m                5           1          10           3
                          20m                7           0          20           4
                          All               12           1          30           7
                          Bonus: 50
                          Score: 260

                        Multiplier: zones (7)
                          4   40m
                          14  40m 20m

                        Worked on 40m (2)
                          DL1QAA  W1QAB
                        """);
    }

    @Property(tries = 100)
    void everyCallStandsOnceOnTheDupeSheetInItsOrder(@ForAll @IntRange(min = 1, max = 300) int number) {
        List<String> calls = IntStream.range(0, number)
                .mapToObj(i -> "W" + i % 10 + "Q" + (char) ('A' + i / 26 % 26) + (char) ('A' + i % 26))
                .toList();
        List<String> lines = report(Map.of(Band.M40, calls)).sections().stream()
                .filter(section -> section.title().startsWith("Worked on"))
                .flatMap(section -> section.lines().stream())
                .toList();
        List<String> written = lines.stream()
                .flatMap(line -> List.of(line.split(" +")).stream())
                .toList();
        assertThat(written).doesNotHaveDuplicates().containsExactlyInAnyOrderElementsOf(Set.copyOf(calls));
        assertThat(lines).allSatisfy(line -> assertThat(line.length()).isLessThanOrEqualTo(84));
        assertThat(lines.stream().map(line -> line.split(" +")[0])).isSorted();
    }
}
