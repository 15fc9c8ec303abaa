package yokebar.core.platform.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Whether code and interface keep to the plain words of {@code docs/avoided-words.txt}. */
class AvoidedWordsTest {
    private static final Path ROOT = Path.of("..");
    private static final List<String> PARTS = List.of(
            "core/src", "links/src", "standins/src", "app/src", "web/src", "e2e/src", "bench/src", "README.md", "docs");
    private static final Pattern JAVA_TEXT = Pattern.compile("\"((?:[^\"\\\\]|\\\\.)*)\"");
    private static final Pattern COMMENT = Pattern.compile("^\\s*(?://|\\*|/\\*).*");

    private record Avoided(boolean name, Pattern pattern, String instead) {}

    private static List<Avoided> avoided() throws IOException {
        List<Avoided> all = new ArrayList<>();
        for (String line : Files.readAllLines(ROOT.resolve("docs/avoided-words.txt"))) {
            String[] columns = line.split(" \\| ");
            if (columns.length == 3) {
                boolean name = columns[0].equals("name");
                String expression = name ? columns[1] : Pattern.quote(columns[1]);
                String bounds = columns[1].startsWith(">") ? expression : "\\b(?:" + expression + ")\\b";
                all.add(new Avoided(name, Pattern.compile(bounds, name ? 0 : Pattern.CASE_INSENSITIVE), columns[2]));
            }
        }
        return all;
    }

    /** What people read in a line of a file: texts in Java code, all but comments in the interface, everything in docs. */
    static String read(String file, String line) {
        if (file.endsWith(".md")) {
            return line;
        }
        if (COMMENT.matcher(line).matches()) {
            return "";
        }
        if (!file.endsWith(".java")) {
            return line;
        }
        StringBuilder texts = new StringBuilder();
        for (Matcher text = JAVA_TEXT.matcher(line); text.find(); ) {
            texts.append(text.group(1)).append('\n');
        }
        return texts.toString();
    }

    static List<String> found(String file, List<String> lines, List<Avoided> avoided) {
        List<String> found = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            for (Avoided one : avoided) {
                boolean code = file.endsWith(".java") || file.endsWith(".ts") || file.endsWith(".svelte");
                String where = one.name() ? code ? lines.get(i) : "" : read(file, lines.get(i));
                Matcher matcher = one.pattern().matcher(where);
                if (matcher.find()) {
                    found.add(file + ":" + (i + 1) + ": \"" + matcher.group() + "\"; write: " + one.instead());
                }
            }
        }
        return found;
    }

    @Test
    void noneIsUsed() throws IOException {
        List<Avoided> avoided = avoided();
        List<String> found = new ArrayList<>();
        int files = 0;
        for (String part : PARTS) {
            try (Stream<Path> tree = Files.walk(ROOT.resolve(part))) {
                for (Path file : tree.filter(AvoidedWordsTest::isRead).toList()) {
                    found.addAll(found(file.toString(), Files.readAllLines(file), avoided));
                    files++;
                }
            }
        }
        assertThat(files).isGreaterThan(800);
        assertThat(found).isEmpty();
    }

    private static boolean isRead(Path file) {
        String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
        return Files.isRegularFile(file)
                && name.matches(".*\\.(java|ts|svelte|md)")
                && !name.equals("avoidedwordstest.java")
                && !name.endsWith(".d.ts");
    }

    @Test
    void aPlantedOneIsFound() throws IOException {
        List<Avoided> avoided = avoided();
        assertThat(found("A.java", List.of("    throw new Bad(\"It is tried again by itself.\");"), avoided))
                .hasSize(1);
        assertThat(found("A.java", List.of("    // It is tried again by itself.", "    int MOST_LINES = 3;"), avoided))
                .singleElement()
                .asString()
                .contains("A.java:2", "MAX_");
        assertThat(found("A.svelte", List.of("  <button>Put away</button>", "  <td>It came</td>"), avoided))
                .hasSize(2);
        assertThat(found("README.md", List.of("Strike off what fits no contact."), avoided))
                .hasSize(2);
    }
}
