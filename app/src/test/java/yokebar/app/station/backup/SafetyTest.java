package yokebar.app.station.backup;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;

class SafetyTest extends AppTest {
    @TempDir
    private Path folder;

    @Autowired
    private UncopiedContacts uncopied;

    @Autowired
    private TransactionTemplate transaction;

    @Autowired
    private ReadBack readBack;

    @Autowired
    private SafetySettings settings;

    @Value("${yokebar.home}")
    private Path home;

    @AfterEach
    void asAtFirst() throws Exception {
        put("/api/safety", Map.of("copyFolder", "", "backupFolder", "", "backupsKept", 14));
    }

    private static String content(Path file) {
        try {
            return Files.exists(file) ? Files.readString(file) : "";
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private JsonNode hookup() throws Exception {
        return get("/api/hookups")
                .valueStream()
                .filter(one -> one.path("id").asString().equals("second-copy"))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void eachContactGoesToTheSecondCopyAndWhatWasMissedFollows() throws Exception {
        Path stick = folder.resolve("stick");
        put("/api/safety", Map.of("copyFolder", stick.toString()));
        importText(contact("ZP5QXA"));
        await("first copy", () -> content(stick.resolve(SecondCopy.FILE)).contains("ZP5QXA"));
        Path away = Files.move(stick, folder.resolve("away"));
        importText(contact("K1QAB"));
        await("trouble", () -> {
            try {
                return hookup().path("state").asString().equals("TROUBLE");
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        });
        assertThat(hookup().path("reason").asString()).contains("the folder is not there");
        assertThat(count("contact")).isEqualTo(2);
        Files.move(away, stick);
        JsonNode proof = JSON.readTree(
                sendJson("POST", "/api/hookups/second-copy/test", Map.of()).body());
        assertThat(proof.path("works").asBoolean()).isTrue();
        String copy = content(stick.resolve(SecondCopy.FILE));
        assertThat(copy).containsOnlyOnce("K1QAB").containsOnlyOnce("<EOH>");
        assertThat(count("second_copy_due")).isZero();
    }

    @Test
    void secondCopyHoldsAllAndFollowsDeletions() throws Exception {
        importText(contact("K1QAB") + contact("K1QCD"));
        Path stick = folder.resolve("whole");
        put("/api/safety", Map.of("copyFolder", stick.toString()));
        await("what was logged before, too", () -> content(stick.resolve(SecondCopy.FILE))
                .contains("K1QCD"));
        changed(sendJson("POST", "/api/changes/delete", Map.of("search", "call:K1QCD")));
        assertThat(sendJson("POST", "/api/safety/copy/rebuild", Map.of()).statusCode())
                .isEqualTo(200);
        assertThat(content(stick.resolve(SecondCopy.FILE))).contains("K1QAB").doesNotContain("K1QCD");
        assertThat(count("second_copy_edit")).isZero();
    }

    @Test
    void editThatIsNotOverWhileTheCopyIsWrittenFollowsLater() throws Exception {
        importText(contact("K1QAB"));
        Path stick = folder.resolve("edited");
        put("/api/safety", Map.of("copyFolder", stick.toString()));
        await(
                "first copy",
                () -> content(stick.resolve(SecondCopy.FILE)).contains("K1QAB") && count("second_copy_edit") == 0);
        transaction.executeWithoutResult(status -> {
            uncopied.edited();
            assertThat(CompletableFuture.supplyAsync(() -> rebuildStatus()).join())
                    .isEqualTo(200);
        });
        assertThat(count("second_copy_edit")).isEqualTo(1);
    }

    private int rebuildStatus() {
        try {
            return sendJson("POST", "/api/safety/copy/rebuild", Map.of()).statusCode();
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void copyThatAnotherLogWroteIsKeptBeside() throws Exception {
        Path stick = Files.createDirectories(folder.resolve("found"));
        Files.writeString(stick.resolve(SecondCopy.FILE), contact("W1QZZ"));
        importText(contact("K1QAB"));
        put("/api/safety", Map.of("copyFolder", stick.toString()));
        await("own copy", () -> content(stick.resolve(SecondCopy.FILE)).contains("K1QAB"));
        assertThat(content(stick.resolve(SecondCopy.FILE))).doesNotContain("W1QZZ");
        try (Stream<Path> files = Files.list(stick)) {
            assertThat(files.filter(file -> content(file).contains("W1QZZ"))).hasSize(1);
        }
        assertThat(copyOfAnotherLog()).isFalse();
    }

    @Test
    void copyThatWaitsBesideTheLogIsReadBackAtTheStartOnce() throws Exception {
        importText(contact("K1QAB"));
        Path copy = folder.resolve("copy.adi");
        Files.writeString(copy, "<EOH>" + contact("K1QAB") + contact("ZP5QXA") + contact("no call"));
        ReadBack.atNextStart(home, copy);
        readBack.start();
        await("it is in", () -> !Files.exists(home.resolve("read-back.adi")));
        readBack.stop();
        assertThat(jdbc.queryForList("select call_sign from contact order by call_sign", String.class))
                .containsExactly("K1QAB", "ZP5QXA");
        assertThat(copy).as("the copy itself is left alone").exists();
    }

    @Test
    void folderChosenMeanwhileIsNotTakenForOwn() throws Exception {
        Path first = folder.resolve("first");
        put("/api/safety", Map.of("copyFolder", first.toString()));
        await("own", () -> !copyOfAnotherLog());
        put("/api/safety", Map.of("copyFolder", ""));
        jdbc.update("update safety set copy_folder = ?, copy_of_another_log = true", folder.toString());
        settings.copyIsOwn(first);
        assertThat(copyOfAnotherLog()).isTrue();
        settings.copyIsOwn(folder);
        assertThat(copyOfAnotherLog()).isFalse();
    }

    private boolean copyOfAnotherLog() {
        return Boolean.TRUE.equals(jdbc.queryForObject("select copy_of_another_log from safety", Boolean.class));
    }

    @Test
    void keyTravelsInBackupsSealedWithAPassphrase() throws Exception {
        assertThat(get("/api/safety").path("keyCopy").asString()).isEqualTo("NONE");
        HttpResponse<String> refused = sendJson("PUT", "/api/safety/key-copy", Map.of("passphrase", "short"));
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("12 to 200 characters");
        String words = "mast lantern ferry oats";
        put("/api/safety/key-copy", Map.of("passphrase", words));
        assertThat(get("/api/safety").path("keyCopy").asString()).isEqualTo("KEPT");
        // As after a restore on another computer, whose key opens nothing of this log.
        jdbc.update("update safety set key_copy_mark = X'00112233445566778899aabbccddeeff00112233'");
        assertThat(get("/api/safety").path("keyCopy").asString()).isEqualTo("LOCKED");
        HttpResponse<String> wrong =
                sendJson("POST", "/api/safety/key-copy/open", Map.of("passphrase", "mast lantern ferry oat"));
        assertThat(wrong.statusCode()).isEqualTo(422);
        assertThat(wrong.body()).contains("not the passphrase");
        assertThat(sendJson("POST", "/api/safety/key-copy/open", Map.of("passphrase", words))
                        .statusCode())
                .isEqualTo(200);
        assertThat(get("/api/safety").path("keyCopy").asString()).isEqualTo("KEPT");
        put("/api/safety/key-copy", Map.of("passphrase", ""));
        assertThat(get("/api/safety").path("keyCopy").asString()).isEqualTo("NONE");
    }

    @Test
    void aFolderThatCannotBeIsSaidAtItsField() throws Exception {
        HttpResponse<String> refused = sendJson("PUT", "/api/safety", Map.of("copyFolder", "stick"));
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("Write the whole path");
    }

    @Test
    void backupsAreMadeListedLookedIntoAndTheOldestGo() throws Exception {
        put("/api/safety", Map.of("backupFolder", folder.toString(), "backupsKept", 2));
        for (String old : new String[] {
            "yokebar-2020-01-01-000000.zip", "yokebar-2020-01-01-060000.zip", "yokebar-2020-13-45-000000.zip"
        }) {
            Files.writeString(folder.resolve(old), "old");
        }
        Files.writeString(folder.resolve("holiday.zip"), "not ours");
        importText(contact("ZP5QXA"));
        JsonNode view =
                JSON.readTree(sendJson("POST", "/api/safety/backups", Map.of()).body());
        assertThat(view.path("backups")).hasSize(2);
        assertThat(folder.resolve("holiday.zip")).exists();
        assertThat(folder.resolve("yokebar-2020-13-45-000000.zip"))
                .as("no such day: left alone")
                .exists();
        assertThat(folder.resolve("yokebar-2020-01-01-000000.zip")).doesNotExist();
        JsonNode content = get("/api/safety/backups/"
                + view.path("backups").get(0).path("name").asString());
        assertThat(content.path("contacts").asInt()).isEqualTo(1);
        assertThat(content.path("newest").asString()).isEqualTo("2026-05-01T14:07:00Z");
    }

    @Test
    void aBrokenBackupIsRefusedBeforeAnythingIsTouched() throws Exception {
        put("/api/safety", Map.of("backupFolder", folder.toString()));
        importText(contact("ZP5QXA"));
        String whole = JSON.readTree(
                        sendJson("POST", "/api/safety/backups", Map.of()).body())
                .path("backups")
                .get(0)
                .path("name")
                .asString();
        byte[] bytes = Files.readAllBytes(folder.resolve(whole));
        Files.write(folder.resolve(whole), Arrays.copyOf(bytes, bytes.length / 2));
        for (String wrong : new String[] {whole, "yokebar-2020-01-03-000000.zip"}) {
            if (!wrong.equals(whole)) {
                Files.writeString(folder.resolve(wrong), "no zip");
            }
            HttpResponse<String> refused = sendJson("POST", "/api/safety/backups/" + wrong + "/restore", Map.of());
            assertThat(refused.statusCode()).isEqualTo(422);
            assertThat(refused.body()).contains("is not a complete backup").contains("Nothing was changed");
        }
        assertThat(sendJson("POST", "/api/safety/backups/..%2Flog.mv.db/restore", Map.of())
                        .statusCode())
                .isGreaterThanOrEqualTo(400);
        assertThat(get("/api/contacts").path("total").asInt()).isEqualTo(1);
        try (Stream<Path> files = Files.walk(folder).sorted(Comparator.naturalOrder())) {
            assertThat(files.map(file -> file.getFileName().toString())).noneMatch(name -> name.startsWith("restore"));
        }
    }
}
