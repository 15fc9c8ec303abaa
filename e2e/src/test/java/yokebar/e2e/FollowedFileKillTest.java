package yokebar.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * A followed file is appended to, written anew, cut, replaced and made again while Yokebar is killed at random points: in the
 * log is each contact that ever stood whole in the file, once.
 */
class FollowedFileKillTest {
    private static final int KILLS = 2;
    private static final int STEPS_BETWEEN = 60;

    @TempDir
    private Path folder;

    private final Random random = new Random(17);
    private final List<String> inFile = new ArrayList<>();
    private int made;

    @Test
    void eachContactOnce() throws Exception {
        Path file = folder.resolve("wavelet.adi");
        Files.writeString(file, "Made up\n<EOH>\n");
        try (YokebarProcess yokebar = new YokebarProcess(folder.resolve("yokebar")).start()) {
            yokebar.post("api/intake-sources/files", "{\"path\":\"" + file + "\"}");
            for (int kill = 0; kill < KILLS; kill++) {
                int killAt = random.nextInt(STEPS_BETWEEN);
                for (int step = 0; step < STEPS_BETWEEN; step++) {
                    if (step == killAt) {
                        yokebar.kill();
                    }
                    step(file);
                    Thread.sleep(random.nextInt(25));
                }
                yokebar.start();
                awaitRead(yokebar);
            }
            List<String> calls = yokebar.text("api/contacts.adi")
                    .lines()
                    .filter(line -> line.startsWith("<CALL:"))
                    .map(line -> line.substring(8, 14))
                    .sorted()
                    .toList();
            assertThat(calls).doesNotHaveDuplicates().hasSize(made);
            // Nothing came a second time: each record was dealt with in one transaction with how far the file was read.
            assertThat(yokebar.get("api/journal?decision=DUPLICATE&limit=10")).isEmpty();
        }
    }

    /** Everything that stands in the file is read before it may be taken out of it. */
    private void awaitRead(YokebarProcess yokebar) throws Exception {
        Until.itIs(
                made + " contacts",
                () -> yokebar.get("api/contacts?limit=1").path("total").asInt() >= made);
    }

    private void step(Path file) throws IOException {
        switch (random.nextInt(5)) {
            case 0 -> {
                inFile.add(record());
                Path fresh = folder.resolve("fresh.adi");
                Files.writeString(fresh, whole());
                Files.move(fresh, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
            }
            case 1 -> {
                inFile.add(record());
                Files.writeString(file, whole());
            }
            case 2 -> {
                Files.delete(file);
                Files.writeString(file, whole());
            }
            default -> {
                String record = record();
                inFile.add(record);
                int cut = random.nextInt(record.length());
                Files.writeString(file, record.substring(0, cut), StandardOpenOption.APPEND);
                Files.writeString(file, record.substring(cut), StandardOpenOption.APPEND);
            }
        }
    }

    private String whole() {
        return "Made up\n<EOH>\n" + String.join("", inFile);
    }

    private String record() {
        int i = made++;
        String call = "ZP" + i % 10 + "Q" + (char) ('A' + i / 10 % 26) + (char) ('A' + i / 260);
        return "<CALL:6>" + call + " <QSO_DATE:8>20260501 <TIME_ON:6>140700 <BAND:3>20m <MODE:2>CW"
                + " <STATION_CALLSIGN:6>CU9QYB <EOR>\n";
    }
}
