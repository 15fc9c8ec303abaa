package yokebar.links.sources.followed;

import static org.assertj.core.api.Assertions.assertThat;
import static yokebar.links.LinkWatch.await;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileTime;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import yokebar.links.fake.MovingClock;
import yokebar.links.platform.status.LinkState;

class FolderFollowerTest {
    @TempDir
    private Path temporary;

    private Path folder;
    private final List<String> taken = new CopyOnWriteArrayList<>();
    private final List<String> gone = new CopyOnWriteArrayList<>();
    private final List<Integer> batches = new CopyOnWriteArrayList<>();
    private volatile boolean full;
    private FolderFollower follower;

    @BeforeEach
    void makeFolder() throws Exception {
        folder = Files.createDirectory(temporary.resolve("received"));
    }

    @AfterEach
    void end() {
        if (follower != null) {
            follower.close();
        }
    }

    private void follow(Map<Path, FoundFile> given) {
        follow(given, Clock.systemUTC());
    }

    private void follow(Map<Path, FoundFile> given, Clock clock) {
        follower = new FolderFollower(
                folder,
                path -> path.toString().endsWith(".png"),
                given,
                clock,
                new FolderFollower.Receiver() {
                    @Override
                    public void take(List<FoundFile> files) {
                        if (full) {
                            throw new IllegalStateException("no room");
                        }
                        batches.add(files.size());
                        files.forEach(file -> taken.add(
                                file.path().getFileName() + " " + file.size() + (file.link() ? " link" : "")));
                    }

                    @Override
                    public void gone(Path file) {
                        gone.add(String.valueOf(file.getFileName()));
                    }
                },
                status -> {});
        follower.start();
    }

    /** Writes more into a file, which is old by its time, so that the next look takes it. */
    private Path write(String name, int bytes) throws IOException {
        Path file = folder.resolve(name);
        Files.createDirectories(file.getParent());
        Files.write(file, new byte[bytes], StandardOpenOption.CREATE, StandardOpenOption.APPEND);
        return Files.setLastModifiedTime(file, FileTime.from(Instant.now().minusSeconds(3600)));
    }

    @Test
    void givesOldAndNewFilesOfAllSubfoldersOnce() throws Exception {
        write("2026-11-29/old.png", 5);
        write("notes.txt", 5);
        follow(Map.of());
        await("the old one", () -> taken.equals(List.of("old.png 5")));
        write("2026-11-30/new.png", 7);
        await("the new one", () -> taken.equals(List.of("old.png 5", "new.png 7")));
        assertThat(follower.status().state()).isEqualTo(LinkState.LIVE);
    }

    /** Puts in a file that is old already, so that the next look takes it: by then the others were looked at, too. */
    private void awaitLook(String marker) throws IOException {
        write(marker, 1);
        await("a look", () -> taken.contains(marker + " 1"));
    }

    @Test
    void waitsForAFileThatIsStillBeingWritten() throws Exception {
        MovingClock clock = new MovingClock(Instant.now().plusSeconds(1));
        follow(Map.of(), clock);
        for (int piece = 1; piece <= 3; piece++) {
            Path slow = write("slow.png", 10);
            Files.setLastModifiedTime(slow, FileTime.from(clock.instant()));
            awaitLook("marker" + piece + ".png");
            assertThat(taken).noneMatch(one -> one.startsWith("slow"));
            clock.pass(Duration.ofMillis(1400));
        }
        awaitLook("marker4.png");
        assertThat(taken).noneMatch(one -> one.startsWith("slow"));
        clock.pass(Duration.ofMillis(200));
        await("the whole file", () -> taken.contains("slow.png 30"));
    }

    @Test
    void givesManyFilesTogetherAndLargeOnesAlone() throws Exception {
        for (int i = 0; i < 30; i++) {
            write("small" + i + ".png", 1);
        }
        write("z-large1.png", 15_000_000);
        write("z-large2.png", 15_000_000);
        follow(Map.of());
        await("all", () -> taken.size() == 32);
        assertThat(batches).allMatch(size -> size <= 25).hasSizeBetween(3, 4);
    }

    @Test
    void givesAFileAgainThatWasReplacedAndSaysWhichAreGone() throws Exception {
        write("a.png", 5);
        follow(Map.of());
        await("the file", () -> taken.equals(List.of("a.png 5")));
        write("a.png", 4);
        await("the file again", () -> taken.equals(List.of("a.png 5", "a.png 9")));
        Files.delete(folder.resolve("a.png"));
        await("gone", () -> gone.equals(List.of("a.png")));
    }

    @Test
    void givesNothingThatWasGivenBefore() throws Exception {
        Path known = write("known.png", 5);
        Instant modified = Files.getLastModifiedTime(known).toInstant().truncatedTo(ChronoUnit.MILLIS);
        write("unknown.png", 5);
        follow(Map.of(known, new FoundFile(known, 5, modified, false)));
        await("the unknown one", () -> taken.equals(List.of("unknown.png 5")));
    }

    @Test
    void doesNotFollowLinksButNamesThem() throws Exception {
        Path elsewhere = Files.createDirectory(temporary.resolve("elsewhere"));
        Files.write(elsewhere.resolve("private.png"), new byte[9]);
        Files.createSymbolicLink(folder.resolve("link.png"), elsewhere.resolve("private.png"));
        Files.createSymbolicLink(folder.resolve("round"), folder);
        write("real.png", 3);
        follow(Map.of());
        await("both", () -> taken.size() == 2);
        assertThat(taken).contains("real.png 3").anyMatch(one -> one.startsWith("link.png") && one.endsWith(" link"));
    }

    @Test
    void waitsForAFolderThatIsAwayAndGoesOn() throws Exception {
        Files.delete(folder);
        follow(Map.of());
        await("the trouble", () -> follower.status().state() == LinkState.TROUBLE);
        assertThat(follower.status().reason()).isEqualTo(folder + " is not there.");
        write("a.png", 3);
        await("the file", () -> taken.equals(List.of("a.png 3")));
        await("live again", () -> follower.status().state() == LinkState.LIVE);
    }

    @Test
    void givesAFileAgainThatCouldNotBeStored() throws Exception {
        full = true;
        write("a.png", 3);
        follow(Map.of());
        await("the trouble", () -> follower.status().state() == LinkState.TROUBLE);
        assertThat(follower.status().fix()).contains("nothing is lost");
        full = false;
        await("the file", () -> taken.equals(List.of("a.png 3")));
    }
}
