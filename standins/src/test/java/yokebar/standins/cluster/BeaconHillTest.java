package yokebar.standins.cluster;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import yokebar.standins.Conversation;
import yokebar.standins.MovingClock;
import yokebar.standins.Patience;
import yokebar.standins.air.Air;
import yokebar.standins.world.World;

class BeaconHillTest {
    private final MovingClock clock = new MovingClock();
    private BeaconHill node;

    @BeforeEach
    void open() throws IOException {
        node = new BeaconHill(new Air(new World(5), clock, 5), clock, 5, 0);
    }

    @AfterEach
    void close() {
        node.close();
    }

    private Conversation visitor(String call) throws IOException {
        Conversation visitor = new Conversation(node.port());
        visitor.line("Beacon Hill");
        visitor.say(call + "\r\n");
        visitor.line("welcome to Beacon Hill");
        visitor.line("de CU9QBH 1407Z >");
        return visitor;
    }

    @Test
    void itAsksForACallAndTellsTheSun() throws Exception {
        try (Conversation visitor = new Conversation(node.port())) {
            visitor.line("Beacon Hill");
            visitor.say("?\r\n");
            assertThat(visitor.line("A call")).contains("A call, please.");
            visitor.say("cu9qyb\r\n");
            assertThat(visitor.line("welcome")).contains("Hello CU9QYB");
            assertThat(visitor.line("WWV"))
                    .isEqualTo("WWV de CU9QBH <14>:   SFI=152, A=9, K=2, No Storms -> No Storms");
            node.setSun(180, 20, 5);
            assertThat(visitor.line("WWV")).contains("SFI=180, A=20, K=5");
        }
    }

    @Test
    void withAPasswordItAsksForThat() throws Exception {
        node.setPassword("lamp-of-the-hill");
        try (Conversation visitor = new Conversation(node.port())) {
            visitor.line("Beacon Hill");
            visitor.say("CU9QYB\r\n");
            assertThat(visitor.upTo(':')).contains("login");
            assertThat(visitor.upTo(':')).contains("password");
            visitor.say("guess\r\n");
            assertThat(visitor.rest()).contains("That is not the password.");
        }
        try (Conversation visitor = new Conversation(node.port())) {
            visitor.line("Beacon Hill");
            visitor.say("CU9QYB\r\nlamp-of-the-hill\r\n");
            visitor.line("welcome");
        }
    }

    @Test
    void aSpotIsToldToEverybodyInTheUsualColumns() throws Exception {
        try (Conversation one = visitor("CU9QYB");
                Conversation other = visitor("OZ1QAB")) {
            node.spot("CT1QAA", 14_025.0, "ZP5QXA", "up 2");
            String line = one.line("DX de");
            assertThat(line)
                    .isEqualTo("DX de CT1QAA:      14025.0  ZP5QXA        up 2                           1407Z");
            assertThat(other.line("DX de")).isEqualTo(line);
            assertThat(node.sent()).isEqualTo(1);
            one.say("sh/dx\r\n");
            assertThat(one.line("DX de")).isEqualTo(line);
            assertThat(one.line()).contains("CU9QBH");
        }
    }

    @Test
    void whatSomebodyPostsStandsInTheBooksAndIsToldToAll() throws Exception {
        try (Conversation one = visitor("CU9QYB");
                Conversation other = visitor("OZ1QAB")) {
            one.say("dx 14025.5 zp5qxa a fine signal\r\n");
            assertThat(other.line("DX de")).contains("CU9QYB:", "14025.5", "ZP5QXA", "a fine signal");
            assertThat(node.books()).singleElement().satisfies(posted -> {
                assertThat(posted.by()).isEqualTo("CU9QYB");
                assertThat(posted.hz()).isEqualTo(14_025_500);
                assertThat(posted.call()).isEqualTo("ZP5QXA");
                assertThat(posted.comment()).isEqualTo("a fine signal");
            });
            one.say("dx nonsense\r\n");
            one.line("Beacon Hill knows dx, sh/dx and bye.");
            one.say("bye\r\n");
            assertThat(one.rest()).contains("73");
        }
        assertThat(node.books()).hasSize(1);
    }

    @Test
    void theAirIsToldAtItsPaceWithGarbageAmongIt() throws Exception {
        try (Conversation visitor = visitor("CU9QYB")) {
            node.setSpotsASecond(200);
            List<String> spots = new ArrayList<>();
            while (spots.size() < 40) {
                spots.add(visitor.line("DX de"));
            }
            assertThat(spots).allMatch(line -> line.matches("DX de [A-Z0-9/]+: +\\d+\\.\\d +\\S+ +.*\\d{4}Z"));
            node.setGarbage(1);
            visitor.line("x".repeat(3_000));
            visitor.line("<script>alert(1)</script>");
            visitor.line("14x25.0");
            node.setSpotsASecond(0);
        }
    }

    @Test
    void aDroppedLineIsFreeToComeAgainAndDownNobodyIs() throws Exception {
        int port = node.port();
        try (Conversation visitor = visitor("CU9QYB")) {
            node.drop();
            visitor.rest();
        }
        Patience.until(
                "the visitor to be gone", () -> node.summary().get("visitors").equals(0));
        visitor("CU9QYB").close();
        node.setUp(false);
        assertThat(node.summary()).containsEntry("up", false);
        node.setUp(true);
        assertThat(node.port()).isEqualTo(port);
        visitor("CU9QYB").close();
    }

    @Test
    void aSkimmerSpeaksOfStrengthAndSpeed() throws Exception {
        try (Nightjar nightjar = new Nightjar(new Air(new World(5), clock, 5), clock, 0);
                Conversation visitor = new Conversation(nightjar.port())) {
            visitor.line("Nightjar");
            visitor.say("CU9QYB\r\n");
            visitor.line("Here is what is heard.");
            nightjar.hear("CU9QYB", "HM49kq", 14_025_000, "CW", 3);
            for (int i = 0; i < 3; i++) {
                assertThat(visitor.line("DX de"))
                        .matches("DX de \\S+-#: +14025\\.00 +CU9QYB +CW +\\d+ dB +\\d+ WPM +CQ +1407Z");
            }
            assertThat(nightjar.sent()).isEqualTo(3);
            nightjar.setSpotsASecond(100);
            for (int i = 0; i < 30; i++) {
                assertThat(visitor.line("DX de")).contains(" dB ").doesNotContain("SSB");
            }
            nightjar.setSpotsASecond(0);
            nightjar.drop();
            visitor.rest();
            nightjar.setUp(false);
            assertThat(nightjar.summary()).containsEntry("up", false);
        }
    }
}
