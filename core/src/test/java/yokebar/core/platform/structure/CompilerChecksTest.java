package yokebar.core.platform.structure;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Whether the compiler, called as the build calls it, finds what it is there to find. */
class CompilerChecksTest {
    private static final Path ROOT = Path.of("..");
    private static final Pattern ARGUMENT = Pattern.compile("<arg>(.*?)</arg>");
    private static final String CLASS_PATH =
            System.getProperty("surefire.test.class.path", System.getProperty("java.class.path"));

    @TempDir
    private Path folder;

    /** What the compiler says of a class whose method has this body. */
    private String compiled(String body) throws IOException, InterruptedException {
        Path source = folder.resolve("Planted.java");
        Files.writeString(
                source,
                """
                import org.jspecify.annotations.NullMarked;
                import org.jspecify.annotations.Nullable;
                @NullMarked
                class Planted {
                    static int length(@Nullable String name) {
                        %s
                    }
                }
                """
                        .formatted(body));
        List<String> command = new ArrayList<>(
                List.of(Path.of(System.getProperty("java.home"), "bin", "javac").toString()));
        for (String line : Files.readAllLines(ROOT.resolve(".mvn/jvm.config"))) {
            command.add("-J" + line.replace(' ', '='));
        }
        ARGUMENT.matcher(Files.readString(ROOT.resolve("pom.xml")))
                .results()
                .map((MatchResult argument) -> argument.group(1))
                .forEach(command::add);
        command.addAll(List.of("-processorpath", CLASS_PATH, "-classpath", CLASS_PATH, "-d", folder.toString()));
        command.add(source.toString());
        Path said = folder.resolve("said.txt");
        Process javac = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(said.toFile())
                .start();
        assertThat(javac.waitFor(60, TimeUnit.SECONDS)).isTrue();
        return Files.readString(said);
    }

    @Test
    void aNullThatIsNotExpectedIsFound() throws Exception {
        assertThat(compiled("return name.length();")).contains("[NullAway] dereferenced expression name is @Nullable");
    }

    @Test
    void aMistakeOfAUsualKindIsFound() throws Exception {
        assertThat(compiled("return name == null ? 0 : name.length() == name.length() ? 1 : 2;"))
                .contains("[IdentityBinaryExpression]");
    }

    @Test
    void whatIsRightGoesThrough() throws Exception {
        assertThat(compiled("return name == null ? 0 : name.length();")).doesNotContain("error:");
    }
}
