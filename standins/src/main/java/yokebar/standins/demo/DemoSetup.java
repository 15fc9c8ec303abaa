package yokebar.standins.demo;

import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import yokebar.standins.StandIns;
import yokebar.standins.callbook.WhosThere;
import yokebar.standins.countersign.Countersign;
import yokebar.standins.device.VhfRadio;
import yokebar.standins.faircopy.FairCopy;
import yokebar.standins.postbag.Postbag;
import yokebar.standins.quayside.Quayside;
import yokebar.standins.tallyho.TallyHo;
import yokebar.standins.teletype.TextProgram;

/**
 * Furnishes an empty Yokebar for the demo: the station of the Ilha do Farol Radio Club, some weeks of log, Countersign with
 * its identity. It uses the same API as anybody else, and touches nothing when a station is set up already.
 */
public final class DemoSetup {
    private static final String PASSPHRASE = "lamp-of-the-lighthouse";
    private static final int HISTORY_CONTACTS = 1400;
    private static final int HISTORY_DAYS = 60;

    private final DemoApi api;
    private final StandIns standIns;

    public DemoSetup(URI yokebar, StandIns standIns) {
        this.api = new DemoApi(yokebar);
        this.standIns = standIns;
    }

    /** Waits until Yokebar answers, at most so long. */
    public void awaitReady(Duration longest) throws IOException, InterruptedException {
        api.awaitReady(longest);
    }

    /** @return false when there was a station already and nothing was done */
    public boolean furnish() throws IOException, InterruptedException, GeneralSecurityException {
        JsonNode station = api.get("api/station");
        if (station.hasNonNull("ownCall")) {
            return false;
        }
        furnishStation();
        importHistory();
        scoreboard();
        adjudicator();
        new DemoContest(api, standIns.world()).add();
        pictures().receive(standIns.hfRadio().front());
        // The same contacts come as datagrams, too: each is one contact all the same.
        api.post(
                "api/intake-sources/files",
                Map.of("path", standIns.program().ownLog().toAbsolutePath().toString(), "begin", "EVERYTHING"));
        return true;
    }

    /** The station and Countersign, without any contacts. */
    public void furnishStation() throws IOException, InterruptedException, GeneralSecurityException {
        station();
        devices();
        positions();
        countersign();
        otherServices();
        callbook();
        feeds();
        new DemoNets(api, standIns.world()).add();
        pictures().folders();
        api.put("api/reference", Map.of("address", standIns.almanac().address()));
        api.post("api/reference/look", Map.of());
    }

    private DemoPictures pictures() {
        return new DemoPictures(api, standIns.slowScan(), standIns.world());
    }

    private void station() throws IOException, InterruptedException {
        api.put("api/station", Map.of("ownCall", "CU9QYB"));
        api.post("api/station/operators", Map.of("callSign", "CU9QBT", "name", "Branca Teles", "licence", "cept"));
        api.post(
                "api/station/operators",
                Map.of("callSign", "CU9QDM", "name", "Duarte Moniz", "licence", "cept-novice"));
        LocalDate festival = LocalDate.now(ZoneOffset.UTC).minusDays(2);
        api.post(
                "api/station/calls",
                Map.of(
                        "callSign",
                        "CU9QLZ",
                        "validFrom",
                        festival.toString(),
                        "validUntil",
                        festival.plusDays(6).toString(),
                        "note",
                        "Festival of Lamps"));
        api.post("api/station/places", place("Lighthouse", "HM49kq", "HF beam", 100));
        api.post("api/station/places", place("Caldera rim", "HM49lq", "End-fed wire", 5));
        api.put(
                "api/station/preferences",
                Map.of(
                        "secondClock",
                        "Atlantic/Azores",
                        "timeServer",
                        "127.0.0.1:" + standIns.timeServer().port(),
                        "channels",
                        "145.600 repeater Pico\n435.100-435.200 satellite LAMP-1"));
    }

    private static Map<String, Object> place(String name, String locator, String antenna, int powerW) {
        return Map.of("name", name, "locator", locator, "rig", "Petrel 100", "antenna", antenna, "powerW", powerW);
    }

    /** Branca sits at the desk with the HF radio; there is a chair for Duarte at the VHF radio. */
    private void positions() throws IOException, InterruptedException {
        JsonNode whole = api.get("api/station");
        JsonNode radios = api.get("api/radios");
        long lighthouse = number(whole.path("places"), "name", "Lighthouse");
        api.put(
                "api/positions/1",
                Map.of(
                        "name",
                        "Lamp room",
                        "operatorId",
                        number(whole.path("operators"), "callSign", "CU9QBT"),
                        "placeId",
                        lighthouse,
                        "radioId",
                        number(radios, "name", "Petrel 100")));
        api.post(
                "api/positions",
                Map.of(
                        "name",
                        "Workshop",
                        "operatorId",
                        number(whole.path("operators"), "callSign", "CU9QDM"),
                        "placeId",
                        lighthouse,
                        "radioId",
                        number(radios, "name", "Shearwater V/U")));
        api.put("api/positions/1", Map.of("name", "Lamp room"));
    }

    private static long number(JsonNode list, String field, String value) {
        return list.valueStream()
                .filter(one -> one.path(field).asString().equals(value))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asLong();
    }

    private void devices() throws IOException, InterruptedException {
        api.post(
                "api/radios",
                Map.of(
                        "name",
                        "Petrel 100",
                        "dialect",
                        "semicolon",
                        "address",
                        "127.0.0.1:" + standIns.hfRadio().port(),
                        "shareTransmit",
                        true,
                        "sendTexts",
                        true));
        api.post(
                "api/radios",
                Map.of(
                        "name",
                        "Shearwater V/U",
                        "dialect",
                        "framed",
                        "bus",
                        VhfRadio.BUS,
                        "fullPowerW",
                        50,
                        "address",
                        "127.0.0.1:" + standIns.vhfRadio().port()));
        for (TextProgram program : List.of(standIns.sandpiper(), standIns.dunlin())) {
            api.post(
                    "api/text-programs",
                    Map.of("name", program.name(), "address", program.address(), "sendTexts", program.sends()));
        }
        api.post(
                "api/rotors",
                Map.of(
                        "name",
                        "Windrose",
                        "address",
                        "127.0.0.1:" + standIns.rotator().port(),
                        "stopDegrees",
                        180,
                        "presets",
                        "45 Europe\n95 Africa\n200 Brazil\n285 North America\n345 Japan"));
    }

    private void countersign() throws IOException, InterruptedException, GeneralSecurityException {
        byte[] identity = standIns.countersign()
                .authority()
                .issue(
                        "CU9QYB",
                        Instant.parse("2015-01-01T00:00:00Z"),
                        Instant.parse("2045-12-31T23:59:59Z"),
                        PASSPHRASE);
        api.upload("api/services/1/identities", "identity.p12", identity, Map.of("passphrase", PASSPHRASE));
        api.put(
                "api/services/1",
                Map.of(
                        "address",
                        standIns.countersign().address(),
                        "account",
                        Countersign.ACCOUNT,
                        "password",
                        Countersign.PASSWORD,
                        "when",
                        "AT_ONCE",
                        "fetchEverySeconds",
                        10));
    }

    private void otherServices() throws IOException, InterruptedException {
        api.put(
                "api/services/2",
                Map.of(
                        "inUse",
                        true,
                        "address",
                        standIns.quayside().address(),
                        "password",
                        Quayside.KEY,
                        "when",
                        "AT_ONCE"));
        api.put(
                "api/services/3",
                Map.of(
                        "inUse",
                        true,
                        "address",
                        standIns.postbag().address(),
                        "account",
                        Postbag.NAME,
                        "password",
                        Postbag.PASSWORD,
                        "when",
                        "EVERY",
                        "everyMinutes",
                        1,
                        "fetchEverySeconds",
                        20));
        api.put("api/mail", Map.of("address", "127.0.0.1:" + standIns.mail().port(), "callSign", "CU9QYB"));
    }

    private void feeds() throws IOException, InterruptedException {
        api.post(
                "api/feeds",
                Map.of(
                        "name",
                        "Beacon Hill",
                        "host",
                        "127.0.0.1",
                        "port",
                        standIns.node().port(),
                        "login",
                        "CU9QYB",
                        "commands",
                        "sh/dx",
                        "skimmer",
                        false));
        api.post(
                "api/feeds",
                Map.of(
                        "name",
                        "Nightjar",
                        "host",
                        "127.0.0.1",
                        "port",
                        standIns.skimmer().port(),
                        "login",
                        "CU9QYB",
                        "skimmer",
                        true));
    }

    private void callbook() throws IOException, InterruptedException {
        api.put(
                "api/callbook",
                Map.of(
                        "address",
                        standIns.callbook().address(),
                        "account",
                        WhosThere.ACCOUNT,
                        "password",
                        WhosThere.PASSWORD));
    }

    private void scoreboard() throws IOException, InterruptedException {
        api.put(
                "api/scoreboard",
                Map.of(
                        "address",
                        standIns.scoreboard().address(),
                        "account",
                        TallyHo.ACCOUNT,
                        "password",
                        TallyHo.PASSWORD,
                        "everyMinutes",
                        2));
    }

    private void adjudicator() throws IOException, InterruptedException {
        api.put(
                "api/adjudicator",
                Map.of(
                        "address",
                        standIns.adjudicator().address(),
                        "account",
                        FairCopy.ACCOUNT,
                        "password",
                        FairCopy.PASSWORD));
    }

    private void importHistory() throws IOException, InterruptedException {
        byte[] history =
                standIns.program().history(HISTORY_CONTACTS, HISTORY_DAYS).getBytes(StandardCharsets.UTF_8);
        api.upload("api/imports", "wavelet-history.adi", history, Map.of());
    }
}
