package yokebar.core.operate.line;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yokebar.core.basics.channel.Channels;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.Modes;
import yokebar.core.log.adif.AdifFields;

class DraftTest {
    private static final Instant NOW = Instant.parse("2026-11-23T14:08:02Z");
    private static final Instant FIRST = Instant.parse("2026-11-23T14:07:31Z");

    private static final Channels CHANNELS = Channels.read("145.700 repeater Pico\n435.100-435.200 satellite LAMP-1");

    private static Draft draft(String text) {
        return draft(text, 14_025_000L, new Mode("CW", null));
    }

    private static Draft draft(String text, Long radioHz, Mode radioMode) {
        return draft(text, radioHz, radioMode, null);
    }

    private static Draft draft(String text, Long radioHz, Mode radioMode, Integer radioWatts) {
        return Draft.of(
                LineText.read(text),
                new Circumstances(
                        NOW, FIRST, radioHz, radioMode, radioWatts, CHANNELS, AdifFields.of("TX_PWR", "100")));
    }

    private static List<String> problemFields(Draft draft) {
        return draft.problems().stream().map(Draft.Problem::field).toList();
    }

    @Test
    void aLiveContactTakesTheTimesAndTheRadio() {
        Draft draft = draft("zp5qxa 579 599 ana gg14");
        assertEquals(List.of(), draft.problems());
        assertFalse(draft.late());
        AdifFields record = draft.fields();
        assertEquals("ZP5QXA", record.get("CALL"));
        assertEquals("20261123", record.get("QSO_DATE"));
        assertEquals("140731", record.get("TIME_ON"));
        assertEquals("140802", record.get("TIME_OFF"));
        assertEquals("14.025", record.get("FREQ"));
        assertEquals("20m", record.get("BAND"));
        assertEquals("CW", record.get("MODE"));
        assertEquals("579", record.get("RST_SENT"));
        assertEquals("100", record.get("TX_PWR"));
    }

    @ParameterizedTest
    @CsvSource({
        "zp5qxa, 25",
        "zp5qxa 5w, 5",
        "zp5qxa 14:00, 25",
        "zp5qxa 20m, 25",
        "zp5qxa 40m, 100",
        "zp5qxa 2026-11-20 12:00 20m, 100"
    })
    void powerIsTheRadiosOnItsBandUnlessTypedOrMadeEarlier(String text, String watts) {
        Draft draft = draft(text, 14_025_000L, new Mode("CW", null), 25);
        assertEquals(watts, draft.fields().get("TX_PWR"));
    }

    @ParameterizedTest
    @CsvSource({"CW,599", "SSB,59", "FM,59", "RTTY,599", "PSK31,599", "FT8,", "FT4,", "JT65,"})
    void reportsWhenNobodySaysAnother(String mode, String report) {
        AdifFields record = draft("zp5qxa", 14_025_000L, Modes.read(mode, null)).fields();
        assertEquals(report, record.get("RST_SENT"));
        assertEquals(report, record.get("RST_RCVD"));
    }

    @Test
    void whatIsTypedWinsOverWhatSticksAndOverTheRadio() {
        AdifFields record = draft("zp5qxa 7012.5 rtty 5w").fields();
        assertEquals("7.0125", record.get("FREQ"));
        assertEquals("40m", record.get("BAND"));
        assertEquals("RTTY", record.get("MODE"));
        assertEquals("5", record.get("TX_PWR"));
    }

    @Test
    void aBandTypedOtherThanTheRadiosLeavesTheFrequencyOut() {
        Draft draft = draft("zp5qxa 40m");
        assertEquals(List.of(), draft.problems());
        assertEquals("40m", draft.fields().get("BAND"));
        assertNull(draft.fields().get("FREQ"));
    }

    @Test
    void anOldContactTakesNothingFromTheRadio() {
        Draft draft = draft("zp5qxa 2026-11-20 14:07-14:12 20m ssb");
        assertEquals(List.of(), draft.problems());
        assertTrue(draft.late());
        assertEquals("20261120", draft.fields().get("QSO_DATE"));
        assertEquals("1407", draft.fields().get("TIME_ON"));
        assertEquals("1412", draft.fields().get("TIME_OFF"));
        assertNull(draft.fields().get("FREQ"));
        assertEquals(List.of("MODE", "FREQ"), problemFields(draft("zp5qxa 2026-11-20 14:07")));
    }

    @Test
    void aTimeStillToComeTodayWasYesterday() {
        assertEquals("20261122", draft("zp5qxa 23:55 20m cw").fields().get("QSO_DATE"));
        assertEquals("20261123", draft("zp5qxa 14:01").fields().get("QSO_DATE"));
        assertFalse(draft("zp5qxa 14:01").late(), "seven minutes ago the radio was where it is");
    }

    @Test
    void anEndBehindMidnightIsTheNextDay() {
        assertEquals(
                "20261121",
                draft("zp5qxa 2026-11-20 23:58-00:04 20m cw").fields().get("QSO_DATE_OFF"));
    }

    @Test
    void aKnownChannelTellsWhatCarriedTheSignal() {
        Draft byRepeater = draft("zp5qxa", 145_700_000L, new Mode("FM", null));
        assertEquals("RPT", byRepeater.fields().get("PROP_MODE"));
        assertNull(byRepeater.fields().get("SAT_NAME"));
        Draft bySatellite = draft("zp5qxa 435.150 fm");
        assertEquals("SAT", bySatellite.fields().get("PROP_MODE"));
        assertEquals("LAMP-1", bySatellite.fields().get("SAT_NAME"));
        Draft direct = draft("zp5qxa 145.700 fm via:los");
        assertEquals("LOS", direct.fields().get("PROP_MODE"));
        assertNull(draft("zp5qxa 14250 ssb").fields().get("PROP_MODE"));
    }

    @Test
    void saysWhatIsMissingAtItsField() {
        assertEquals(List.of("CALL"), problemFields(draft("")));
        assertEquals(List.of("CALL"), problemFields(draft("zp")));
        assertEquals(List.of("QSO_DATE"), problemFields(draft("zp5qxa 2027-01-01 10:00 20m cw")));
        assertEquals(List.of("TIME_ON"), problemFields(draft("zp5qxa 2026-01-01 20m cw")));
        assertEquals(List.of("MODE", "FREQ"), problemFields(draft("zp5qxa", null, null)));
        assertEquals(List.of("FREQ"), problemFields(draft("zp5qxa", 13_900_000L, new Mode("CW", null))));
        assertEquals(List.of("FREQ"), problemFields(draft("zp5qxa 14250 40m")));
        assertEquals(List.of("CALL"), problemFields(draft("zp5!x")));
    }
}
