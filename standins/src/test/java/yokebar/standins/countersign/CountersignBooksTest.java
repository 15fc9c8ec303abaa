package yokebar.standins.countersign;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import yokebar.standins.adif.AdifText;

class CountersignBooksTest {
    private static final Map<String, String> CONTACT = Map.of(
            "STATION_CALLSIGN",
            "CU9QYB",
            "CALL",
            "ZP5QXA",
            "BAND",
            "20M",
            "MODE",
            "FT8",
            "QSO_DATE",
            "20260501",
            "TIME_ON",
            "140700");

    @TempDir
    private Path folder;

    @Test
    void theBooksOutliveTheProcess() {
        Ledger ledger = new Ledger(folder);
        String key = AdifText.key(CONTACT);
        ledger.save(new Ledger.Batch(
                "CS-1", "k", Instant.EPOCH, List.of(CONTACT), "CU9QYB", Instant.EPOCH, Instant.EPOCH, null));
        ledger.save(new Ledger.Entry(key, CONTACT, 1, null));
        ledger.save(new Ledger.Entry(key, CONTACT, 2, Instant.EPOCH));
        ledger.save(new Ledger.Confirmation(1, Instant.EPOCH, CONTACT));

        Ledger again = new Ledger(folder);
        assertThat(key).isEqualTo("CU9QYB ZP5QXA 20m FT8 20260501 1407");
        assertThat(again.entry(key).orElseThrow().copies()).isEqualTo(2);
        assertThat(again.batchWithKey("k").orElseThrow().number()).isEqualTo("CS-1");
        assertThat(again.confirmed(key)).isTrue();
        assertThat(again.entries()).hasSize(1);
    }

    @Test
    void theAuthorityIsMadeOnceAndKept() throws Exception {
        Authority first = Authority.keptIn(folder);
        assertThat(Authority.keptIn(folder).certificate()).isEqualTo(first.certificate());
    }

    @Test
    void whatIsNotSignedIsNoBatch() throws Exception {
        Authority authority = Authority.keptIn(folder);
        assertThatThrownBy(() -> BatchCheck.open("<CALL:6>ZP5QXA <EOR>".getBytes(StandardCharsets.UTF_8), authority))
                .hasMessageContaining("not a batch signed");
    }

    @Test
    void readsRecordsByTheirLengthsInBytes() {
        byte[] text = "head<EOH><CALL:6>ZP5QXA <NAME:4>Zoë <X:5><EOR> <EOR>".getBytes(StandardCharsets.UTF_8);
        assertThat(AdifText.records(text)).containsExactly(Map.of("CALL", "ZP5QXA", "NAME", "Zoë", "X", "<EOR>"));
    }
}
