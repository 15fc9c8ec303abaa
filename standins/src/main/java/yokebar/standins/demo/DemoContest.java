package yokebar.standins.demo;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import yokebar.standins.world.Station;
import yokebar.standins.world.World;

/** A contest of the club's own that runs today, and what the club has worked in it so far. */
final class DemoContest {
    private static final int WORKED = 64;
    private static final int WORKED_LAST_YEAR = 160;
    private static final long GOAL = 60_000;
    private static final List<String> FREQUENCIES = List.of("7.021", "14.024", "21.027");
    private static final DateTimeFormatter DATE =
            DateTimeFormatter.ofPattern("yyyyMMdd").withZone(ZoneOffset.UTC);
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("HHmmss").withZone(ZoneOffset.UTC);

    private final DemoApi api;
    private final World world;
    private final Random random = new Random(17);

    DemoContest(DemoApi api, World world) {
        this.api = api;
        this.world = world;
    }

    /** Last year's contest, too, so that there is something to be better than; its log was handed in. */
    void add() throws IOException, InterruptedException {
        Instant from = Instant.now().truncatedTo(ChronoUnit.HOURS).minus(Duration.ofHours(3));
        long lastYear = begin(from.minus(Duration.ofDays(364)), WORKED_LAST_YEAR, 420, 0);
        api.post("api/contest-books/" + lastYear + "/hand-in", Map.of());
        begin(from, WORKED, 150, GOAL);
    }

    /** @return the id of the book */
    private long begin(Instant from, int contacts, int apart, long goal) throws IOException, InterruptedException {
        api.postText("api/contest-definitions", definition(from, from.plus(Duration.ofHours(24))));
        api.upload(
                "api/imports",
                "lamplighter.adi",
                worked(from, contacts, apart).getBytes(StandardCharsets.UTF_8),
                Map.of());
        return api.post(
                        "api/contest-books",
                        Map.of(
                                "contest",
                                "Lamplighter Day",
                                "power",
                                "LOW",
                                "goal",
                                goal,
                                "header",
                                Map.of("CLUB", "Ilha do Farol Radio Club", "LOCATION", "Corvo")))
                .path("id")
                .asLong();
    }

    private static String definition(Instant from, Instant until) {
        return """
                # Everybody works everybody, by key and by radioteletype; the zones multiply on each band.
                name: Lamplighter Day
                cabrillo name: LAMPLIGHTER-DAY
                periods:
                  - {from: %s, until: %s}
                bands: [40m, 20m, 15m]
                modes: [CW, RTTY]
                exchange:
                  - {name: report, kind: report}
                  - {name: serial, kind: serial}
                  - {name: zone, kind: cq zone}
                work again: {each: [band]}
                points:
                  - {when: {entity: same}, points: 1}
                  - {when: {continent: other}, points: 5}
                  - {points: 2}
                multipliers:
                  - {name: zones, of: cq zone, each: [band]}
                  - {name: entities, of: entity, each: [band]}
                score:
                  power: {QRP: 3, LOW: 2, HIGH: 1}
                categories:
                  - {name: operator, choices: [SINGLE-OP, MULTI-OP, CHECKLOG]}
                  - {name: assisted, choices: [NON-ASSISTED, ASSISTED]}
                  - {name: overlay, choices: [ROOKIE, WIRES-ONLY], optional: true}
                limits:
                  operating time: {most hours: 18, break minutes: 60, when: {operator: SINGLE-OP}}
                """
                .formatted(from, until);
    }

    /**
     * A contact every so many seconds since the contest began; now and then a station once more. Near the end a station
     * worked before is taken down with a wrong letter, and another with a wrong zone.
     */
    private String worked(Instant from, int contacts, int apart) {
        StringBuilder text = new StringBuilder("<EOH>\n");
        Map<String, Integer> times = new HashMap<>();
        boolean wrongLetter = false;
        boolean wrongZone = false;
        for (int i = 1; i <= contacts; i++) {
            Instant at = from.plusSeconds((long) i * apart - random.nextInt(60));
            Station station =
                    world.stations().get(random.nextInt(world.stations().size() / 8));
            boolean often = times.merge(station.call(), 1, Integer::sum) > 2;
            boolean slip = often && !wrongLetter;
            boolean otherZone = often && wrongLetter && !wrongZone;
            wrongLetter |= slip;
            wrongZone |= otherZone;
            field(text, "CALL", slip ? withOtherEnd(station.call()) : station.call());
            field(text, "QSO_DATE", DATE.format(at));
            field(text, "TIME_ON", TIME.format(at));
            field(text, "FREQ", FREQUENCIES.get(i * FREQUENCIES.size() / (contacts + 1)));
            field(text, "MODE", "CW");
            field(text, "STATION_CALLSIGN", "CU9QYB");
            field(text, "CONTEST_ID", "LAMPLIGHTER-DAY");
            field(text, "RST_SENT", "599");
            field(text, "RST_RCVD", "599");
            field(text, "STX", Integer.toString(i));
            field(text, "STX_STRING", i + " 14");
            int serial = 1 + Math.floorMod(station.call().hashCode(), 40) + 2 * i;
            int zone = station.cqZone() + (otherZone ? 1 : 0);
            field(text, "SRX_STRING", serial + " " + zone);
            text.append("<EOR>\n");
        }
        return text.toString();
    }

    private static String withOtherEnd(String call) {
        return call.substring(0, call.length() - 1) + (call.endsWith("H") ? "S" : "H");
    }

    private static void field(StringBuilder text, String name, String value) {
        text.append('<')
                .append(name)
                .append(':')
                .append(value.length())
                .append('>')
                .append(value)
                .append(' ');
    }
}
