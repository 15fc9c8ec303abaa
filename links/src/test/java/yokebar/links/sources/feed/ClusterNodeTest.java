package yokebar.links.sources.feed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static yokebar.links.LinkWatch.await;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import yokebar.links.platform.status.LinkState;
import yokebar.standins.air.Air;
import yokebar.standins.cluster.BeaconHill;
import yokebar.standins.cluster.Nightjar;
import yokebar.standins.world.World;

class ClusterNodeTest {
    private final List<String> heard = new CopyOnWriteArrayList<>();
    private final List<String> sent = new CopyOnWriteArrayList<>();
    private final Air air = new Air(new World(9), Clock.systemUTC(), 1);
    private BeaconHill hill;
    private ClusterNode node;

    private final ClusterNode.Listener listener = new ClusterNode.Listener() {
        @Override
        public void heard(String line) {
            heard.add(line);
        }

        @Override
        public void sent(String line) {
            sent.add(line);
        }
    };

    @BeforeEach
    void openHill() throws IOException {
        hill = new BeaconHill(air, Clock.systemUTC(), 1, 0);
    }

    @AfterEach
    void close() {
        if (node != null) {
            node.close();
        }
        hill.close();
    }

    private ClusterNode node(int port, String password, Duration keepAlive) {
        NodeSetting setting = new NodeSetting(
                "Beacon Hill",
                "127.0.0.1",
                port,
                "CU9QYB",
                password,
                List.of("sh/dx"),
                keepAlive,
                Duration.ofMinutes(5));
        node = new ClusterNode(setting, Clock.systemUTC(), listener, status -> {});
        node.start();
        return node;
    }

    @Test
    void logsInSaysItsCommandsAndPassesLinesOnWithoutTelnetsOwnWords() {
        hill.spot("OZ1QAB", 14_025.0, "ZP5QXA", "before we came");
        node(hill.port(), null, Duration.ZERO);
        await("sh/dx", () -> heard.stream().anyMatch(line -> line.contains("before we came")));
        hill.spot("OZ2QAB", 14_025.0, "ZP5QXA", "after");
        await("the spot", () -> heard.stream().anyMatch(line -> line.contains("after")));
        assertThat(sent).containsExactly("CU9QYB", "sh/dx");
        assertThat(heard).allSatisfy(line -> assertThat(line).matches("[\\x20-\\x7e]*"));
        assertThat(node.status().state()).isEqualTo(LinkState.LIVE);
    }

    @Test
    void aPasswordIsGivenAndNeverTold() throws IOException {
        hill.setPassword("lamp-of-the-hill");
        node(hill.port(), "lamp-of-the-hill", Duration.ZERO);
        await("welcome", () -> heard.stream().anyMatch(line -> line.startsWith("Hello CU9QYB")));
        assertThat(sent).doesNotContain("lamp-of-the-hill");
        node.say("dx 14025.0 ZP5QXA loud");
        await("the post", () -> hill.books().size() == 1);
        assertThat(hill.books().get(0).call()).isEqualTo("ZP5QXA");
        assertThat(hill.books().get(0).hz()).isEqualTo(14_025_000);
        assertThat(hill.books().get(0).comment()).isEqualTo("loud");
    }

    @Test
    void aWrongPasswordIsTroubleNotAStorm() {
        hill.setPassword("another");
        node(hill.port(), "wrong", Duration.ZERO);
        await("trouble", () -> node.status().state() == LinkState.TROUBLE);
        assertThat(node.status().reason()).contains("Beacon Hill does not let CU9QYB in");
        assertThat(node.status().brief()).isEqualTo("login refused");
        assertThat(node.status().nextAttempt()).isNotNull();
        assertThat(sent).as("no commands into the login").doesNotContain("sh/dx");
    }

    /** A question need not end with a colon. */
    @Test
    void questionsWithoutAColon() throws IOException {
        try (ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            node(server.getLocalPort(), "lamp-of-the-hill", Duration.ZERO);
            try (Socket line = server.accept()) {
                BufferedReader in =
                        new BufferedReader(new InputStreamReader(line.getInputStream(), StandardCharsets.US_ASCII));
                line.getOutputStream().write("Please enter your call".getBytes(StandardCharsets.US_ASCII));
                assertThat(in.readLine()).isEqualTo("CU9QYB");
                line.getOutputStream().write("\r\npassword >".getBytes(StandardCharsets.US_ASCII));
                assertThat(in.readLine()).isEqualTo("lamp-of-the-hill");
                line.getOutputStream()
                        .write("\r\nCU9QYB de BEACON 26-Nov-2026 1407Z >".getBytes(StandardCharsets.US_ASCII));
                assertThat(in.readLine()).isEqualTo("sh/dx");
            }
        }
    }

    @Test
    void comesBackAfterADrop() throws IOException {
        node(hill.port(), null, Duration.ZERO);
        await("live", () -> node.status().state() == LinkState.LIVE);
        hill.setUp(false);
        await("trouble", () -> node.status().state() == LinkState.TROUBLE);
        assertThatThrownBy(() -> node.say("sh/dx")).hasMessageContaining("not connected");
        hill.setUp(true);
        node.hurry();
        await("live again", () -> node.status().state() == LinkState.LIVE);
    }

    @Test
    void whereNobodyListensItSaysSo() {
        int port = hill.port();
        hill.close();
        node(port, null, Duration.ZERO);
        await("trouble", () -> node.status().state() == LinkState.TROUBLE);
        assertThat(node.status().brief()).isEqualTo("nobody listens");
        assertThat(node.status().reason()).contains("127.0.0.1 port " + port);
    }

    @Test
    void garbageAndEndlessLinesAreCutAndTheRestGoesOn() {
        node(hill.port(), null, Duration.ZERO);
        await("live", () -> heard.stream().anyMatch(line -> line.startsWith("Hello")));
        hill.tell("x".repeat(50_000));
        hill.tell("after it");
        await("after it", () -> heard.contains("after it"));
        assertThat(heard).allSatisfy(line -> assertThat(line.length()).isLessThanOrEqualTo(1_000));
    }

    @Test
    void anEmptyLineKeepsTheLineOpen() {
        node(hill.port(), null, Duration.ofMillis(40));
        await("live", () -> heard.stream().anyMatch(line -> line.startsWith("Hello")));
        int before = sent.size();
        hill.tell("still here");
        await("still here", () -> heard.contains("still here"));
        assertThat(sent).as("empty lines are not told").hasSize(before);
    }

    @Test
    void aSkimmerFeedThatAsksOtherwise() throws IOException {
        try (Nightjar nightjar = new Nightjar(air, Clock.systemUTC(), 0)) {
            node(nightjar.port(), null, Duration.ZERO);
            await("welcome", () -> heard.stream().anyMatch(line -> line.startsWith("Hello CU9QYB")));
            nightjar.hear("CU9QYB", "HM49kq", 14_025_000, "CW", 2);
            await(
                    "two",
                    () -> heard.stream()
                                    .filter(line -> line.contains("CU9QYB") && line.startsWith("DX de"))
                                    .count()
                            == 2);
        }
    }

    @Test
    void anAddressNobodyKnowsIsSaid() {
        NodeSetting setting = new NodeSetting(
                "Nowhere", "nowhere.invalid", 7, "CU9QYB", null, List.of(), Duration.ZERO, Duration.ofMinutes(5));
        node = new ClusterNode(setting, Clock.systemUTC(), listener, status -> {});
        node.start();
        await("trouble", () -> node.status().state() == LinkState.TROUBLE);
        assertThat(node.status().brief()).isEqualTo("address unknown");
        assertThat(node.status().reason()).contains("nowhere.invalid");
    }

    @Test
    void aNodeThatSaysNothingIsGivenUp() throws IOException {
        try (ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            node(server.getLocalPort(), null, Duration.ZERO);
            await("trouble", () -> node.status().state() == LinkState.TROUBLE);
            assertThat(node.status().brief()).isEqualTo("does not answer");
            assertThat(node.status().nextAttempt()).isNotNull();
        }
    }

    @Test
    void aNodeThatWantsNoPasswordAfterAllGetsTheCommandsAtItsWelcome() throws IOException {
        try (ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            node(server.getLocalPort(), "lamp-of-the-hill", Duration.ofMillis(40));
            try (Socket line = server.accept()) {
                line.getOutputStream().write("login:".getBytes(StandardCharsets.US_ASCII));
                BufferedReader in =
                        new BufferedReader(new InputStreamReader(line.getInputStream(), StandardCharsets.US_ASCII));
                assertThat(in.readLine()).isEqualTo("CU9QYB");
                line.getOutputStream().write("\r\nHello CU9QYB\r\n".getBytes(StandardCharsets.US_ASCII));
                String next = in.readLine();
                while (next.isEmpty()) {
                    next = in.readLine();
                }
                assertThat(next).as("after the lines that keep it open").isEqualTo("sh/dx");
                await("what was sent", () -> sent.equals(List.of("CU9QYB", "sh/dx")));
            }
        }
    }

    @Test
    void aFaultOfWhoeverListensDoesNotEndTheLine() {
        AtomicInteger lines = new AtomicInteger();
        NodeSetting setting = new NodeSetting(
                "Beacon Hill",
                "127.0.0.1",
                hill.port(),
                "CU9QYB",
                null,
                List.of(),
                Duration.ZERO,
                Duration.ofMinutes(5));
        node = new ClusterNode(
                setting,
                Clock.systemUTC(),
                new ClusterNode.Listener() {
                    @Override
                    public void heard(String line) {
                        if (lines.incrementAndGet() == 1) {
                            throw new IllegalStateException("a fault of our own");
                        }
                    }

                    @Override
                    public void sent(String line) {}
                },
                status -> {});
        node.start();
        await("trouble", () -> node.status().state() == LinkState.TROUBLE);
        assertThat(node.status().brief()).isEqualTo("connection lost");
        node.hurry();
        await("live again", () -> node.status().state() == LinkState.LIVE && lines.get() > 1);
    }
}
