package yokebar.app.safety;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SecretBoxTest {
    @TempDir
    private Path home;

    @Test
    void whatIsSealedOpensAgainAlsoLater() throws IOException {
        byte[] sealed = new SecretBox(home).seal("lantern-oil");
        assertThat(new String(sealed)).doesNotContain("lantern");
        assertThat(new SecretBox(home).openText(sealed)).isEqualTo("lantern-oil");
    }

    @Test
    void theSameSecretNeverLooksTheSame() throws IOException {
        SecretBox box = new SecretBox(home);
        assertThat(box.seal("x")).isNotEqualTo(box.seal("x"));
    }

    @Test
    void theKeyIsForItsOwnerOnly() throws IOException {
        new SecretBox(home);
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(home.resolve("secrets.key"))))
                .isEqualTo("rw-------");
    }

    @Test
    void anotherKeyOpensNothingAndADamagedOneIsNamed(@TempDir Path other) throws IOException {
        byte[] sealed = new SecretBox(home).seal("x");
        assertThatThrownBy(() -> new SecretBox(other).open(sealed)).hasMessageContaining("secrets.key");
        Files.write(home.resolve("secrets.key"), new byte[3]);
        assertThatThrownBy(() -> new SecretBox(home)).hasMessageContaining("damaged");
    }
}
