package yokebar.core.operate.net;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

class NetReportTest {
    private static final Instant START = Instant.parse("2026-11-29T18:00:00Z");

    @Test
    void theReportCanBePastedAsItIs() {
        NetReport.Session session = new NetReport.Session(
                "Island Repeater Roundtable",
                "CU9QYB",
                "145.700 MHz FM, repeater Pico",
                START,
                START.plusSeconds(1860),
                MarkWords.USUAL,
                List.of(
                        new NetReport.Row(
                                "ZP5QXA", "Ana", null, Set.of(CheckInMark.TRAFFIC), null, START.plusSeconds(60), 4),
                        new NetReport.Row("QLZ", null, "CU2QYC", Set.of(), "weak", START.plusSeconds(130), 0)),
                List.of("CU3QYD", "CU7QYE"));
        assertThat(NetReport.of(session).text())
                .isEqualTo(
                        """
                Island Repeater Roundtable, 2026-11-29, 18:00 to 18:31 UTC
                145.700 MHz FM, repeater Pico
                Net control: CU9QYB

                 1. 18:01  ZP5QXA     Ana, traffic
                 2. 18:02  QLZ        relayed by CU2QYC, first time, weak

                2 check-ins, 1 for the first time, 1 with traffic.
                Regulars not heard: CU3QYD, CU7QYE.
                """);
    }

    @Test
    void aSessionThatRunsWithNobodyYetHasAReportToo() {
        NetReport.Session session = new NetReport.Session(
                "Lantern Net", null, "7.085 MHz SSB", START, null, MarkWords.USUAL, List.of(), List.of());
        assertThat(NetReport.of(session).text())
                .startsWith("Lantern Net, 2026-11-29, 18:00 UTC\n7.085 MHz SSB\n\n")
                .endsWith("0 check-ins, 0 for the first time, 0 with traffic.\n");
    }
}
