package yokebar.standins.backstage;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import yokebar.standins.Asking;
import yokebar.standins.Asking.Answered;
import yokebar.standins.StandIns;
import yokebar.standins.countersign.Countersign;

/** The page that turns the knobs, and the knobs behind it, on a whole world. */
class BackstageTest {
    @TempDir
    private Path folder;

    private StandIns world;
    private Asking backstage;

    @BeforeEach
    void open() throws Exception {
        world = new StandIns(new StandIns.Settings(5, Clock.systemUTC(), folder, 9, 0, 0));
        backstage = Asking.at(world.backstage().address());
    }

    @AfterEach
    void close() {
        world.close();
    }

    private JsonNode state(String ofWhat) throws Exception {
        return backstage.get("api/state").json().path(ofWhat);
    }

    private Answered turn(String knob, Map<String, String> words) throws Exception {
        return backstage.post("api/" + knob, words);
    }

    private static List<JsonNode> knobs(JsonNode panels, JsonNode panel) {
        List<JsonNode> knobs = new ArrayList<>();
        panel.path("knobs").forEach(knobs::add);
        panel.path("templates")
                .forEach(name -> panels.path("templates").path(name.asString()).forEach(knobs::add));
        return knobs;
    }

    private void isThere(String knob, Map<String, String> words) throws Exception {
        Answered answered = turn(knob, words);
        assertThat(answered.status())
                .as(knob + " " + words + ": " + answered.words())
                .isIn(200, 400);
    }

    @Test
    void everyKnobOnThePageIsThereAndSaysWhatItDoes() throws Exception {
        assertThat(backstage.get("").header("Content-Type")).startsWith("text/html");
        assertThat(backstage.get("page.css").header("Content-Type")).startsWith("text/css");
        assertThat(backstage.get("page.js").header("Content-Type")).startsWith("text/javascript");
        assertThat(backstage.get("somewhere-else").status()).isEqualTo(404);
        JsonNode panels = backstage.get("panels.json").json();
        Set<String> turned = new TreeSet<>();
        for (JsonNode panel : panels.path("groups").findValues("panels").stream()
                .flatMap(JsonNode::valueStream)
                .toList()) {
            String place = panel.path("id").asString() + "/";
            for (JsonNode knob : knobs(panels, panel)) {
                assertThat(knob.path("effect").asString("")).as(place + knob).endsWith(".");
                if (knob.has("inputs")) {
                    Map<String, String> words = new LinkedHashMap<>();
                    knob.path("inputs")
                            .forEach(input -> words.put(
                                    input.path("name").asString(),
                                    input.path("value").asString("")));
                    words.values().removeIf(String::isEmpty);
                    isThere(place + knob.path("post").asString(), words);
                    turned.add(place + knob.path("post").asString());
                }
                for (JsonNode button : knob.path("buttons")) {
                    Map<String, String> words = new LinkedHashMap<>();
                    button.path("body").forEachEntry((name, value) -> words.put(name, value.asString()));
                    isThere(place + button.path("post").asString(), words);
                    turned.add(place + button.path("post").asString());
                }
            }
        }
        assertThat(turned).hasSizeGreaterThan(70).contains("air/scene", "quayside/page", "vhf/garble", "mail/drop");
    }

    @Test
    void everyValueOfThePageHasALabel() throws Exception {
        JsonNode panels = backstage.get("panels.json").json();
        Map<String, JsonNode> byId = new TreeMap<>();
        panels.path("groups").findValues("panels").stream()
                .flatMap(JsonNode::valueStream)
                .forEach(panel -> byId.put(panel.path("id").asString(), panel));
        JsonNode state = backstage.get("api/state").json();
        assertThat(byId.keySet()).containsExactlyInAnyOrderElementsOf(state.propertyNames());
        byId.forEach((id, panel) -> {
            for (String value : state.path(id).propertyNames()) {
                assertThat(panel.path("values").has(value)
                                || panels.path("values").has(value))
                        .as(id + "." + value)
                        .isTrue();
            }
        });
    }

    @Test
    void aKnobThatIsNotThereSaysSo() throws Exception {
        for (String place : Set.of(
                "program",
                "portable",
                "linked",
                "countersign",
                "quayside",
                "postbag",
                "mail",
                "callbook",
                "reference",
                "radio",
                "vhf",
                "rotator",
                "air",
                "node",
                "skimmer",
                "time")) {
            Answered answered = turn(place + "/no-such-knob", Map.of());
            assertThat(answered.status()).as(place).isEqualTo(404);
            assertThat(answered.words()).isEqualTo("Backstage has no such knob");
        }
    }

    @Test
    void whatIsTurnedShowsAtTheDevicesAndInTheState() throws Exception {
        turn("radio/tune", Map.of("hz", "21025000"));
        turn("radio/mode", Map.of("mode", "CW"));
        turn("radio/split", Map.of("on", "yes"));
        assertThat(world.hfRadio().front().frequencyHz()).isEqualTo(21_025_000);
        assertThat(state("radio").path("mode").asString()).isEqualTo("CW");
        turn("radio/mode", Map.of("mode", "DATA-U"));
        assertThat(state("radio").path("mode").asString()).isEqualTo("DATA-U");
        turn("vhf/watts", Map.of("watts", "10"));
        assertThat(state("vhf").path("powerW").asInt()).isEqualTo(10);
        turn("rotator/stuck", Map.of("on", "yes"));
        assertThat(state("rotator").path("stuck").asBoolean()).isTrue();
        turn("time/ahead", Map.of("ms", "1400"));
        assertThat(state("time").path("aheadMs").asInt()).isEqualTo(1400);
        turn("rotator/cable", Map.of("on", "no"));
        assertThat(state("rotator").path("plugged").asBoolean()).isFalse();
        turn("rotator/cable", Map.of("on", "yes"));
        assertThat(state("rotator").path("plugged").asBoolean()).isTrue();
    }

    @Test
    void servicesAreBentAndTheirBooksRead() throws Exception {
        turn("countersign/delay", Map.of("seconds", "7"));
        turn("countersign/refuse", Map.of("call", "ZP5QXA"));
        turn("countersign/old-confirmation", Map.of("call", "ZP5QXB", "date", "20160501"));
        assertThat(state("countersign").path("queueDelaySeconds").asInt()).isEqualTo(7);
        assertThat(state("countersign").path("refusedCalls").get(0).asString()).isEqualTo("ZP5QXA");
        assertThat(state("countersign").path("confirmations").asInt()).isEqualTo(1);
        assertThat(turn("countersign/books", Map.of()).json()).isEmpty();
        assertThat(new String(turn("countersign/authority", Map.of()).body())).startsWith("-----BEGIN CERTIFICATE");
        assertThat(turn("countersign/identity", Map.of("call", "CU9QYB")).header("Content-Type"))
                .isEqualTo("application/x-pkcs12");
        turn("postbag/card", Map.of("CALL", "ZP5QXA", "QSO_DATE", "20260501"));
        assertThat(state("postbag").path("cards").asInt()).isEqualTo(1);
        turn("quayside/down", Map.of());
        assertThat(state("quayside").path("up").asBoolean()).isFalse();
        turn("countersign/lock-out", Map.of());
        assertThat(Asking.at(world.countersign().address())
                        .as(Countersign.ACCOUNT, Countersign.PASSWORD)
                        .get("api/account")
                        .status())
                .isEqualTo(401);
    }

    @Test
    void theAirFollows() throws Exception {
        turn("air/scene", Map.of("scene", "storm"));
        assertThat(state("air").path("stations").asInt()).isEqualTo(300);
        turn("node/spot", Map.of("call", "ZP5QXA", "khz", "14025.0"));
        assertThat(state("node").path("told").asInt()).isEqualTo(1);
        turn("skimmer/hear", Map.of("receivers", "4"));
        assertThat(state("skimmer").path("told").asInt()).isEqualTo(4);
        assertThat(turn("node/books", Map.of()).json()).isEmpty();
    }

    @Test
    void aWordThatIsNoNumberIsABadQuestion() throws Exception {
        assertThat(turn("countersign/delay", Map.of("seconds", "soon")).status())
                .isEqualTo(400);
        assertThat(turn("air/scene", Map.of("scene", "hurricane")).status()).isEqualTo(400);
    }
}
