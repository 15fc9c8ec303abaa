package yokebar.core.platform.structure;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Whether every class with tests has a name by which the build finds it; another is never run, and nobody notices. */
class TestNamesTest {
    private static final Pattern TEST =
            Pattern.compile("^\\s*@(?:Test|Property|ParameterizedTest)\\b", Pattern.MULTILINE);
    private static final List<String> PARTS = List.of("core", "links", "standins", "app", "e2e", "bench");

    private static List<String> neverRun(List<Path> folders) throws IOException {
        List<String> found = new ArrayList<>();
        for (Path folder : folders) {
            try (Stream<Path> tree = Files.walk(folder)) {
                for (Path file :
                        tree.filter(one -> one.toString().endsWith(".java")).toList()) {
                    if (!file.toString().endsWith("Test.java")
                            && TEST.matcher(Files.readString(file)).find()) {
                        found.add(file.getFileName().toString());
                    }
                }
            }
        }
        return found;
    }

    @Test
    void everyTestIsRun() throws IOException {
        List<Path> folders = PARTS.stream()
                .map(part -> Path.of("..", part, "src", "test"))
                .filter(Files::isDirectory)
                .toList();
        assertThat(folders).hasSizeGreaterThan(3);
        assertThat(neverRun(folders)).isEmpty();
    }

    @Test
    void oneThatIsNotIsFound(@TempDir Path folder) throws IOException {
        Files.writeString(folder.resolve("Overlooked.java"), "class Overlooked {\n    @Property\n    void p() {}\n}");
        Files.writeString(folder.resolve("FoundTest.java"), "class FoundTest {\n    @Test\n    void t() {}\n}");
        assertThat(neverRun(List.of(folder))).containsExactly("Overlooked.java");
    }
}
