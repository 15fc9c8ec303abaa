package yokebar.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/**
 * Three positions log into one contest book at once, as fast as they are answered, and Yokebar is killed with -9 twice meanwhile. A
 * position whose answer was lost sends its line again, as the page does.
 */
class ContestPositionsTest {
    /** Of all positions together; {@code contest-positions.sh} makes 3 000. */
    private static final int CONTACTS = Integer.getInteger("yokebar.contest-contacts", 450);

    private static final Map<String, String> BANDS = Map.of("40m", "7025", "20m", "14025", "15m", "21025");
    private static final Duration ANSWERED_WITHIN = Duration.ofSeconds(60);

    @TempDir
    private Path folder;

    private final HttpClient http = HttpClient.newHttpClient();
    private final AtomicInteger answered = new AtomicInteger();

    /** What one position has worked. */
    private record Made(String band, String call, String zone) {}

    @Test
    void serialsAreUniqueDupesConsistentAndTheScoreRight() throws Exception {
        try (YokebarProcess yokebar = new YokebarProcess(folder.resolve("yokebar")).start()) {
            SampleContest.define(yokebar.address());
            yokebar.post("api/contest-books", "{\"contest\":\"Harbour Hours\",\"ownCall\":\"CU9QYB\"}");
            List<Made> made = new ArrayList<>();
            Instant begun = Instant.now();
            ExecutorService positions = Executors.newFixedThreadPool(BANDS.size());
            try {
                List<Future<List<Made>>> running = new ArrayList<>();
                for (String band : BANDS.keySet()) {
                    JsonNode all = yokebar.post("api/positions", "{\"name\":\"Position " + band + "\"}");
                    long position = all.get(all.size() - 1).path("id").asLong();
                    running.add(positions.submit(() -> operate(yokebar.address(), band, position)));
                }
                for (int kill = 1; kill <= 2; kill++) {
                    int enough = kill * CONTACTS / 3;
                    Until.within(ANSWERED_WITHIN.multipliedBy(5), "some are logged", () -> answered.get() >= enough);
                    yokebar.kill();
                    yokebar.start();
                }
                for (Future<List<Made>> one : running) {
                    made.addAll(one.get());
                }
            } finally {
                positions.shutdownNow();
            }
            System.out.println("contest positions: " + made.size() + " contacts in "
                    + Duration.between(begun, Instant.now()).toSeconds() + " s, killed twice");
            check(yokebar, made);
        }
    }

    /** Works one station after the other on a band, some of them again. */
    private List<Made> operate(URI address, String band, long position) throws InterruptedException {
        Random random = new Random(band.hashCode());
        List<Made> made = new ArrayList<>();
        for (int i = 0; i < CONTACTS / BANDS.size(); i++) {
            boolean again = i > 5 && random.nextInt(8) == 0;
            int station = random.nextInt(26 * 26);
            String call = (station % 2 == 0 ? "DL" : "W") + station % 10 + "Q" + (char) ('A' + station / 26)
                    + (char) ('A' + station % 26);
            Made one = again
                    ? made.get(random.nextInt(made.size()))
                    : new Made(band, call, station % 2 == 0 ? "14" : "" + (3 + station % 3));
            made.add(one);
            send(
                    address.resolve("api/contest-books/1/line/log"),
                    """
                    {"text":"%s %d %s","frequency":"%s","mode":"CW","positionId":%d,"agoMs":0,"key":"%s"}"""
                            .formatted(one.call(), i + 1, one.zone(), BANDS.get(band), position, UUID.randomUUID()));
            answered.incrementAndGet();
        }
        return made;
    }

    /** Until it is answered; the line is the same each time. */
    private void send(URI to, String line) throws InterruptedException {
        HttpRequest request = HttpRequest.newBuilder(to)
                .timeout(ANSWERED_WITHIN)
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(line))
                .build();
        if (!isAnswered(request)) {
            Until.within(ANSWERED_WITHIN, "an answer to " + line, () -> isAnswered(request));
        }
    }

    private boolean isAnswered(HttpRequest request) throws InterruptedException {
        try {
            HttpResponse<String> answer = http.send(request, HttpResponse.BodyHandlers.ofString());
            assertThat(answer.statusCode()).as(answer.body()).isIn(200, 503);
            return answer.statusCode() == 200;
        } catch (IOException e) {
            return false;
        }
    }

    private static void check(YokebarProcess yokebar, List<Made> made) throws Exception {
        JsonNode score = yokebar.get("api/contest-books/1/score");
        Set<Made> worked = new HashSet<>(made);
        Map<String, Integer> points = new HashMap<>();
        Set<String> zones = new HashSet<>();
        worked.forEach(one -> {
            points.merge(one.band(), one.call().startsWith("DL") ? 1 : 3, Integer::sum);
            zones.add(one.band() + one.zone());
        });
        int allPoints = points.values().stream().mapToInt(p -> p).sum();
        assertThat(made).hasSize(CONTACTS);
        assertThat(score.path("contacts").asInt()).isEqualTo(worked.size());
        assertThat(score.path("dupes").asInt()).isEqualTo(made.size() - worked.size());
        assertThat(score.path("score").asLong()).isEqualTo((long) allPoints * zones.size());
        for (JsonNode band : score.path("byBand")) {
            assertThat(band.path("points").asInt())
                    .isEqualTo(points.get(band.path("band").asString()));
        }
        List<String> lines = yokebar.text("api/contest-books/1/cabrillo")
                .lines()
                .filter(line -> line.startsWith("QSO:"))
                .toList();
        assertThat(lines)
                .extracting(line -> Integer.parseInt(line.split("\\s+")[7]))
                .as("serials, each once and none left out")
                .containsExactlyInAnyOrderElementsOf(
                        IntStream.rangeClosed(1, CONTACTS).boxed().toList());
    }
}
