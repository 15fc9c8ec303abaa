package yokebar.app.platform.secret;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.stream.Stream;
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
    void anotherKeyOpensNothing(@TempDir Path other) throws IOException {
        SecretBox box = new SecretBox(home);
        byte[] sealed = box.seal("x");
        assertThat(box.opens(sealed)).isTrue();
        SecretBox foreign = new SecretBox(other);
        assertThat(foreign.opens(sealed)).isFalse();
        assertThatThrownBy(() -> foreign.open(sealed)).isInstanceOf(SecretLocked.class);
        for (int length = 0; length < 60; length++) {
            assertThat(foreign.opens(new byte[length])).as("%d bytes", length).isFalse();
        }
    }

    @Test
    void passphraseCarriesTheKeyToAnotherComputer(@TempDir Path other) throws IOException {
        SecretBox box = new SecretBox(home);
        byte[] sealed = box.seal("x");
        byte[] copy = box.sealKeys("four words in a row".toCharArray());
        SecretBox foreign = new SecretBox(other);
        byte[] own = foreign.seal("y");
        assertThatThrownBy(() -> foreign.addKeys(copy, "four words in a raw".toCharArray()))
                .isInstanceOf(SecretLocked.class);
        assertThat(foreign.opens(sealed)).isFalse();
        for (int length : new int[] {0, 28, 43, 44}) {
            byte[] damaged = new byte[length];
            assertThatThrownBy(() -> foreign.addKeys(damaged, "any".toCharArray()))
                    .isInstanceOf(SecretLocked.class);
        }
        foreign.addKeys(copy, "four words in a row".toCharArray());
        for (SecretBox after : List.of(foreign, new SecretBox(other))) {
            assertThat(after.openText(sealed)).isEqualTo("x");
            assertThat(after.openText(own)).isEqualTo("y");
            assertThat(box.opens(after.seal("z")))
                    .as("new ones are this computer's own")
                    .isFalse();
        }
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(other.resolve("secrets-earlier.key"))))
                .isEqualTo("rw-------");
    }

    @Test
    void damagedKeyStopsNoStartAndIsKeptBeside() throws IOException {
        byte[] sealed = new SecretBox(home).seal("x");
        Files.write(home.resolve("secrets.key"), new byte[] {1, 2, 3});
        SecretBox fresh = new SecretBox(home);
        assertThat(fresh.opens(sealed)).isFalse();
        assertThat(fresh.openText(fresh.seal("y"))).isEqualTo("y");
        try (Stream<Path> files = Files.list(home)) {
            Path kept = files.filter(file -> file.getFileName().toString().startsWith("secrets.key.damaged-"))
                    .findFirst()
                    .orElseThrow();
            assertThat(Files.readAllBytes(kept)).containsExactly(1, 2, 3);
        }
    }

    @Test
    void secretDoesNotFollowItsAddressToAnotherHost() throws IOException {
        SecretBox box = new SecretBox(home);
        StoredSecret stored = new StoredSecret(box.seal("x"), null);
        assertThat(stored.changed(box, "a.example", "a.example", null)).isSameAs(stored);
        StoredSecret moved = stored.changed(box, "a.example", "b.example", null);
        assertThat(moved.sealed()).isNull();
        assertThat(moved.notice(box)).contains("address changed");
        assertThat(stored.changed(box, "a.example", null, null).sealed()).isNull();
        assertThat(stored.changed(box, "a.example", "b.example", "new").text(box))
                .isEqualTo("new");
        assertThat(stored.changed(box, "a.example", "a.example", "").sealed()).isNull();
        assertThat(moved.changed(box, "b.example", "b.example", "y").notice(box))
                .isNull();
    }
}
