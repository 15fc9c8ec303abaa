package yokebar.core.platform.structure;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.PathMatcher;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Whether the files and folders that docs point to are there. An ellipsis stands for any folders between. */
class DocPathsTest {
    private static final Path ROOT = Path.of("..");
    private static final Pattern PATH =
            Pattern.compile("`((?:app|core|links|standins|web|e2e|bench|docs)/[^` ]*[A-Za-z](?:\\.\\w+)?)`");
    /** Made by a build or chosen by the reader. */
    private static final Pattern NOT_KEPT = Pattern.compile(".*(?:<|/target/|/node_modules/).*");

    private static List<String> missing(String text, List<Path> tree) {
        List<String> missing = new ArrayList<>();
        for (Matcher path = PATH.matcher(text); path.find(); ) {
            String pattern = path.group(1).replace("…", "**");
            if (!NOT_KEPT.matcher(pattern).matches() && !pattern.endsWith("*")) {
                PathMatcher matcher = FileSystems.getDefault().getPathMatcher("glob:" + pattern);
                if (tree.stream().noneMatch(matcher::matches)) {
                    missing.add(path.group(1));
                }
            }
        }
        return missing;
    }

    private static List<Path> tree() throws IOException {
        List<Path> all = new ArrayList<>();
        for (String part : List.of("app", "core", "links", "standins", "web", "e2e", "bench", "docs")) {
            try (Stream<Path> files = Files.walk(ROOT.resolve(part))) {
                files.map(ROOT::relativize)
                        .filter(path -> !NOT_KEPT.matcher(path.toString()).matches())
                        .forEach(all::add);
            }
        }
        return all;
    }

    @Test
    void whatDocsPointToIsThere() throws IOException {
        List<Path> tree = tree();
        List<String> missing = new ArrayList<>();
        long paths = 0;
        try (Stream<Path> docs = Stream.concat(
                Stream.of(ROOT.resolve("README.md"), ROOT.resolve("CONTRIBUTING.md")),
                Files.walk(ROOT.resolve("docs")).filter(file -> file.toString().endsWith(".md")))) {
            for (Path doc : docs.toList()) {
                String text = Files.readString(doc);
                paths += PATH.matcher(text).results().count();
                missing(text, tree).forEach(path -> missing.add(doc.getFileName() + ": " + path));
            }
        }
        assertThat(paths).isGreaterThan(20);
        assertThat(missing).isEmpty();
    }

    @Test
    void whatIsNotThereIsFound() throws IOException {
        assertThat(missing("see `core/…/nowhere/Nothing.java` and `docs/architecture.md`", tree()))
                .containsExactly("core/…/nowhere/Nothing.java");
    }
}
