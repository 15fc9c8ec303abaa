package yokebar.core.log.cabrillo;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.basics.mode.Modes;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.adif.AdifRecord;

class CabrilloReaderTest {

    private static List<AdifRecord> read(String text) throws Exception {
        CabrilloReader reader = new CabrilloReader(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)));
        List<AdifRecord> records = new ArrayList<>();
        for (AdifRecord record = reader.next(); record != null; record = reader.next()) {
            records.add(record);
        }
        return records;
    }

    @Test
    void aLineBecomesAContact() throws Exception {
        List<AdifRecord> records = read("START-OF-LOG: 3.0\nCONTEST: LANTERN-CW\n"
                + "QSO: 14025 CW 2026-05-01 1407 CU9QYB 599 0012 ZP5QXA 579 0345 0\nEND-OF-LOG:\n");
        assertThat(records).hasSize(1);
        assertThat(records.get(0).fields())
                .isEqualTo(AdifFields.of(
                        "CALL",
                        "ZP5QXA",
                        "MODE",
                        "CW",
                        "QSO_DATE",
                        "20260501",
                        "TIME_ON",
                        "1407",
                        "STATION_CALLSIGN",
                        "CU9QYB",
                        "CONTEST_ID",
                        "LANTERN-CW",
                        "FREQ",
                        "14.025",
                        "RST_SENT",
                        "599",
                        "STX",
                        "0012",
                        "RST_RCVD",
                        "579",
                        "SRX",
                        "0345"));
    }

    @ParameterizedTest(name = "{0}: {1} {2} {3}")
    @CsvSource({
        "14025 CW 2026-05-01 1407 CU9QYB 599 AZ ZP5QXA 599 GG14, FREQ, 14.025, AZ",
        "144 PH 2026-05-01 1407 CU9QYB 59 HM49 OZ1QAB 59 JO65, BAND, 2m, HM49",
        "21200 PH 2026-05-01 1407 CU9QYB 59 8 BRANCA K1QEF 59 5 ED, FREQ, 21.2, 8 BRANCA",
    })
    void exchangesOfAnyLengthAreTakenApart(String line, String where, String value, String sent) throws Exception {
        AdifFields fields = read("QSO: " + line + "\n").get(0).fields();
        assertThat(fields.get(where)).isEqualTo(value);
        assertThat(fields.get("STX_STRING")).isEqualTo(sent);
    }

    @Test
    void someDigitalModeIsDigital() throws Exception {
        AdifFields fields = read("QSO: 14070 DG 2026-05-01 1407 CU9QYB 599 1 ZP5QXA 599 2\n")
                .get(0)
                .fields();
        assertThat(fields.get("MODE")).isEqualTo("DATA");
        Mode data = Modes.read("DATA", null);
        assertThat(data.group()).isEqualTo(ModeGroup.DIGITAL);
        assertThat(data.compatibleWith(Modes.read("RTTY", null))).isTrue();
        assertThat(data.compatibleWith(Modes.read("CW", null))).isFalse();
        assertThat(Modes.read("PSK31", null).moreSpecificThan(data)).isTrue();
        assertThat(data.moreSpecificThan(Modes.read("PSK31", null))).isFalse();
    }

    @Test
    void whatCannotBeTakenSaysWhyAndTheRestGoesOn() throws Exception {
        List<AdifRecord> records = read("QSO: 14025 XY 2026-05-01 1407 CU9QYB 599 1 ZP5QXA 599 2\nQSO: nonsense\n"
                + "QSO: 7012 CW 2026-05-01 1408 CU9QYB 599 2 OZ1QAB 599 3\n");
        assertThat(records.get(0).fault()).contains("mode XY");
        assertThat(records.get(1).fault()).contains("two calls");
        assertThat(records.get(2).fields().get("CALL")).isEqualTo("OZ1QAB");
    }

    @Property(tries = 300)
    void itNeverFallsOver(@ForAll String text) throws Exception {
        assertThat(read("QSO: " + text)).isNotNull();
    }
}
