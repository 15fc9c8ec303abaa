package yokebar.app.log.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import yokebar.core.basics.entity.Entities;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.ContactAdif;
import yokebar.core.log.contact.Reading;
import yokebar.core.log.index.Entry;
import yokebar.core.log.index.LogIndex;
import yokebar.core.log.index.Order;
import yokebar.core.log.index.SearchText;

/** The index kept beside the log: it is either as it was written, or not used at all. */
class IndexKeepingTest {
    private static final LocalDate EDITION = LocalDate.parse("2026-05-01");

    @TempDir
    private Path home;

    private static LogIndex index() {
        LogIndex index = new LogIndex();
        for (String call : List.of("ZP5QXA", "OZ1QAB", "K1QAB")) {
            AdifFields fields = AdifFields.of(
                    "CALL", call, "QSO_DATE", "20260501", "TIME_ON", "140700", "BAND", "20m", "MODE", "CW");
            Reading.Readable read =
                    (Reading.Readable) ContactAdif.read(fields.with("STATION_CALLSIGN", "CU9QYB"), null);
            index.add(List.of(Entry.of(index.size() + 1, read.contact(), Entities.shipped())));
        }
        return index;
    }

    @Test
    void isReadAsItWasKeptAndSpoiltByWhatHappensAfterwards() {
        IndexKeeping keeping = new IndexKeeping(home);
        assertThat(keeping.read()).isEmpty();
        keeping.spoil();
        keeping.write(index(), 17, EDITION, true);
        IndexKeeping.Kept kept = keeping.read().orElseThrow();
        assertThat(kept.lastChange()).isEqualTo(17);
        assertThat(kept.edition()).isEqualTo(EDITION);
        assertThat(kept.clean()).isTrue();
        assertThat(kept.index()
                        .search(SearchText.read("ZP5QXA"), Order.NEWEST_FIRST)
                        .ids())
                .containsExactly(1L);
        keeping.spoil();
        assertThat(keeping.read().orElseThrow().clean()).isFalse();
        assertThat(keeping.read().orElseThrow().index().size()).isEqualTo(3);
    }

    @Test
    void aDamagedOneIsNotUsed() throws Exception {
        IndexKeeping keeping = new IndexKeeping(home);
        keeping.write(index(), 17, EDITION, true);
        Path file = home.resolve("search-index");
        byte[] whole = Files.readAllBytes(file);
        int head = Integer.BYTES + 1;
        Random random = new Random(5);
        for (int i = 0; i < 300; i++) {
            byte[] damaged = whole.clone();
            damaged[head + random.nextInt(whole.length - head)] ^= (byte) (1 << random.nextInt(8));
            Files.write(file, damaged);
            assertThat(keeping.read()).isEmpty();
        }
        for (int length : new int[] {0, 3, head, head + 1, whole.length - 1}) {
            Files.write(file, Arrays.copyOf(whole, length));
            assertThat(keeping.read()).isEmpty();
        }
        Files.write(file, whole);
        assertThat(keeping.read()).isPresent();
    }

    @Test
    void whereItCannotBeKeptTheLogIsReadNextTime() throws Exception {
        Files.createDirectory(home.resolve("search-index.new"));
        IndexKeeping keeping = new IndexKeeping(home);
        keeping.write(index(), 17, EDITION, true);
        assertThat(keeping.read()).isEmpty();
    }
}
