package yokebar.app.services.card;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import yokebar.app.services.delivery.ServiceTest;

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
                .contains("Their card was received.");
        assertThat(get("/api/cards/piles").toString()).isEqualTo("{\"toSend\":0,\"sent\":1,\"received\":1}");
    }

    @Test
    void whatWasDoneByMistakeIsTakenBack() throws Exception {
        importText(contact("ZP5QXA") + contact("OZ1QAB"));
        long ana = idOf("ZP5QXA");
        long bo = idOf("OZ1QAB");
        cards("", Map.of("contactIds", List.of(ana, bo), "via", "DIRECT"));
        assertThat(pile("TO_SEND")).containsExactlyInAnyOrder("ZP5QXA", "OZ1QAB");
        cards("/dropped", Map.of("contactIds", List.of(bo)));
        assertThat(pile("TO_SEND")).containsExactly("ZP5QXA");
        assertThat(state("OZ1QAB", PAPER)).isEqualTo("NOT_MEANT");

        cards("/received", Map.of("contactIds", List.of(ana, bo)));
        assertThat(pile("RECEIVED")).hasSize(2);
        cards("/taken-back", Map.of("contactIds", List.of(ana), "pile", "RECEIVED"));
        assertThat(pile("RECEIVED")).containsExactly("OZ1QAB");
        assertThat(state("ZP5QXA", PAPER)).isEqualTo("DUE");
        assertThat(state("OZ1QAB", PAPER)).isEqualTo("CONFIRMED");

        cards("/sent", Map.of("contactIds", List.of(ana)));
        cards("/received", Map.of("contactIds", List.of(ana)));
        cards("/taken-back", Map.of("contactIds", List.of(ana), "pile", "RECEIVED"));
        assertThat(state("ZP5QXA", PAPER)).as("ours is on its way still").isEqualTo("ACCEPTED");
    }

    @Test
    void aCardThatCameIsFoundByItsCallAsWell() throws Exception {
        importText(contact("ZP5QXA") + contact("ZP5QXA", "band", "40m").replace("20260501", "20250501"));
        assertThat(get("/api/cards/find?scanned=zp5qxa"))
                .hasSize(2)
                .allMatch(line -> line.path("call").asString().equals("ZP5QXA"));
        assertThat(get("/api/cards/find?scanned=OZ1QAB")).isEmpty();
        assertThat(text("/api/cards/find?scanned=%3F%3F")).contains("neither a code of our cards (YB-123) nor a call");
        assertThat(cards("", Map.of("contactIds", List.of(), "via", "BUREAU"))).contains("Choose 1 to 5 000");
        assertThat(text("/api/cards/labels.pdf?ids=987654321")).contains("None of these contacts is in the log");
    }

    private String cards(String path, Map<String, Object> body) throws Exception {
        return sendJson("POST", "/api/cards" + path, body).body();
    }

    private List<String> pile(String pile) throws Exception {
        return get("/api/cards?pile=" + pile)
                .valueStream()
                .map(card -> card.path("contact").path("call").asString())
                .toList();
    }
}
