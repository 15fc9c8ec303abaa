package yokebar.core.operate.line;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.ContactAdif;
import yokebar.core.log.contact.Reading;

class DupeRuleTest {
    /** A contact on 20 m in CW at 23:50 on the 23rd. */
    private static final Contact EARLIER = ((Reading.Readable) ContactAdif.read(
                    AdifFields.of(
                            "CALL",
                            "ZP5QXA",
                            "BAND",
                            "20m",
                            "MODE",
                            "CW",
                            "QSO_DATE",
                            "20261123",
                            "TIME_ON",
                            "2350",
                            "STATION_CALLSIGN",
                            "CU9QYB"),
                    null))
            .contact();

    @ParameterizedTest(name = "band {0}, mode {1}, day {2}: {3} {4} {5}")
    @CsvSource({
        "true, true, true, M20, CW, 2026-11-23T00:00:00Z, true",
        "true, true, true, M40, CW, 2026-11-23T23:55:00Z, false",
        "true, true, true, M20, PHONE, 2026-11-23T23:55:00Z, false",
        "true, true, true, M20, CW, 2026-11-24T00:10:00Z, false",
        "false, true, true, M40, CW, 2026-11-23T23:55:00Z, true",
        "true, false, true, M20, PHONE, 2026-11-23T23:55:00Z, true",
        "true, true, false, M20, CW, 2026-11-24T00:10:00Z, true",
    })
    void aDupeIsWhatTheRuleSays(
            boolean eachBand,
            boolean eachMode,
            boolean eachDay,
            Band band,
            ModeGroup group,
            Instant time,
            boolean dupe) {
        DupeRule rule = new DupeRule(eachBand, eachMode, eachDay);
        assertThat(rule.last(List.of(EARLIER), band, group, time).isPresent()).isEqualTo(dupe);
        assertThat(rule.last(List.of(), band, group, time)).isEmpty();
    }
}
