package yokebar.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** What can go lost and does not: the process killed in the middle of things, one after the other, then the log destroyed. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class LossTest {
    /** Several transactions' worth, so that the kill comes between the first and the last. */
    private static final int IMPORTED = 8_000;

    @TempDir
    static Path folder;

    private final HttpClient http = HttpClient.newHttpClient();
    private YokebarProcess yokebar;

    @BeforeAll
    void start() throws Exception {
        start("yokebar");
    }

    private void start(String home) throws Exception {
        yokebar = new YokebarProcess(folder.resolve(home)).start();
        send("PUT", "api/station", "{\"ownCall\":\"CU9QYB\"}");
    }

    @AfterAll
    void stop() {
        yokebar.close();
    }

    private String send(String method, String path, String body) throws IOException, InterruptedException {
        HttpRequest request = HttpRequest.newBuilder(yokebar.address().resolve(path))
                .header("Content-Type", "application/json")
                .method(method, HttpRequest.BodyPublishers.ofString(body))
                .build();
        HttpResponse<String> answer = http.send(request, HttpResponse.BodyHandlers.ofString());
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return answer.body();
    }

    private int found(String search) throws Exception {
        return yokebar.get("/api/log/rows?limit=0&search=" + search)
                .path("found")
                .asInt();
    }

    private JsonNode change(long id) throws Exception {
        return yokebar.get("/api/changes/" + id);
    }

    private JsonNode awaitEnd(long id) throws Exception {
        Until.itIs(
                "change " + id + " ended",
                () -> !change(id).path("state").asString().equals("RUNNING"));
        return change(id);
    }

    @Test
    @Order(1)
    void killedDuringAnImportWhatWasTakenIsThereAndTheRestComesWithAnotherTry() throws Exception {
        CompletableFuture<HttpResponse<String>> importing = yokebar.importContactsLater(0, IMPORTED);
        Until.itIs("a thousand imported", () -> found("") >= 1000);
        yokebar.kill();
        assertThatThrownBy(importing::join).isInstanceOf(CompletionException.class);
        yokebar.start();
        int taken = found("");
        assertThat(taken).isBetween(1000, IMPORTED);
        // The journal and the log are one transaction: neither has what the other lacks.
        assertThat(added()).isEqualTo(taken);
        JsonNode again = yokebar.importContacts(0, IMPORTED);
        assertThat(again.path("added").asInt()).isEqualTo(IMPORTED - taken);
        assertThat(again.path("duplicates").asInt()).isEqualTo(taken);
        assertThat(found("")).isEqualTo(IMPORTED);
    }

    private int added() throws Exception {
        int added = 0;
        JsonNode page = yokebar.get("/api/journal?limit=500&decision=ADDED");
        while (!page.isEmpty()) {
            added += page.size();
            long last = page.get(page.size() - 1).path("id").asLong();
            page = yokebar.get("/api/journal?limit=500&decision=ADDED&below=" + last);
        }
        return added;
    }

    @Test
    @Order(2)
    void killedDuringABulkEditItGoesOnAfterTheStartAndCanBeTakenBack() throws Exception {
        int all = found("");
        String begun = send(
                "POST", "api/changes/edit", "{\"selection\":{\"search\":\"\"},\"changes\":{\"PROP_MODE\":\"ES\"}}");
        long id = Long.parseLong(begun.replaceAll("(?s).*\"id\":(\\d+).*", "$1"));
        Until.itIs("two thousand edited", () -> change(id).path("done").asInt() >= 2000);
        yokebar.kill();
        yokebar.start();
        awaitEnd(id);
        assertThat(change(id).path("state").asString())
                .as(change(id).toString())
                .isEqualTo("DONE");
        assertThat(found("")).isEqualTo(all);
        assertThat(found("via:es")).isEqualTo(change(id).path("done").asInt()).isEqualTo(all);
        String undo = send("POST", "api/changes/" + id + "/undo", "{}");
        awaitEnd(Long.parseLong(undo.replaceAll("(?s).*\"id\":(\\d+).*", "$1")));
        assertThat(found("via:es")).isZero();
    }

    @Test
    @Order(3)
    void killedDuringABackupThereIsNoHalfBackup() throws Exception {
        http.sendAsync(
                HttpRequest.newBuilder(yokebar.address().resolve("api/safety/backups"))
                        .POST(HttpRequest.BodyPublishers.ofString("{}"))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        Path half = folder.resolve("yokebar/backups/backup-being-made.tmp");
        Until.itIs("a backup begun", () -> Files.exists(half));
        yokebar.kill();
        yokebar.start();
        JsonNode backups = yokebar.get("/api/safety").path("backups");
        for (JsonNode backup : backups) {
            yokebar.get("/api/safety/backups/" + backup.path("name").asString());
        }
        send("POST", "api/safety/backups", "{}");
        assertThat(yokebar.get("/api/safety").path("backups")).hasSize(backups.size() + 1);
        assertThat(half).doesNotExist();
    }

    @Test
    @Order(4)
    void aDestroyedLogComesBackWholeFromBackupAndSecondCopy() throws Exception {
        stop();
        start("another");
        Path stick = folder.resolve("stick");
        send("PUT", "api/safety", "{\"copyFolder\":\"" + stick + "\"}");
        yokebar.importContacts(0, 300);
        send("POST", "api/safety/backups", "{}");
        yokebar.importContacts(300, 420);
        String before = yokebar.text("/api/contacts.csv?columns=CALL,QSO_DATE,TIME_ON,BAND,MODE");
        Path copy = stick.resolve("yokebar-second-copy.adi");
        Until.itIs("the second copy whole", () -> Files.readString(copy).split("<EOR>").length >= 420);
        yokebar.kill();
        for (String lost : List.of("log.mv.db", "search-index")) {
            Files.deleteIfExists(folder.resolve("another").resolve(lost));
        }
        yokebar.start();
        assertThat(found("")).isZero();
        List<String> faults = new ArrayList<>();
        try (Browser browser = new Browser()) {
            Page page = browser.page(faults);
            page.navigate(URI.create(yokebar.address() + "#/station/safety").toString());
            page.getByText("Restore…").click();
            Locator dialog = page.getByRole(AriaRole.DIALOG);
            assertThat(dialog.getByText("holds 300 contacts")).isVisible();
            dialog.getByText("Restore and start again").click();
            assertThat(page.getByTestId("log-total")).hasText("300");
            Until.itIs("the copy from before is kept", () -> keptCopy(stick) != null);
            page.setInputFiles("input[type=file][accept*='.adi']", keptCopy(stick));
            assertThat(page.getByText("120 were missing and are in the log now"))
                    .isVisible();
            assertThat(page.getByTestId("log-total")).hasText("420");
        }
        assertThat(yokebar.text("/api/contacts.csv?columns=CALL,QSO_DATE,TIME_ON,BAND,MODE"))
                .isEqualTo(before);
    }

    /** A log in another's place begins a copy of its own, and keeps what was there. */
    private static @Nullable Path keptCopy(Path stick) throws IOException {
        try (Stream<Path> files = Files.list(stick)) {
            return files.filter(file -> file.getFileName().toString().startsWith("yokebar-second-copy-"))
                    .findFirst()
                    .orElse(null);
        }
    }
}
