package yokebar.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import yokebar.standins.StandIns;
import yokebar.standins.demo.DemoSetup;
import yokebar.standins.http.SimulatedFaults;

/**
 * Everything goes wrong at every service, and the application is killed in between: at the end each contact that may go is
 * there exactly once by the service's own books, each held one has its reason, and nothing was ever shown ahead of its proof.
 * {@code chaos.sh} runs it at length.
 */
class ChaosTest {
    private static final int CONTACTS = Integer.getInteger("yokebar.contacts", 160);
    private static final int KILLS = Integer.getInteger("yokebar.kills", 1);
    private static final int SECONDS = Integer.getInteger("yokebar.chaos-seconds", 12);
    private static final long SEED = Long.getLong("yokebar.seed", 7);
    /** Every so many contacts one went over a repeater. */
    private static final int RELAYED_EVERY = 12;

    private static final Duration TO_SETTLE = Duration.ofSeconds(60 + SECONDS);

    @TempDir
    private Path folder;

    private final Random random = new Random(SEED);
    private int looks;

    @Test
    void eachContactOnceAndNothingAheadOfItsProof() throws Exception {
        try (YokebarProcess yokebar = new YokebarProcess(folder.resolve("yokebar")).start();
                StandIns standIns = new StandIns(new StandIns.Settings(
                        9,
                        Clock.systemUTC(),
                        yokebar.standInsHome(),
                        yokebar.adifPort(),
                        0,
                        0,
                        0,
                        yokebar.devices(),
                        null))) {
            standIns.countersign().setQueueDelay(Duration.ofMillis(300));
            standIns.countersign().setPaceOfOthers(0);
            standIns.postbag().setPaceOfOthers(0);
            new DemoSetup(URI.create(yokebar.address().toString()), standIns).furnishStation();
            yokebar.put("/api/services/3", "{\"when\":\"AT_ONCE\"}");
            List<SimulatedFaults> services = List.of(
                    standIns.countersign().faults(),
                    standIns.quayside().faults(),
                    standIns.postbag().faults());
            Instant end = Instant.now().plusSeconds(SECONDS);
            Duration betweenKills = Duration.ofSeconds(SECONDS).dividedBy(KILLS + 1);
            Instant nextKill = Instant.now().plus(betweenKills);
            int kills = 0;
            int sent = 0;
            while (Instant.now().isBefore(end) || sent < CONTACTS) {
                int piece = Math.max(1, CONTACTS / Math.max(1, SECONDS));
                for (int i = 0; i < piece && sent < CONTACTS; i++) {
                    standIns.program().send(record(sent++));
                }
                somethingGoesWrong(standIns, services);
                theOperatorIsImpatient(yokebar);
                nothingIsAheadOfItsProof(yokebar, standIns);
                if (kills < KILLS && Instant.now().isAfter(nextKill)) {
                    yokebar.kill();
                    yokebar.start();
                    kills++;
                    nextKill = nextKill.plus(betweenKills);
                }
                Thread.sleep(200);
            }
            allIsWellAgain(standIns, services);
            check(yokebar, standIns);
        }
    }

    private static String record(int i) {
        String call = "K" + i % 10 + "Q" + (char) ('A' + i / 10 % 26) + (char) ('A' + i / 260 % 26);
        String relayed = relayed(i) ? "<PROP_MODE:3>RPT" : "";
        return "<CALL:5>%s<QSO_DATE:8>2026%02d01<TIME_ON:6>%02d%02d30<BAND:3>%s<MODE:2>CW<RST_SENT:3>599%s<EOR>"
                .formatted(call, i / 6760 + 1, i / 60 % 24, i % 60, i % 2 == 0 ? "20m" : "40m", relayed);
    }

    private static boolean relayed(int i) {
        return i % RELAYED_EVERY == 5;
    }

    private void somethingGoesWrong(StandIns standIns, List<SimulatedFaults> services) throws IOException {
        for (SimulatedFaults service : services) {
            service.often(random.nextInt(3) == 0 ? 0.15 : 0, random.nextLong());
            if (random.nextInt(40) == 0) {
                service.loseNextAnswer();
            }
        }
        if (random.nextInt(25) == 0) {
            standIns.countersign().setUp(false);
            standIns.quayside().setUp(false);
        } else if (random.nextInt(3) == 0) {
            standIns.countersign().setUp(true);
            standIns.quayside().setUp(true);
        }
        if (random.nextInt(10) == 0) {
            standIns.quayside().setMostInASecond(5 + random.nextInt(50));
            standIns.countersign().setQueueDelay(Duration.ofMillis(random.nextInt(3000)));
            standIns.postbag().setRefused("K3QAA", random.nextBoolean());
        }
    }

    /** A refused account is left alone for a quarter of an hour; somebody who knows better asks for another try. */
    private void theOperatorIsImpatient(YokebarProcess yokebar) throws Exception {
        int service = 1 + random.nextInt(12);
        if (service <= 3) {
            yokebar.post("/api/services/" + service + "/handovers", "{}");
        }
    }

    private void allIsWellAgain(StandIns standIns, List<SimulatedFaults> services) throws IOException {
        services.forEach(service -> service.often(0, 0));
        standIns.countersign().setUp(true);
        standIns.quayside().setUp(true);
        standIns.countersign().setQueueDelay(Duration.ZERO);
        standIns.quayside().setMostInASecond(1000);
        standIns.postbag().setRefused("K3QAA", false);
    }

    /** What the application shows was read first, the books afterwards: they may only be ahead of it. */
    private void nothingIsAheadOfItsProof(YokebarProcess yokebar, StandIns standIns) throws Exception {
        Map<Integer, Set<String>> shown = new HashMap<>();
        for (int service = 1; service <= 3; service++) {
            Set<String> accepted = new HashSet<>();
            for (JsonNode line : yokebar.get("/api/services/" + service + "/contacts?state=ACCEPTED")) {
                accepted.add(line.path("call").asString());
            }
            shown.put(service, accepted);
        }
        looks++;
        assertThat(calls(standIns.countersign().books())).as("Countersign").containsAll(shown.get(1));
        assertThat(calls(standIns.quayside().books())).as("Quayside").containsAll(shown.get(2));
        assertThat(calls(standIns.postbag().books())).as("Postbag").containsAll(shown.get(3));
    }

    private static Set<String> calls(List<Map<String, Object>> books) {
        return books.stream()
                .map(entry -> entry.get("key").toString().split(" ")[1])
                .collect(Collectors.toSet());
    }

    private void check(YokebarProcess yokebar, StandIns standIns) throws Exception {
        long inLog = yokebar.get("/api/contacts?limit=1").path("total").asLong();
        assertThat(inLog).as("enough came through to mean something").isGreaterThan(CONTACTS / 4);
        Instant until = Instant.now().plus(TO_SETTLE);
        while (!settled(yokebar, inLog)) {
            assertThat(Instant.now())
                    .as("settled: " + yokebar.text("/api/services"))
                    .isBefore(until);
            Thread.sleep(500);
        }
        for (int service = 1; service <= 3; service++) {
            for (JsonNode reason :
                    yokebar.get("/api/services/" + service + "/outlook").path("held")) {
                assertThat(reason.path("reason").asString()).contains("Made over a repeater");
            }
        }
        for (List<Map<String, Object>> books : List.of(
                standIns.countersign().books(),
                standIns.quayside().books(),
                standIns.postbag().books())) {
            assertThat(books).allMatch(entry -> entry.get("copies").equals(1));
        }
        Set<String> direct = new HashSet<>();
        for (int i = 0; i < CONTACTS; i++) {
            if (!relayed(i)) {
                direct.add(record(i).replaceAll("^<CALL:5>(\\w{5}).*", "$1"));
            }
        }
        assertThat(direct).containsAll(calls(standIns.countersign().books()));
        System.out.printf(
                "chaos: seed %d, %d contacts in the log of %d sent, %d kills, %d looks; at Countersign %d, Quayside %d,"
                        + " Postbag %d, each once%n",
                SEED,
                inLog,
                CONTACTS,
                KILLS,
                looks,
                standIns.countersign().books().size(),
                standIns.quayside().books().size(),
                standIns.postbag().books().size());
    }

    /** Everything is accepted or held; pauses after failures are cut short, as an operator would. */
    private static boolean settled(YokebarProcess yokebar, long inLog) throws Exception {
        boolean all = true;
        for (JsonNode lane : yokebar.get("/api/services")) {
            if (lane.path("byHand").asBoolean()) {
                continue;
            }
            long done = lane.path("counts").path("ACCEPTED").asLong()
                    + lane.path("counts").path("HELD").asLong();
            if (lane.path("counts").path("REFUSED").asLong() > 0) {
                goAgain(yokebar, lane.path("id").asInt());
            }
            if (done < inLog) {
                all = false;
                yokebar.post("/api/services/" + lane.path("id").asInt() + "/handovers", "{}");
            }
        }
        return all;
    }

    /** What was refused for a while goes again: left out and taken in again. */
    private static void goAgain(YokebarProcess yokebar, int service) throws Exception {
        String ids = yokebar.get("/api/services/" + service + "/contacts?state=REFUSED")
                .valueStream()
                .map(line -> line.path("id").asString())
                .collect(Collectors.joining(","));
        for (boolean meant : new boolean[] {false, true}) {
            yokebar.put(
                    "/api/services/" + service + "/contacts", "{\"meant\":" + meant + ",\"contactIds\":[" + ids + "]}");
        }
    }
}
