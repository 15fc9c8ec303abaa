package yokebar.app.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Paper cards, from the wish to the card that came. */
class PaperCardsTest extends ServiceTest {
    @Test
    void paperCardsAreWantedPrintedSentAndReceived() throws Exception {
        importText(contact("ZP5QXA") + contact("OZ1QAB"));
        long ana = idOf("ZP5QXA");
        assertThat(sendJson("POST", "/api/cards", Map.of("contactIds", List.of(ana), "via", "MANAGER"))
                        .body())
                .contains("Whose manager?");
        sendJson("POST", "/api/cards", Map.of("contactIds", List.of(ana), "via", "MANAGER", "manager", "OZ1QMM"));
        assertThat(state("ZP5QXA", PAPER)).isEqualTo("DUE");
        assertThat(state("OZ1QAB", PAPER)).isEmpty();
        for (String sheet : new String[] {"labels", "cards"}) {
            HttpResponse<byte[]> pdf = http().send(
                            request("/api/cards/" + sheet + ".pdf?ids=" + ana).build(),
                            HttpResponse.BodyHandlers.ofByteArray());
            assertThat(new String(pdf.body(), StandardCharsets.ISO_8859_1)).startsWith("%PDF-");
        }
        sendJson("POST", "/api/cards/sent", Map.of("contactIds", List.of(ana)));
        assertThat(state("ZP5QXA", PAPER)).isEqualTo("HANDED_OVER");
        sendJson("POST", "/api/cards/taken-back", Map.of("contactIds", List.of(ana), "pile", "SENT"));
        assertThat(state("ZP5QXA", PAPER)).isEqualTo("DUE");
        sendJson("POST", "/api/cards/sent", Map.of("contactIds", List.of(ana)));
        assertThat(get("/api/cards/find?scanned=YB-" + ana).get(0).path("call").asString())
                .isEqualTo("ZP5QXA");
        sendJson("POST", "/api/cards/received", Map.of("contactIds", List.of(ana)));
        assertThat(state("ZP5QXA", PAPER)).isEqualTo("CONFIRMED");
        assertThat(get("/api/contacts/" + ana).path("journey").toString())
                .contains("to the manager OZ1QMM")
                .contains("Their card came.");
        assertThat(get("/api/cards/piles").toString()).isEqualTo("{\"toSend\":0,\"sent\":1,\"received\":1}");
    }
}
