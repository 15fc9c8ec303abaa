package yokebar.app.sources.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;
import yokebar.app.sources.text.FakeTextProgram.Printed;

/** What programs receive, against a program that knows nothing of Yokebar. */
class TextProgramTest extends AppTest {
    private static final String HELLO = "{\"text\":1,\"program\":\"Fake\",\"decoders\":[\"one\",\"two\",\"three\"]}";

    private FakeTextProgram program;
    private long id;

    @BeforeEach
    void connect() throws Exception {
        program = new FakeTextProgram(HELLO);
        JsonNode all = JSON.readTree(
                sendJson("POST", "/api/text-programs", Map.of("name", "Fake", "address", program.address()))
                        .body());
        id = all.get(all.size() - 1).path("id").asLong();
        await("it names its decoders", () -> decoders().equals("[\"one\",\"two\",\"three\"]"));
        await("it can speak", () -> program.listeners() == 1);
    }

    @AfterEach
    void disconnect() throws Exception {
        send(request("/api/text-programs/" + id).DELETE());
        program.close();
    }

    private String decoders() {
        return one("/api/text-programs").path("decoders").toString();
    }

    private JsonNode one(String path) {
        try {
            JsonNode all = get(path);
            return all.get(all.size() - 1);
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private String agreed() {
        StringBuilder text = new StringBuilder();
        received()
                .path("agreed")
                .forEach(piece -> text.append(piece.path("text").asString()));
        return text.toString();
    }

    private JsonNode received() {
        try {
            return get("/api/received-text");
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private JsonNode hookup() {
        try {
            for (JsonNode one : get("/api/hookups")) {
                if (one.path("id").asString().equals("text-" + id)) {
                    return one;
                }
            }
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
        throw new IllegalStateException("no coupling");
    }

    @Test
    void whatTheDecodersAgreeOnIsThereAndWhatEachPrintedBesideIt() {
        program.print(
                new Printed("one", "ZP5QXA", 0.9),
                new Printed("two", "ZP_QXA", 0.9),
                new Printed("three", "ZP5QXE", 0.5));
        await("the agreed text", () -> agreed().endsWith("ZP5QXA"));
        assertThat(received().path("decoders"))
                .extracting(one -> one.path("name").asString())
                .containsExactly("Fake one", "Fake two", "Fake three");
        assertThat(received().path("decoders"))
                .extracting(one -> one.path("text").asString())
                .satisfiesExactly(
                        text -> assertThat(text).endsWith("ZP5QXA"),
                        text -> assertThat(text).endsWith("ZPQXA"),
                        text -> assertThat(text).endsWith("ZP5QXE"));
    }

    @Test
    void whatIsDoubtfulIsMarked() {
        program.print(new Printed("one", "QBC", 0.9), new Printed("two", "QBD", 0.8));
        await("all of it", () -> agreed().matches("(?s).*QB[CD]"));
        JsonNode pieces = received().path("agreed");
        JsonNode last = pieces.get(pieces.size() - 1);
        assertThat(last.path("doubtful").asBoolean()).isTrue();
        assertThat(last.path("text").asString()).hasSize(1);
    }

    @Test
    void nonsenseIsPassedOverAndAClockThatIsWrongIsNotUsed() {
        program.say("hello");
        program.say("{\"text\":1,\"decoder\":\"one\",\"at\":1,\"character\":\"XYZ\"}");
        program.say("x".repeat(100_000));
        program.say("{\"text\":1,\"decoder\":\"one\",\"at\":1,\"character\":\"W\"}");
        await("the character", () -> agreed().endsWith("W"));
        assertThat(hookup().path("state").asString()).isEqualTo("LIVE");
    }

    @Test
    void aProgramThatHangsUpIsCalledAgain() throws Exception {
        program.hangUp();
        await("trouble", () -> hookup().path("state").asString().equals("TROUBLE"));
        assertThat(hookup().path("reason").asString()).startsWith("The connection to Fake on ");
        await("it is called again", () -> program.listeners() == 1);
        await("it names its decoders", () -> decoders().equals("[\"one\",\"two\",\"three\"]"));
    }

    @Test
    void whatIsTypedWrongIsSaidAtItsField() throws Exception {
        String answer = sendJson("POST", "/api/text-programs", Map.of("name", " ", "address", "nowhere"))
                .body();
        assertThat(answer).contains("A program needs a name of up to 60 letters.", "\"field\":\"address\"");
        assertThat(sendJson("POST", "/api/text-programs", Map.of("name", "Twice", "address", program.address()))
                        .body())
                .contains("Fake is at " + program.address() + " already.");
        assertThat(sendJson("POST", "/api/text-programs", Map.of("name", "fake", "address", "127.0.0.1:9"))
                        .body())
                .contains("There is a program Fake already.");
        assertThat(get("/api/text-programs")).hasSize(1);
    }
}
