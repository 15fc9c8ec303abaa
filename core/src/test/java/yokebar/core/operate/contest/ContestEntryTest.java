package yokebar.core.operate.contest;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import yokebar.core.basics.call.Call;

class ContestEntryTest {
    private static ExchangeField field(String name, ExchangeKind kind, String... allowed) {
        return new ExchangeField(name, kind, Set.of(allowed), kind.width(), List.of(), null);
    }

    private static final ExchangeField REPORT = field("report", ExchangeKind.REPORT);
    private static final List<ExchangeField> ZONE = List.of(REPORT, field("zone", ExchangeKind.CQ_ZONE));
    private static final List<ExchangeField> SQUARE =
            List.of(REPORT, field("serial", ExchangeKind.SERIAL), field("locator", ExchangeKind.LOCATOR));
    private static final List<ExchangeField> ISLAND =
            List.of(REPORT, field("island", ExchangeKind.WORD, "COR", "SMI"), field("serial", ExchangeKind.SERIAL));

    @Test
    void aCallAndAZoneAreEnough() {
        ContestEntry entry = ContestEntry.read("dl1qaa 14", ZONE, "599");
        assertThat(entry.call()).isEqualTo(new Call("DL1QAA"));
        assertThat(entry.received()).isEqualTo(Map.of("report", "599", "zone", "14"));
        assertThat(entry.missing()).isEmpty();
    }

    @Test
    void anUnusualReportStandsInFront() {
        assertThat(ContestEntry.read("dl1qaa 579 14", ZONE, "599").received())
                .isEqualTo(Map.of("report", "579", "zone", "14"));
        assertThat(ContestEntry.read("dl1qaa 5nn 14", ZONE, "599").received())
                .isEqualTo(Map.of("report", "599", "zone", "14"));
    }

    @Test
    void piecesMayComeInAnyOrder() {
        Map<String, String> both = Map.of("report", "59", "serial", "12", "locator", "HM49KQ");
        assertThat(ContestEntry.read("cu2qaa 12 hm49kq", SQUARE, "59").received())
                .isEqualTo(both);
        assertThat(ContestEntry.read("cu2qaa hm49kq 012", SQUARE, "59").received())
                .isEqualTo(both);
        assertThat(ContestEntry.read("cu2qaa 12 smi", ISLAND, "59").received())
                .isEqualTo(Map.of("report", "59", "serial", "12", "island", "SMI"));
    }

    @Test
    void whatComesLaterCorrectsWhatCameBefore() {
        assertThat(ContestEntry.read("cu2qaa 12 hm49kq 13", SQUARE, "59").received())
                .containsEntry("serial", "13");
    }

    @Test
    void whatIsMissingAndWhatFitsNowhereIsTold() {
        ContestEntry entry = ContestEntry.read("cu2qaa xyz", ISLAND, "59");
        assertThat(entry.missing()).extracting(ExchangeField::name).containsExactly("island", "serial");
        assertThat(entry.unread()).containsExactly("XYZ");
    }

    @Test
    void halfACallIsNone() {
        assertThat(ContestEntry.call("dl1")).isNull();
        assertThat(ContestEntry.call("")).isNull();
        assertThat(ContestEntry.call("599 oz/cu9qyb/p 14")).isEqualTo(new Call("OZ/CU9QYB/P"));
    }
}
