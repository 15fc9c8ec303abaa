package yokebar.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.io.OutputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** A disk that fills up while contacts arrive, and is freed again: nothing acknowledged is lost, and it goes on by itself. */
class FullDiskTest {
    private static final int FILLINGS = Integer.getInteger("yokebar.fillings", 2);
    private static final String SIZE = "200m";

    @TempDir
    private static Path folder;

    private static Path disk;
    private static boolean mounted;

    @BeforeAll
    static void mount() throws Exception {
        disk = Files.createDirectory(folder.resolve("disk"));
        mounted = run("mount", "-t", "tmpfs", "-o", "size=" + SIZE, "tmpfs", disk.toString());
    }

    @AfterAll
    static void unmount() throws Exception {
        if (mounted) {
            run("umount", "-l", disk.toString());
        }
    }

    private static boolean run(String... command) throws Exception {
        try {
            return new ProcessBuilder(command).start().waitFor() == 0;
        } catch (IOException e) {
            return false;
        }
    }

    private final AtomicInteger next = new AtomicInteger();
    private final AtomicInteger acknowledged = new AtomicInteger();
    private volatile boolean running = true;

    @Test
    void whatWasAcknowledgedIsInTheLogAndItGoesOnByItself() throws Exception {
        assumeTrue(mounted, "a small disk of its own takes root");
        try (YokebarProcess yokebar = new YokebarProcess(disk.resolve("yokebar")).start()) {
            yokebar.put("api/station", "{\"ownCall\":\"CU9QYB\"}");
            Thread load = new Thread(() -> load(yokebar));
            load.start();
            for (int i = 0; i < FILLINGS; i++) {
                int before = acknowledged.get();
                Until.itIs("contacts", () -> acknowledged.get() > before + 5);
                fill();
                Until.itIs("health says so", () -> health(yokebar.address()) == 503);
                assertThat(yokebar.get("/api/storage").path("sentence").asString())
                        .contains("is full");
                HttpResponse<String> page = HttpClient.newHttpClient()
                        .send(HttpRequest.newBuilder(yokebar.address()).build(), HttpResponse.BodyHandlers.ofString());
                assertThat(page.statusCode()).as("the page is still served").isEqualTo(200);
                assertThat(stopTransmitting(yokebar.address()))
                        .as("nobody keeps a program from stopping")
                        .isNotEqualTo(507);
                int full = acknowledged.get();
                Files.delete(disk.resolve("filler"));
                Until.itIs("it goes on by itself", () -> acknowledged.get() > full + 5);
            }
            running = false;
            load.join();
            Until.itIs("healthy", () -> health(yokebar.address()) == 200);
            JsonNode contacts = yokebar.get("/api/contacts");
            assertThat(contacts.path("total").asInt()).isGreaterThanOrEqualTo(acknowledged.get());
            assertThat(contacts.path("total").asInt()).isLessThanOrEqualTo(next.get());
            System.out.printf(
                    "full disk: %d fillings, %d acknowledged, %d in the log%n",
                    FILLINGS, acknowledged.get(), contacts.path("total").asInt());
        } finally {
            running = false;
        }
    }

    /** One contact after the other, each sent again until it is acknowledged, as a program does. */
    private void load(YokebarProcess yokebar) {
        while (running) {
            int i = next.getAndIncrement();
            boolean taken = false;
            while (running && !taken) {
                try {
                    JsonNode answer = yokebar.importContacts(i, i + 1);
                    taken = answer.path("added").asInt()
                                    + answer.path("duplicates").asInt()
                                    + answer.path("merged").asInt()
                            == 1;
                    if (taken) {
                        acknowledged.incrementAndGet();
                    }
                } catch (IOException e) {
                    pause();
                } catch (InterruptedException e) {
                    return;
                }
            }
        }
    }

    private static void pause() {
        try {
            Thread.sleep(100);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static void fill() throws IOException {
        byte[] piece = new byte[1 << 18];
        try (OutputStream out = Files.newOutputStream(disk.resolve("filler"))) {
            while (true) {
                out.write(piece);
            }
        } catch (IOException e) {
            // Full, as it should be.
        }
    }

    private static int stopTransmitting(URI address) throws Exception {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(address.resolve("api/digital/programs/none/stop"))
                                .timeout(Duration.ofSeconds(10))
                                .POST(HttpRequest.BodyPublishers.noBody())
                                .build(),
                        HttpResponse.BodyHandlers.discarding())
                .statusCode();
    }

    private static int health(URI address) throws Exception {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(address.resolve("actuator/health"))
                                .timeout(Duration.ofSeconds(10))
                                .build(),
                        HttpResponse.BodyHandlers.discarding())
                .statusCode();
    }
}
