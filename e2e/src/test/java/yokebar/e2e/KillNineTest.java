package yokebar.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import yokebar.standins.StandIns;
import yokebar.standins.countersign.Countersign;
import yokebar.standins.demo.DemoSetup;

/**
 * Killed with -9 in the middle of arriving contacts, several times over: what the journal shows as added is in the log exactly
 * once, and Countersign ends up with each of them exactly once.
 */
class KillNineTest {
    /** {@code kill-nine.sh} does more of both. */
    private static final int CONTACTS = Integer.getInteger("yokebar.contacts", 1_800);

    private static final int KILLS = Integer.getInteger("yokebar.kills", 3);
    private static final int UNDER_WAY = 30;

    @TempDir
    private Path folder;

    @Test
    void nothingIsLostOrDoubled() throws Exception {
        Random random = new Random(42);
        try (YokebarProcess yokebar = new YokebarProcess(folder.resolve("yokebar")).start();
                StandIns standIns = new StandIns(new StandIns.Settings(
                        9, Clock.systemUTC(), folder.resolve("stand-ins"), yokebar.adifPort(), 0, 0))) {
            Countersign countersign = standIns.countersign();
            countersign.setQueueDelay(Duration.ofMillis(300));
            countersign.setPaceOfOthers(0);
            new DemoSetup(URI.create(yokebar.address().toString()), standIns).furnishStation();
            Set<String> seenBeforeAKill = new HashSet<>();
            int sent = 0;
            for (int kill = 0; kill < KILLS; kill++) {
                int upTo = (kill + 1) * CONTACTS / KILLS;
                int killAt = sent + (upTo - sent) * (60 + random.nextInt(35)) / 100;
                long enough = total(yokebar) + CONTACTS / KILLS / 10;
                boolean killed = false;
                for (; sent < upTo; sent++) {
                    standIns.program().send(record(sent));
                    if (sent % 20 == 0) {
                        Thread.sleep(40);
                    }
                    if (!killed && sent == killAt) {
                        // A slow machine has not written any yet; the kill must find some written and some under way.
                        Until.itIs("some of them in the log", () -> total(yokebar) >= enough);
                        seenBeforeAKill.addAll(callsInLog(yokebar));
                        for (int more = 0; more < UNDER_WAY && sent + 1 < upTo; more++) {
                            standIns.program().send(record(++sent));
                        }
                        yokebar.kill();
                        killed = true;
                    }
                }
                yokebar.start();
                // Some senders repeat themselves; what is there already must stay one contact.
                for (int again = sent - 200; again < sent; again += 3) {
                    standIns.program().send(record(again));
                }
            }
            awaitAllAccepted(yokebar);
            check(yokebar, countersign, seenBeforeAKill);
        }
    }

    private static void check(YokebarProcess yokebar, Countersign countersign, Set<String> seenBeforeAKill)
            throws Exception {
        Set<String> addedByJournal = new HashSet<>();
        Long below = null;
        do {
            JsonNode page =
                    yokebar.get("api/journal?decision=ADDED&limit=500" + (below == null ? "" : "&below=" + below));
            for (JsonNode line : page) {
                String call = line.path("raw").asString().replaceAll("(?s).*<call:6>(\\w{6}).*", "$1");
                assertThat(addedByJournal.add(call)).as(call + " added twice").isTrue();
            }
            below = page.isEmpty() ? null : page.get(page.size() - 1).path("id").asLong();
        } while (below != null);

        List<String> calls = callsInLog(yokebar);
        Set<String> inLog = new HashSet<>(calls);
        assertThat(calls).as("each once").hasSameSizeAs(inLog);
        assertThat(inLog).containsAll(seenBeforeAKill);
        assertThat(inLog).isEqualTo(addedByJournal);
        assertThat(inLog.size()).as("enough came through to mean something").isGreaterThan(CONTACTS / 10);

        List<Map<String, Object>> books = countersign.books();
        assertThat(books).hasSize(inLog.size()).allMatch(line -> line.get("copies")
                .equals(1));
        System.out.println("kill -9: " + inLog.size() + " of " + CONTACTS + " sent contacts were logged, each once; "
                + books.size() + " at Countersign, each once");
    }

    private static void awaitAllAccepted(YokebarProcess yokebar) throws Exception {
        Until.within(Duration.ofSeconds(120), "all accepted", () -> {
            long total = total(yokebar);
            JsonNode lane = yokebar.get("api/services").get(0);
            return total > 0 && lane.path("counts").path("ACCEPTED").asLong() == total;
        });
    }

    private static long total(YokebarProcess yokebar) throws Exception {
        return yokebar.get("api/contacts?limit=1").path("total").asLong();
    }

    private static List<String> callsInLog(YokebarProcess yokebar) throws Exception {
        return yokebar.text("api/contacts.adi")
                .lines()
                .filter(line -> line.startsWith("<CALL"))
                .map(line -> line.substring(8, 14))
                .toList();
    }

    /** A contact of its own for each number below 6 760. */
    static String record(int i) {
        String call = "OZ" + i % 10 + "Q" + (char) ('A' + i / 10 % 26) + (char) ('A' + i / 260);
        return "<call:6>" + call + "<qso_date:8>20260501<time_on:6>" + "%02d%02d00".formatted(i / 60 % 24, i % 60)
                + "<freq:6>14.074<mode:3>FT8<rst_sent:3>-10<rst_rcvd:3>-12<station_callsign:6>CU9QYB<eor>";
    }
}
