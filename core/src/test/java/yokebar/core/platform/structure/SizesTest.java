package yokebar.core.platform.structure;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Whether packages, components and files are small enough to be read in one go. */
class SizesTest {
    private static final int MAX_TYPES = 25;
    private static final int MAX_COMPONENT_LINES = 250;
    private static final int MAX_FILE_LINES = 400;

    private static final Path ROOT = Path.of("..");
    private static final List<String> PARTS =
            List.of("core/src", "links/src", "standins/src", "app/src", "web/src", "e2e/src", "bench/src");

    /** What is too large in the folders, in words. */
    private static List<String> tooLarge(List<Path> folders) throws IOException {
        List<String> found = new ArrayList<>();
        Map<Path, Integer> types = new TreeMap<>();
        for (Path folder : folders) {
            try (Stream<Path> tree = Files.walk(folder)) {
                for (Path file : tree.filter(SizesTest::isCode).toList()) {
                    int lines = Files.readAllLines(file).size();
                    int max = file.toString().endsWith(".svelte") ? MAX_COMPONENT_LINES : MAX_FILE_LINES;
                    if (lines > max) {
                        found.add(file + " has " + lines + " lines, at most " + max + " are allowed");
                    }
                    if (isType(file)) {
                        types.merge(file.getParent(), 1, Integer::sum);
                    }
                }
            }
        }
        types.forEach((folder, count) -> {
            if (count > MAX_TYPES) {
                found.add(folder + " has " + count + " types, at most " + MAX_TYPES + " are allowed");
            }
        });
        return found;
    }

    private static boolean isCode(Path file) {
        String name = file.getFileName().toString();
        return (name.endsWith(".java") || name.endsWith(".svelte") || name.endsWith(".ts"))
                && !name.equals("schema.d.ts");
    }

    private static boolean isType(Path file) {
        String name = file.getFileName().toString();
        return name.endsWith(".java")
                && !name.equals("package-info.java")
                && file.toString().contains("src/main/");
    }

    @Test
    void nothingIsTooLarge() throws IOException {
        List<Path> folders = PARTS.stream().map(ROOT::resolve).toList();
        assertThat(folders).allMatch(Files::isDirectory);
        assertThat(tooLarge(folders)).isEmpty();
    }

    @Test
    void whatIsTooLargeIsFound(@TempDir Path root) throws IOException {
        Path packageFolder = Files.createDirectories(root.resolve("src/main/java/large"));
        for (int i = 0; i <= MAX_TYPES; i++) {
            Files.writeString(packageFolder.resolve("Type" + i + ".java"), "class Type" + i + " {}");
        }
        Files.write(root.resolve("Wide.svelte"), Collections.nCopies(MAX_COMPONENT_LINES + 1, "<p>"));
        Files.write(root.resolve("long.ts"), Collections.nCopies(MAX_FILE_LINES + 1, "//"));
        assertThat(tooLarge(List.of(root)))
                .hasSize(3)
                .anyMatch(found -> found.contains("Wide.svelte has 251 lines"))
                .anyMatch(found -> found.contains("long.ts has 401 lines"))
                .anyMatch(found -> found.contains("large has 26 types"));
    }
}
