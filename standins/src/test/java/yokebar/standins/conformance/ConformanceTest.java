package yokebar.standins.conformance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import yokebar.standins.callbook.WhosThere;
import yokebar.standins.countersign.Authority;
import yokebar.standins.countersign.Countersign;
import yokebar.standins.faircopy.FairCopy;
import yokebar.standins.http.HttpService;
import yokebar.standins.mail.MailGateway;
import yokebar.standins.port.FreePorts;
import yokebar.standins.postbag.Postbag;
import yokebar.standins.program.LinkedProgram;
import yokebar.standins.quayside.Quayside;
import yokebar.standins.reference.Almanac;
import yokebar.standins.tallyho.TallyHo;
import yokebar.standins.world.World;

class ConformanceTest {
    @TempDir
    private Path folder;

    private final ByteArrayOutputStream out = new ByteArrayOutputStream();

    private int unmet(String protocol, String address, String account) {
        return unmet(protocol, new Subject(URI.create(address), account));
    }

    private int unmet(String protocol, Subject subject) {
        return Conformance.run(protocol, subject, new PrintStream(out, true, StandardCharsets.UTF_8));
    }

    private void meetsAll(String protocol, String address, String account) {
        assertThat(unmet(protocol, address, account)).as(said()).isZero();
    }

    private String said() {
        return out.toString(StandardCharsets.UTF_8);
    }

    @Test
    void quaysideKeepsToItsProtocol() throws Exception {
        try (Quayside quayside = new Quayside(Clock.systemUTC(), folder, 0)) {
            meetsAll("quayside", quayside.address(), Quayside.KEY);
        }
    }

    @Test
    void postbagKeepsToItsProtocol() throws Exception {
        try (Postbag postbag = new Postbag(new World(5), Clock.systemUTC(), folder, 0)) {
            meetsAll("postbag", postbag.address(), Postbag.NAME + ":" + Postbag.PASSWORD);
        }
    }

    @Test
    void countersignKeepsToItsProtocol() throws Exception {
        try (Countersign countersign = new Countersign(new World(5), Clock.systemUTC(), folder, 0)) {
            meetsAll("countersign", countersign.address(), Countersign.ACCOUNT + ":" + Countersign.PASSWORD);
        }
    }

    @Test
    void theCallbookKeepsToItsProtocol() throws Exception {
        try (WhosThere callbook = new WhosThere(new World(5), Clock.systemUTC(), 0)) {
            meetsAll("callbook", callbook.address(), WhosThere.ACCOUNT + ":" + WhosThere.PASSWORD);
        }
    }

    @Test
    void countersignKeepsToItsProtocolAlsoWhereACertificateIsNeeded() throws Exception {
        try (Countersign countersign = new Countersign(new World(5), Clock.systemUTC(), folder, 0)) {
            countersign.setQueueDelay(Duration.ofMillis(300));
            Path identity = folder.resolve("identity.p12");
            Instant from = Instant.parse("2020-01-01T00:00:00Z");
            Files.write(
                    identity,
                    countersign.authority().issue("CU9QYB", from, Instant.parse("2040-01-01T00:00:00Z"), "open"));
            URI address = URI.create(countersign.address());
            String account = Countersign.ACCOUNT + ":" + Countersign.PASSWORD;
            assertThat(unmet("countersign", new Subject(address, account, identity, "open")))
                    .as(said())
                    .isZero();
            assertThat(said()).contains("met    POST api/renewals");
            // One that is not the service's own is refused.
            Files.write(
                    identity,
                    Authority.keptIn(folder.resolve("another"), "CN=Another authority")
                            .issue("CU9QYB", from, Instant.parse("2040-01-01T00:00:00Z"), "open"));
            assertThat(unmet("countersign", new Subject(address, account, identity, "open")))
                    .as(said())
                    .isGreaterThan(2);
            assertThatThrownBy(() -> unmet("countersign", new Subject(address, account, identity, "shut")))
                    .hasMessageContaining("cannot be opened");
        }
    }

    @Test
    void theReferencePublisherKeepsToItsProtocolUnlessItsFilesAreDamaged() throws Exception {
        try (Almanac almanac = new Almanac(0, new World(5))) {
            meetsAll("reference", almanac.address(), "");
            almanac.setDamaged(true);
            assertThat(unmet("reference", almanac.address(), "")).as(said()).isGreaterThan(1);
        }
    }

    @Test
    void theScoreboardKeepsToItsProtocol() throws Exception {
        try (TallyHo scoreboard = new TallyHo(new World(5), Clock.systemUTC(), 0)) {
            meetsAll("tally-ho", scoreboard.address(), TallyHo.ACCOUNT + ":" + TallyHo.PASSWORD);
            assertThat(said()).contains("met    a score that comes before everySeconds");
            scoreboard.setEverySeconds(0);
            meetsAll("tally-ho", scoreboard.address(), TallyHo.ACCOUNT + ":" + TallyHo.PASSWORD);
            scoreboard.setEverySeconds(4_000);
            assertThat(unmet("tally-ho", scoreboard.address(), TallyHo.ACCOUNT + ":" + TallyHo.PASSWORD))
                    .as(said())
                    .isEqualTo(3);
        }
    }

    @Test
    void theAdjudicatorKeepsToItsProtocolBeforeAndAfterTheCheck() throws Exception {
        try (FairCopy adjudicator = new FairCopy(new World(5), Clock.systemUTC(), folder, 0)) {
            String account = FairCopy.ACCOUNT + ":" + FairCopy.PASSWORD;
            for (Duration check : List.of(Duration.ofHours(1), Duration.ofSeconds(5), Duration.ZERO)) {
                adjudicator.setCheckTakes(check);
                meetsAll("fair-copy", adjudicator.address(), account);
            }
            adjudicator.setRefused("ZP5QXA", true);
            assertThat(unmet("fair-copy", adjudicator.address(), account))
                    .as(said())
                    .isEqualTo(3);
        }
    }

    @Test
    void theMailGatewayKeepsToItsProtocolAndHandsNothingOn() throws Exception {
        List<String> letters = new ArrayList<>();
        try (MailGateway gateway = new MailGateway(folder, 0, (letter, id) -> letters.add(id))) {
            gateway.setBytesPerSecond(200_000);
            meetsAll("radio-mail", "tcp://127.0.0.1:" + gateway.port(), "CU9QYB");
            assertThat(letters).isEmpty();
        }
    }

    @Test
    void aProgramKeepsToTheDigitalLink() throws Exception {
        int port = FreePorts.udp();
        try (LinkedProgram program =
                new LinkedProgram(new World(5), Clock.systemUTC(), 3, "wavelet-1", "Wavelet", port, 2)) {
            program.listen(0.5);
            program.contact("ZP5QXA");
            meetsAll("digital-link-program", "udp://127.0.0.1:" + port, "");
            assertThat(program.waiting()).isZero();
        }
    }

    /** It tells its contact once, reads nothing, and says neither who it is nor which run this is. */
    @Test
    void aProgramThatKeepsToNothingOfTheDigitalLinkIsFound() throws Exception {
        try (DatagramSocket program = new DatagramSocket(0, InetAddress.getLoopbackAddress())) {
            int port = FreePorts.udp();
            Thread telling = new Thread(() -> tellBadly(program, port));
            telling.setDaemon(true);
            telling.start();
            DigitalProgramRequirements requirements = new DigitalProgramRequirements(
                    URI.create("udp://127.0.0.1:" + port),
                    new DigitalProgramRequirements.Waits(
                            Duration.ofMillis(500), Duration.ofMillis(500), Duration.ofMillis(500)));
            assertThat(Conformance.tried(requirements.all(), new PrintStream(out, true, StandardCharsets.UTF_8)))
                    .as(said())
                    .isEqualTo(5);
        }
    }

    /** A server that answers all alike keeps to nothing. */
    @Test
    void whatIsNotMetIsSaid() throws Exception {
        try (HttpService server = new HttpService(0)
                .on("/", request -> HttpService.Answer.json(200, Map.of("words", "fine")))
                .start()) {
            for (String protocol :
                    List.of("countersign", "quayside", "postbag", "callbook", "reference", "tally-ho", "fair-copy")) {
                out.reset();
                assertThat(unmet(protocol, "http://127.0.0.1:" + server.port() + "/", "a:b"))
                        .as(protocol)
                        .isGreaterThan(2);
                assertThat(said()).contains("UNMET").contains("requirements are not met.");
            }
        }
        try (ServerSocket stranger = new ServerSocket(0, 5, InetAddress.getLoopbackAddress())) {
            Thread answering = new Thread(() -> hangUpOnEverybody(stranger));
            answering.setDaemon(true);
            answering.start();
            out.reset();
            assertThat(unmet("radio-mail", "tcp://127.0.0.1:" + stranger.getLocalPort(), "CU9QYB"))
                    .isEqualTo(6);
        }
        assertThatThrownBy(() -> unmet("morse", "http://127.0.0.1:1/", ""))
                .hasMessageContaining("countersign, quayside");
    }

    private static void tellBadly(DatagramSocket program, int port) {
        try {
            for (String type = "heartbeat"; true; type = type.equals("status") ? "heartbeat" : "status") {
                byte[] message = ("{\"link\":1,\"n\":1,\"type\":\"" + type + "\"}").getBytes(StandardCharsets.UTF_8);
                program.send(new DatagramPacket(message, message.length, InetAddress.getLoopbackAddress(), port));
                Thread.sleep(20);
            }
        } catch (IOException | InterruptedException e) {
            // the test is over
        }
    }

    private static void hangUpOnEverybody(ServerSocket server) {
        try {
            while (true) {
                server.accept().close();
            }
        } catch (IOException e) {
            // the test is over
        }
    }
}
