package yokebar.core.basics.station;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StationListTest {
    private static final String LIST =
            """
            # Made for this test.
            edition | 2026-11-20
            IK2QAB
            fields | NAME | GRIDSQUARE | AGE
            DL4QOW | Jens | JO62QN | 57
            K4QOX  | Ruth |        |
            F5QNA  |      |        | 31
            contest | Lamplighter-Day | zone
            DL4QOW | 14
            contest | GENERATIONS | age
            DL4QOW | 58
            """;
    private static final StationList READ = StationList.read(LIST);

    @Test
    void everyStationIsKnownWithWhatItSends() {
        assertThat(READ.edition()).isEqualTo(LocalDate.parse("2026-11-20"));
        assertThat(READ.calls()).isEqualTo(Set.of("IK2QAB", "DL4QOW", "K4QOX", "F5QNA"));
        assertThat(READ.value("DL4QOW", "name")).contains("JENS");
        assertThat(READ.value("DL4QOW", "AGE")).contains("57");
        assertThat(READ.value("K4QOX", "GRIDSQUARE")).isEmpty();
        assertThat(READ.value("K4QOX", "CLUB")).isEmpty();
        assertThat(READ.value("IK2QAB", "NAME")).isEmpty();
    }

    @Test
    void whatWasSentInOneContestSaysNothingAboutOthers() {
        assertThat(READ.sent("DL4QOW", "LAMPLIGHTER-DAY", "zone")).contains("14");
        assertThat(READ.sent("DL4QOW", "generations", "age")).contains("58");
        assertThat(READ.sent("K4QOX", "GENERATIONS", "age")).isEmpty();
        assertThat(READ.sent("DL4QOW", "HOPSCOTCH-SPRINT", "age")).isEmpty();
    }

    @Test
    void ofAStationThatStandsThereTwiceTheLaterLineCounts() {
        StationList list = StationList.read(
                "edition | 2026-11-20\nfields | NAME\nDL4QOW | Jens\nDL4QOW | Uwe\nfields | NAME\nK4QOX | Ruth");
        assertThat(list.size()).isEqualTo(2);
        assertThat(list.value("DL4QOW", "NAME")).contains("UWE");
        assertThat(list.value("K4QOX", "NAME")).contains("RUTH");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "<html>; Line 2: a line begins with a call",
                "DL4QOW | Jens; Line 2: it has 1 values, and the heading above names 0",
                "edition | yesterday; Line 2: an edition is a day such as 2026-11-20",
                "contest; Line 2: the contest's Cabrillo name is missing",
                "contest | | zone; Line 2: the contest's Cabrillo name is missing",
            })
    void aWrongLineIsNamed(String line, String sentence) {
        assertThatThrownBy(() -> StationList.read("edition | 2026-11-20\n" + line))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageStartingWith(sentence)
                .hasMessageContaining(line.substring(0, Math.min(7, line.length())));
    }

    @Test
    void whatIsTooLongIsNamedByItsBeginning() {
        String page = "<p>" + "x".repeat(5_000_000);
        assertThatThrownBy(() -> StationList.read(page)).message().hasSizeLessThan(300);
        assertThatThrownBy(() -> StationList.read("fields | NAME\nDL4QOW | " + "J".repeat(41)))
                .hasMessageStartingWith("Line 2: a value has at most 40 characters");
        assertThatThrownBy(() -> StationList.read("fields" + " | A".repeat(21)))
                .hasMessageStartingWith("Line 1: a heading has at most 20 columns");
        assertThatThrownBy(() -> StationList.read("DL4QOW\n".repeat(StationList.MAX_STATIONS + 1)))
                .hasMessageContaining("at most 250000 lines");
    }

    @Test
    void columnsDoNotChangeOnTheWay() {
        assertThatThrownBy(() -> StationList.read("fields | NAME\nDL4QOW | Jens\nfields | AGE\nK4QOX | 40"))
                .hasMessageStartingWith("Line 3: a heading with other columns for the same stands above");
    }

    @Test
    void aListSaysHowOldItIs() {
        assertThatThrownBy(() -> StationList.read("DL4QOW")).hasMessageContaining("edition | 2026-11-20");
    }

    @Property(tries = 300)
    void anythingIsReadOrRefusedWithASentence(@ForAll String text) {
        try {
            StationList.read("edition | 2026-11-20\n" + text);
        } catch (IllegalArgumentException e) {
            assertThat(e.getMessage()).endsWith(".").doesNotContain("Exception");
        }
    }

    @Test
    void severalListsAnswerAsOne() {
        StationList own = StationList.read("edition | 2026-11-30\nfields | NAME\nDL4QOW | Hans\nOH2QAV | Aino");
        KnownStations known = new KnownStations(List.of(own, READ));
        assertThat(known.size()).isEqualTo(5);
        assertThat(known.knows("OH2QAV")).isTrue();
        assertThat(known.knows("OH2QAW")).isFalse();
        assertThat(known.callsWith("QO", 9)).containsExactlyInAnyOrder("DL4QOW", "K4QOX");
        assertThat(known.value("DL4QOW", "NAME")).contains("HANS");
        assertThat(known.value("DL4QOW", "AGE")).contains("57");
        assertThat(known.sent("DL4QOW", "LAMPLIGHTER-DAY", "zone")).contains("14");
        assertThat(KnownStations.NONE.callsWith("Q", 9)).isEmpty();
    }
}
