package yokebar.links.sources.followed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static yokebar.links.LinkWatch.await;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yokebar.links.platform.status.LinkState;

class FileFollowerTest {
    private static final String HEADER = "Made up\n<ADIF_VER:5>3.1.4 <EOH>\n";

    @TempDir
    private Path folder;

    private final List<String> taken = Collections.synchronizedList(new ArrayList<>());
    private volatile boolean full;

    private static String record(int number) {
        String call = "ZP" + number / 10 % 10 + "QX" + (char) ('A' + number % 10);
        String comment = "contact number " + number + ", Zoë";
        return "<CALL:6>" + call + " <COMMENT:" + comment.getBytes(StandardCharsets.UTF_8).length + ">" + comment
                + " <EOR>\n";
    }

    private FileFollower follow(Path file, FilePosition from) {
        FileFollower follower = new FileFollower(
                file,
                from,
                Duration.ofMinutes(15),
                Clock.systemUTC(),
                read -> {
                    if (full) {
                        throw new IllegalStateException("no room");
                    }
                    read.records().forEach(entry -> taken.add(entry.raw()));
                },
                status -> {});
        follower.start();
        return follower;
    }

    private void awaitTaken(int distinct) {
        await(distinct + " records", () -> Set.copyOf(List.copyOf(taken)).size() == distinct);
    }

    private static void append(Path file, String text) throws IOException {
        Files.writeString(file, text, StandardOpenOption.CREATE, StandardOpenOption.APPEND);
    }

    @Test
    void readByteByByteEachRecordComesOnceAndWhole() throws Exception {
        Path file = folder.resolve("log.adi");
        byte[] text = (HEADER + record(1) + record(2) + record(3)).getBytes(StandardCharsets.UTF_8);
        Files.createFile(file);
        List<String> records = new ArrayList<>();
        FilePosition position = FilePosition.START;
        for (byte one : text) {
            Files.write(file, new byte[] {one}, StandardOpenOption.APPEND);
            FileRecords read = FileRecords.read(file, position, 100);
            read.records().forEach(entry -> {
                assertThat(entry.record().fault()).isNull();
                records.add(entry.raw());
            });
            assertThat(read.anew()).isFalse();
            position = read.next();
        }
        assertThat(records).hasSize(3);
        assertThat(records.get(1) + "\n").isEqualTo(record(2));
        assertThat(position.offset()).isLessThanOrEqualTo(text.length).isGreaterThan(text.length - 2);
    }

    /** A program that begins a new file each day writes to the old one until then: all within one look. */
    @Test
    void aFileThatIsRenamedAndBegunAnewLosesNothing() throws Exception {
        Path file = folder.resolve("log.adi");
        append(file, HEADER + record(1));
        try (FileFollower follower = follow(file, FilePosition.START)) {
            awaitTaken(1);
            for (int day = 1; day <= 3; day++) {
                append(file, record(10 * day));
                Files.move(file, folder.resolve("log-" + day + ".adi"));
                append(file, HEADER + record(10 * day + 1));
                awaitTaken(1 + 2 * day);
            }
            full = true;
            append(file, record(40));
            Files.move(file, folder.resolve("log-4.adi"));
            await("trouble", () -> follower.status().state() == LinkState.TROUBLE);
            append(file, HEADER + record(41));
            full = false;
            awaitTaken(9);
        }
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void whateverIsDoneToTheFileEveryRecordThatStaysIsRead(long seed) throws Exception {
        Random random = new Random(seed);
        Path file = folder.resolve("log.adi");
        List<String> now = new ArrayList<>();
        Set<String> expected = new LinkedHashSet<>();
        FilePosition position = FilePosition.START;
        int number = 0;
        for (int step = 0; step < 120; step++) {
            switch (random.nextInt(6)) {
                case 0 -> Files.deleteIfExists(file);
                case 1 -> {
                    // Written again with a record less in its middle.
                    if (!now.isEmpty()) {
                        now.remove(random.nextInt(now.size()));
                    }
                    Files.writeString(file, HEADER + String.join("", now));
                }
                case 2 -> {
                    now.add(record(number++));
                    Path fresh = folder.resolve("fresh.adi");
                    Files.writeString(fresh, HEADER + String.join("", now));
                    Files.move(fresh, file, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
                }
                case 3 -> {
                    now.clear();
                    Files.writeString(file, "");
                }
                default -> {
                    now.add(record(number++));
                    Files.writeString(file, HEADER + String.join("", now));
                }
            }
            if (!Files.exists(file)) {
                now.clear();
                continue;
            }
            FileRecords read = FileRecords.read(file, position, 1000);
            Set<String> got = new LinkedHashSet<>();
            read.records().forEach(entry -> got.add(entry.raw() + "\n"));
            Set<String> there = new LinkedHashSet<>(now);
            if (read.anew()) {
                assertThat(got).isEqualTo(there);
            }
            expected.addAll(got);
            assertThat(expected).containsAll(there);
            position = read.next();
        }
    }

    @Test
    void aFileThatComesGoesGrowsAndIsReplacedIsFollowed() throws Exception {
        Path file = folder.resolve("log.adi");
        try (FileFollower follower = follow(file, FilePosition.START)) {
            await("trouble", () -> follower.status().state() == LinkState.TROUBLE);
            assertThat(follower.status().reason()).contains("is not there");
            append(file, HEADER + record(1));
            awaitTaken(1);
            assertThat(follower.status().state()).isEqualTo(LinkState.LIVE);
            append(file, record(2).substring(0, 20));
            append(file, record(2).substring(20));
            awaitTaken(2);
            Files.delete(file);
            await("trouble", () -> follower.status().state() == LinkState.TROUBLE);
            append(file, HEADER + record(3));
            awaitTaken(3);
            Files.move(file, folder.resolve("log.1.adi"));
            append(file, HEADER + record(4));
            awaitTaken(4);
            full = true;
            append(file, record(5));
            await("trouble", () -> "log not written".equals(follower.status().brief()));
            full = false;
            awaitTaken(5);
        }
    }

    @Test
    void itGoesOnWhereItWas() throws Exception {
        Path file = folder.resolve("log.adi");
        append(file, HEADER + record(1) + record(2));
        FilePosition position;
        try (FileFollower follower = follow(file, FilePosition.START)) {
            awaitTaken(2);
            position = follower.position();
        }
        append(file, record(3));
        taken.clear();
        try (FileFollower follower = follow(file, position)) {
            awaitTaken(1);
            assertThat(taken).allMatch(raw -> raw.contains("number 3"));
            assertThat(follower.position().offset()).isGreaterThan(position.offset());
        }
    }

    @Test
    void whatIsNoAdiFileIsToldAsSuch() throws Exception {
        assertThatThrownBy(() -> FileRecords.read(folder, FilePosition.START, 10))
                .isInstanceOf(FileRecords.NotText.class)
                .hasMessageContaining("folder");
        Path binary = Files.write(folder.resolve("binary.adi"), new byte[] {1, 0, 2, 0});
        assertThatThrownBy(() -> FileRecords.read(binary, FilePosition.START, 10))
                .hasMessageContaining("zero bytes");
        Path prose = Files.writeString(folder.resolve("prose.adi"), "Dear diary, nothing was heard.");
        assertThat(FileRecords.read(prose, FilePosition.START, 10).foreign()).isTrue();
    }
}
