package yokebar.app.services.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import yokebar.standins.http.HttpService;
import yokebar.standins.http.HttpService.Answer;

/** A service that does not keep to what was agreed: nothing is marked that it did not prove. */
class OddAnswersTest extends ServiceTest {
    private static final Answer RECEIPT = Answer.json(200, Map.of("receipt", "ODD-1", "words", "Lies here"));

    private final AtomicInteger batches = new AtomicInteger();

    private volatile Answer toBatch = RECEIPT;
    private volatile Answer toReport = Answer.json(200, Map.of("state", "queued"));
    private HttpService odd;

    @BeforeEach
    void useTheOddService() throws Exception {
        odd = new HttpService(0)
                .on("/odd/api/batches", request -> {
                    if (!request.method().equals("POST")) {
                        return toReport;
                    }
                    batches.incrementAndGet();
                    return toBatch;
                })
                .start();
        useCountersign();
        installIdentity("CU9QYB", "2020-01-01", "2030-12-31");
        put(
                "/api/services/1",
                Map.of("address", "http://127.0.0.1:" + odd.port() + "/odd/", "password", "se-cret-word"));
        importText(contact("ZP5QXA") + contact("OZ1QAB"));
    }

    @AfterEach
    void closeTheOddService() {
        odd.close();
    }

    private static Answer report(String... results) {
        List<Map<String, Object>> records = new ArrayList<>();
        for (String result : results) {
            records.add(Map.of("record", records.size() + 1, "result", result));
        }
        return Answer.json(200, Map.of("state", "processed", "records", records));
    }

    private void handOver() throws Exception {
        HttpResponse<String> answer = sendJson("POST", "/api/services/1/handovers", Map.of());
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
    }

    private String trouble() {
        return lane(COUNTERSIGN).path("handovers").path(0).path("trouble").asString("");
    }

    @Test
    void aReportOnAnotherNumberOfContactsMarksNothing() throws Exception {
        toReport = report("accepted", "accepted", "accepted");
        handOver();
        await("the mismatch", () -> trouble().contains("speaks of 3 contacts, the batch held 2"));
        assertThat(List.of(state("ZP5QXA", COUNTERSIGN), state("OZ1QAB", COUNTERSIGN)))
                .containsOnly("HANDED_OVER");
        toReport = report("accepted", "refused");
        handOver();
        awaitState("ZP5QXA", COUNTERSIGN, "ACCEPTED");
        awaitState("OZ1QAB", COUNTERSIGN, "REFUSED");
        assertThat(batches).hasValue(1);
    }

    @Test
    void aBatchThatIsRefusedWholeRefusesEachOfItsContactsInTheServicesWords() throws Exception {
        toBatch = Answer.json(422, Map.of("words", "this batch is from the future"));
        handOver();
        awaitState("ZP5QXA", COUNTERSIGN, "REFUSED");
        awaitState("OZ1QAB", COUNTERSIGN, "REFUSED");
        assertThat(trouble()).contains("this batch is from the future");
        assertThat(jdbc.queryForList("select reason from delivery where state = 'REFUSED'", String.class))
                .hasSize(2)
                .allMatch(reason -> reason.contains("this batch is from the future"));
        toBatch = RECEIPT;
        toReport = report("accepted");
        handOver();
        assertThat(batches)
                .as("what was refused goes again only when it was corrected")
                .hasValue(1);
        edit("ZP5QXA", Map.of("BAND", "40m"));
        handOver();
        awaitState("ZP5QXA", COUNTERSIGN, "ACCEPTED");
        assertThat(state("OZ1QAB", COUNTERSIGN)).isEqualTo("REFUSED");
        // Wrongly refused, the operator thinks: from the lane they go again.
        assertThat(sendJson("POST", "/api/services/1/refused/again", Map.of()).statusCode())
                .isEqualTo(200);
        awaitState("OZ1QAB", COUNTERSIGN, "DUE");
        handOver();
        awaitState("OZ1QAB", COUNTERSIGN, "ACCEPTED");
    }

    @Test
    void aPageInThePlaceOfTheServiceRefusesNothing() throws Exception {
        toBatch = new Answer(404, "text/html", "<html>Not found</html>".getBytes(StandardCharsets.UTF_8));
        handOver();
        await("the trouble", () -> trouble().contains("answered 404"));
        assertThat(List.of(state("ZP5QXA", COUNTERSIGN), state("OZ1QAB", COUNTERSIGN)))
                .containsOnly("DUE");
        toBatch = RECEIPT;
        toReport = report("accepted", "accepted");
        handOver();
        awaitState("ZP5QXA", COUNTERSIGN, "ACCEPTED");
    }

    @Test
    void aReceiptNobodyKnowsLaterProvesNothingAndIsAskedForAgain() throws Exception {
        toReport = Answer.json(404, Map.of("found", false, "words", "no batch has this number"));
        handOver();
        await("the trouble", () -> trouble().contains("no batch has this number"));
        assertThat(state("ZP5QXA", COUNTERSIGN)).isEqualTo("HANDED_OVER");
        toReport = report("duplicate", "accepted");
        handOver();
        awaitState("ZP5QXA", COUNTERSIGN, "ACCEPTED");
        assertThat(batches).hasValue(1);
    }

    @Test
    void aReceiptWithoutItsNumberIsNoReceipt() throws Exception {
        toBatch = Answer.json(200, Map.of("words", "thank you"));
        handOver();
        await("the trouble", () -> !trouble().isEmpty());
        assertThat(state("ZP5QXA", COUNTERSIGN)).isEqualTo("DUE");
        toBatch = RECEIPT;
        toReport = report("accepted", "accepted");
        handOver();
        awaitState("ZP5QXA", COUNTERSIGN, "ACCEPTED");
        List<String> keys = jdbc.queryForList("select idempotency_key from handover", String.class);
        assertThat(keys).as("the same batch under the same key").hasSize(1);
    }

    @Test
    void unknownWordsInAReportAreNoRefusalAndNoProof() throws Exception {
        toReport = report("perhaps", "accepted");
        handOver();
        await("the trouble", () -> trouble().contains("\"perhaps\""));
        assertThat(List.of(state("ZP5QXA", COUNTERSIGN), state("OZ1QAB", COUNTERSIGN)))
                .containsOnly("HANDED_OVER");
        toReport = report("accepted", "accepted");
        handOver();
        awaitState("ZP5QXA", COUNTERSIGN, "ACCEPTED");
    }
}
