package yokebar.standins.demo;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import yokebar.standins.device.RadioFront;
import yokebar.standins.picture.SlowScanProgram;
import yokebar.standins.world.Station;
import yokebar.standins.world.World;

/** The folders of the slow-scan program, an evening's pictures, some of them with their contacts, and one of the club's own. */
final class DemoPictures {
    private static final int PICTURES = 7;
    private static final int CONTACTS = 4;
    private static final long SLOW_SCAN_HZ = 14_230_000;
    private static final Duration LONGEST = Duration.ofSeconds(30);
    private static final DateTimeFormatter DAY =
            DateTimeFormatter.ofPattern("yyyyMMdd", Locale.ROOT).withZone(ZoneOffset.UTC);
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("HHmmss", Locale.ROOT).withZone(ZoneOffset.UTC);

    private final DemoApi api;
    private final SlowScanProgram program;
    private final List<Station> stations;

    DemoPictures(DemoApi api, SlowScanProgram program, World world) {
        this.api = api;
        this.program = program;
        this.stations = world.stations().subList(0, PICTURES);
    }

    void folders() throws IOException, InterruptedException {
        api.put(
                "api/pictures/settings",
                Map.of(
                        "folder",
                        program.received().toAbsolutePath().toString(),
                        "replyFolder",
                        program.toTransmit().toAbsolutePath().toString()));
    }

    /** @param radio on which they are received */
    void receive(RadioFront radio) throws IOException, InterruptedException {
        long hz = radio.frequencyHz();
        radio.tune(false, SLOW_SCAN_HZ);
        radio.setData(false);
        api.upload("api/picture-replies/own-pictures", "lighthouse.png", program.ownPicture(), Map.of());
        stations.forEach(station -> program.receive(station.call()));
        StringBuilder contacts = new StringBuilder("Slow-scan contacts <EOH>\n");
        stations.stream().limit(CONTACTS).forEach(station -> contacts.append(contact(station)));
        api.upload("api/imports", "slow-scan.adi", contacts.toString().getBytes(StandardCharsets.UTF_8), Map.of());
        JsonNode pictures = awaitPictures();
        // The program receives them in the order of the stations; the first received is listed last.
        for (int i = 0; i < CONTACTS - 1; i++) {
            long id = pictures.get(PICTURES - 1 - i).path("id").asLong();
            api.post(
                    "api/pictures/" + id + "/attach",
                    Map.of("call", stations.get(i).call()));
        }
        radio.tune(false, hz);
        radio.setData(true);
    }

    private JsonNode awaitPictures() throws IOException, InterruptedException {
        Instant until = Instant.now().plus(LONGEST);
        while (true) {
            JsonNode page = api.get("api/pictures");
            // One that arrives between the two is counted and not listed yet.
            if (page.path("pictures").size() == PICTURES) {
                return page.path("pictures");
            }
            if (Instant.now().isAfter(until)) {
                throw new IOException("Yokebar took " + page.path("total").asInt() + " pictures of " + PICTURES);
            }
            Thread.sleep(200);
        }
    }

    private static String contact(Station station) {
        Instant now = Instant.now();
        return field("CALL", station.call())
                + field("QSO_DATE", DAY.format(now))
                + field("TIME_ON", TIME.format(now))
                + field("FREQ", "14.230")
                + field("MODE", "SSTV")
                + field("RST_SENT", "595")
                + field("RST_RCVD", "595")
                + field("NAME", station.name())
                + field("GRIDSQUARE", station.locator())
                + "<EOR>\n";
    }

    private static String field(String name, String value) {
        return "<" + name + ":" + value.getBytes(StandardCharsets.UTF_8).length + ">" + value + " ";
    }
}
