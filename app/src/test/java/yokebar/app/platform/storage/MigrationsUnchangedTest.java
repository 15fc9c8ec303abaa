package yokebar.app.platform.storage;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * A migration that logs have been through stays as it is, to the last letter: a log whose history says otherwise does not start.
 * What is to change comes in a migration of its own, with a line of its own in the list.
 */
class MigrationsUnchangedTest {
    private static final Path MIGRATIONS = Path.of("src/main/resources/db/migration");
    private static final Path LIST = Path.of("src/test/resources/earlier/migrations.txt");

    @Test
    void migrationsAreAsTheListSays() throws IOException {
        try (Stream<Path> files = Files.list(MIGRATIONS)) {
            List<String> present =
                    files.map(MigrationsUnchangedTest::line).sorted().toList();
            List<String> listed = Files.readAllLines(LIST).stream().sorted().toList();
            assertThat(present)
                    .as("what %s holds beside the migrations; a new one has its line added there", LIST)
                    .isEqualTo(listed);
        }
    }

    /** Name and SHA-256 of its text, whatever the ends of lines. */
    private static String line(Path file) {
        try {
            String text = Files.readString(file).replace("\r\n", "\n");
            byte[] sum = MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
            return file.getFileName() + " " + HexFormat.of().formatHex(sum);
        } catch (IOException | NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
