package yokebar.core.log.index;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SearchTextTest {

    private static Condition only(String text) {
        Search search = SearchText.read(text);
        assertEquals(List.of(), search.problems());
        assertEquals(1, search.conditions().size(), text);
        return search.conditions().get(0);
    }

    @Test
    void wordsAreLookedForAnywhereAndQuotesKeepThemTogether() {
        assertEquals(
                List.of(new Condition.Anywhere("ana"), new Condition.Anywhere("punta del este")),
                SearchText.read("  ana \"punta del este\" ").conditions());
    }

    @Test
    void aBandByItselfIsABandUnlessItIsQuoted() {
        assertEquals(new Condition.Like("BAND", List.of("20m")), only("20M"));
        assertEquals(new Condition.Anywhere("20m"), only("\"20m\""));
    }

    @Test
    void aModeByItselfIsAModeOrAWord() {
        assertTrue(((Condition.Either) only("olivia")).conditions().contains(new Condition.Anywhere("olivia")));
    }

    @Test
    void fieldsGoByTheirUsualNames() {
        assertEquals(new Condition.Like("GRIDSQUARE", List.of("HM49*")), only("locator:HM49*"));
        assertEquals(new Condition.Like("MY_SIG", List.of("a", "b")), only("my_sig:a,b"));
        assertEquals(new Condition.Like("NAME", List.of("a", "b")), only("name:a,,b,"));
        assertEquals(new Condition.Absent("PROP_MODE"), only("via:none"));
        assertEquals(new Condition.Not(new Condition.Like("BAND", List.of("20m"))), only("-band:20m"));
    }

    @Test
    void aFieldWithoutAValueYetIsNoCondition() {
        assertEquals(Search.ALL, SearchText.read("band:"));
        assertEquals(
                List.of(new Condition.Anywhere("ana")),
                SearchText.read("band: ana").conditions());
    }

    @Test
    void ranges() {
        assertEquals(new Condition.Within("CQZ", 14, 16), only("cqz:14..16"));
        assertEquals(new Condition.OnFrequency(14_000_000, 14_070_500), only("freq:14000..14070.5"));
        assertEquals(new Condition.OnFrequency(50_000_000, Long.MAX_VALUE), only("freq:>=50000"));
        Condition.Within more = (Condition.Within) only("power:>5");
        assertTrue(more.least() > 5 && more.least() < 5.001);
    }

    @ParameterizedTest
    @CsvSource({
        "date:2026, 2026-01-01T00:00:00Z, 2027-01-01T00:00:00Z",
        "date:2026-02, 2026-02-01T00:00:00Z, 2026-03-01T00:00:00Z",
        "date:2026-02-28, 2026-02-28T00:00:00Z, 2026-03-01T00:00:00Z",
        "2026-11-23, 2026-11-23T00:00:00Z, 2026-11-24T00:00:00Z",
        "date:2026-11-23T14:07, 2026-11-23T14:07:00Z, 2026-11-23T14:08:00Z",
        "date:2025-12..2026-01-02, 2025-12-01T00:00:00Z, 2026-01-03T00:00:00Z",
    })
    void dates(String text, Instant from, Instant until) {
        assertEquals(new Condition.Started(from.getEpochSecond(), until.getEpochSecond()), only(text));
    }

    @Test
    void openDates() {
        long newYear = Instant.parse("2026-01-01T00:00:00Z").getEpochSecond();
        assertEquals(new Condition.Started(newYear, Long.MAX_VALUE), only("date:>=2026"));
        assertEquals(new Condition.Started(newYear, Long.MAX_VALUE), only("date:2026.."));
        assertEquals(new Condition.Started(Long.MIN_VALUE, newYear), only("date:<2026"));
        assertEquals(new Condition.Started(newYear, Long.MAX_VALUE), only("date:>2025"));
    }

    @ParameterizedTest
    @CsvSource({
        "time:14:07, 847, 848",
        "time:1407z, 847, 848",
        "time:14, 840, 900",
        "time:14..16, 840, 1020",
        "time:22:00..02:30, 1320, 151",
        "time:>=20, 1200, 1440",
        "time:<6, 0, 360",
    })
    void timesOfDay(String text, int from, int until) {
        assertEquals(new Condition.AtTime(from, until), only(text));
    }

    @ParameterizedTest
    @CsvSource({
        "freq:14074, 14074000, 14074999",
        "freq:14.074, 14074000, 14074999",
        "freq:7.1, 7100000, 7199999",
        "freq:7, 7000000, 7999999",
        "freq:472, 472000, 472999",
        "freq:137.5, 137500, 137599",
        "freq:14..14.07, 14000000, 14070000",
        "khz:474.2, 474200, 474299",
        "mhz:432.2, 432200000, 432299999",
        "freq:<7.1, 0, 7099999",
    })
    void frequenciesInKilohertzAndMegahertz(String text, long from, long until) {
        assertEquals(new Condition.OnFrequency(from, until), only(text));
    }

    @ParameterizedTest
    @CsvSource({
        "date:yesterday, yesterday",
        "date:2026-02-30, 2026-02-30",
        "-date:2026-02-30, 2026-02-30",
        "2026-13-01, 2026-13-01",
        "freq:low, low",
        "freq:1.2.3, 1.2.3",
        "date:.., ..",
        "time:25:00, 25:00",
        "-colour:red, colour",
        "nmae:none, nmae",
        "-band:21m, 21m",
        "mode:ccw, ccw",
    })
    void whatCannotBeUnderstoodIsSaidAndFindsNothing(String text, String named) {
        Search search = SearchText.read(text + " ana");
        assertEquals(List.of(Condition.NOTHING, new Condition.Anywhere("ana")), search.conditions());
        assertTrue(
                search.problems().get(0).contains("\"" + named + "\""),
                search.problems().get(0));
    }

    @Test
    void aFieldOfTheLogIsKnown() {
        Search search = SearchText.read("-lamp:red", "LAMP"::equals);
        assertEquals(List.of(), search.problems());
        assertEquals(List.of(new Condition.Not(new Condition.Like("LAMP", List.of("red")))), search.conditions());
    }

    @Property
    void anythingCanBeTyped(@ForAll String text) {
        assertNotNull(SearchText.read(text));
    }
}
