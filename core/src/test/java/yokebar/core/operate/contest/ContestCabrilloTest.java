package yokebar.core.operate.contest;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import yokebar.core.basics.band.Band;
import yokebar.core.log.adif.AdifRecord;
import yokebar.core.log.cabrillo.CabrilloReader;

class ContestCabrilloTest {
    private static final ContestDefinition SUMMIT = Objects.requireNonNull(DefinitionReader.read(
                    Objects.requireNonNull(ShippedDefinitions.texts().get("summit-hours")))
            .definition());

    private static final String TEXT = ContestCabrillo.text(
            SUMMIT,
            List.of(Map.entry("CALLSIGN", "CU9QYB")),
            List.of(
                    new ContestCabrillo.Row(
                            Instant.parse("2027-07-03T14:01:30Z"),
                            Band.M2,
                            144_300_000L,
                            ContestMode.PHONE,
                            false,
                            "CU9QYB",
                            Map.of("report", "59", "serial", "1", "locator", "HM49KQ"),
                            "CU2QAA",
                            Map.of("report", "59", "serial", "7", "locator", "HM77EU")),
                    new ContestCabrillo.Row(
                            Instant.parse("2027-07-03T14:03:00Z"),
                            Band.M20,
                            14_025_000L,
                            ContestMode.CW,
                            false,
                            "CU9QYB",
                            Map.of("report", "599", "serial", "2", "locator", "HM49KQ"),
                            "EA8QAB",
                            Map.of("report", "599", "serial", "3"))));

    @Test
    void aLogIsWrittenAsTheSpecificationSays() {
        assertThat(TEXT)
                .isEqualTo(
                        """
                START-OF-LOG: 3.0
                CONTEST: SUMMIT-HOURS
                CALLSIGN: CU9QYB
                CREATED-BY: Yokebar
                QSO:   144 PH 2027-07-03 1401 CU9QYB        59  1    HM49KQ CU2QAA        59  7    HM77EU
                QSO: 14025 CW 2027-07-03 1403 CU9QYB        599 2    HM49KQ EA8QAB        599 3    -
                END-OF-LOG:
                """);
    }

    @Test
    void whatIsWrittenIsReadBack() throws IOException {
        CabrilloReader reader = new CabrilloReader(new ByteArrayInputStream(TEXT.getBytes(StandardCharsets.UTF_8)));
        AdifRecord first = Objects.requireNonNull(reader.next());
        assertThat(first.fields().get("CALL")).isEqualTo("CU2QAA");
        assertThat(first.fields().get("BAND")).isEqualTo("2m");
        assertThat(first.fields().get("SRX_STRING")).isEqualTo("7 HM77EU");
        AdifRecord second = Objects.requireNonNull(reader.next());
        assertThat(second.fields().get("CALL")).isEqualTo("EA8QAB");
        assertThat(second.fields().get("FREQ")).isEqualTo("14.025");
    }
}
