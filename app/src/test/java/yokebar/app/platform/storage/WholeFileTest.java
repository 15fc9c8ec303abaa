package yokebar.app.platform.storage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class WholeFileTest {
    private static final Path SOURCES = Path.of("src/main/java");

    /** An index is made anew from the log, and a reply from its picture. */
    private static final List<String> MADE_ANEW = List.of("IndexKeeping.java", "Replies.java");

    @TempDir
    private Path folder;

    @Test
    void aFileTakesThePlaceOfTheOneBefore() throws IOException {
        Path place = Files.writeString(folder.resolve("list"), "before");
        Path fresh = Files.writeString(folder.resolve("list.new"), "after");
        WholeFile.put(fresh, place);
        assertThat(place).hasContent("after");
        assertThat(fresh).doesNotExist();
    }

    @Test
    void aFolderIsPutWithAllThatIsInIt() throws IOException {
        Path fresh = Files.createDirectories(folder.resolve("built"));
        Files.createDirectories(fresh.resolve("inside"));
        Files.writeString(fresh.resolve("inside/log"), "contacts");
        WholeFile.put(fresh, folder.resolve("restore"));
        assertThat(folder.resolve("restore/inside/log")).hasContent("contacts");
        assertThat(fresh).doesNotExist();
    }

    @Test
    void whatWasInThePlaceStaysWhenThereIsNothingToPut() throws IOException {
        Path place = Files.writeString(folder.resolve("list"), "before");
        assertThatThrownBy(() -> WholeFile.put(folder.resolve("none"), place)).isInstanceOf(IOException.class);
        assertThat(place).hasContent("before");
    }

    @Test
    void nothingElseMovesAFileIntoItsPlace() throws IOException {
        assertThat(movers()).filteredOn(file -> !MADE_ANEW.contains(file)).containsExactly("WholeFile.java");
    }

    private static List<String> movers() throws IOException {
        try (Stream<Path> files = Files.walk(SOURCES)) {
            return files.filter(file -> file.toString().endsWith(".java"))
                    .filter(WholeFileTest::moves)
                    .map(file -> file.getFileName().toString())
                    .toList();
        }
    }

    private static boolean moves(Path file) {
        try {
            return Files.readString(file).contains("StandardCopyOption.ATOMIC_MOVE");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
