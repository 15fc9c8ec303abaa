package yokebar.app.operate.contest;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Books over the contacts of the log, whichever way they came. */
class ContestBookTest extends ContestTest {
    @Test
    void contactsFromAnywhereAreCountedOnceEach() throws Exception {
        importText(worked("DL1QAA", 1, "14.025", "CW", "7", "14") + worked("W1QAB", 2, "14.025", "CW", "12", "5"));
        // Again on the same band, on another band, and in a mode that does not count.
        importText(worked("DL1QAA", 40, "14.030", "CW", "9", "14")
                + worked("DL1QAA", 50, "7.025", "CW", "10", "14")
                + worked("ZP5QXA", 55, "14.074", "FT8", "3", "11"));
        JsonNode score = score();
        assertThat(score.path("contacts").asInt()).isEqualTo(3);
        assertThat(score.path("dupes").asInt()).isEqualTo(1);
        assertThat(score.path("others").asInt()).isEqualTo(1);
        assertThat(score.path("points").asInt()).isEqualTo(5);
        assertThat(score.path("multipliers").path("zones").asInt()).isEqualTo(3);
        assertThat(score.path("score").asInt()).isEqualTo(15);
        assertThat(score.path("byBand"))
                .extracting(band -> band.path("band").asString())
                .containsExactly("40m", "20m");
        assertThat(get(path("/contacts")))
                .extracting(contact -> contact.path("worth").path("reason").asString())
                .containsExactly("", "worked before", "", "");
    }

    @Test
    void whatIsLikelyAMistakeIsToldWithWhatItCosts() throws Exception {
        importText(worked("DL1QAA", 1, "14.025", "CW", "7", "14")
                + worked("DL1QAA", 4, "7.025", "CW", "9", "15")
                + worked("DL1QAB", 6, "14.025", "CW", "10", "14")
                + worked("W1QAB", 8, "14.025", "CW", "2", "5"));
        JsonNode findings = get(path("/findings"));
        assertThat(findings)
                .extracting(one -> one.path("call").asString() + ": "
                        + one.path("sentence").asString())
                .satisfiesExactlyInAnyOrder(
                        text -> assertThat(text).startsWith("DL1QAA: DL1QAA sent zone 15 here, and 14 at "),
                        text -> assertThat(text).isEqualTo("DL1QAB: DL1QAB was worked only here, and DL1QAA 2 times."));
        // 14 and 5 on 20 m, 15 on 40 m; 1 + 1 + 1 + 3 points times 3 zones. Without the second: 5 points times 2.
        assertThat(score().path("score").asInt()).isEqualTo(18);
        assertThat(findings.path(0).path("atStake").asInt()).isEqualTo(8);
        long mistaken = findings.path(1).path("contactId").asLong();
        assertThat(findings.path(1).path("likelyCall").asString()).isEqualTo("DL1QAA");
        ok(sendJson("PATCH", "/api/contacts/" + mistaken, Map.of("version", 0, "changes", Map.of("CALL", "DL1QAA"))));
        assertThat(get(path("/findings")).toString()).doesNotContain("DL1QAB");
        assertThat(score().path("dupes").asInt()).isEqualTo(1);
    }

    @Test
    void whatIsDeletedCountsNoMoreAndUndoBringsItBack() throws Exception {
        importText(worked("DL1QAA", 1, "14.025", "CW", "7", "14") + worked("DL1QAA", 40, "14.025", "CW", "8", "14"));
        assertThat(score().path("score").asInt()).isEqualTo(1);
        long first = jdbc.queryForObject("select min(id) from contact", Long.class);
        JsonNode change = changed(sendJson("POST", "/api/changes/delete", Map.of("ids", List.of(first))));
        assertThat(score().path("contacts").asInt()).isEqualTo(1);
        assertThat(score().path("dupes").asInt()).isZero();
        changed(sendJson("POST", "/api/changes/" + change.path("id").asLong() + "/undo", Map.of()));
        assertThat(score().path("dupes").asInt()).isEqualTo(1);
    }

    @Test
    void contactsOutsideTheSpanAndOfAnotherContestAreNotInIt() throws Exception {
        String other = worked("W1QAB", 3, "14.025", "CW", "7", "5").replace("<eor>", record("contest_id", "OTHER-ONE"));
        importText(worked("DL1QAA", -5, "14.025", "CW", "7", "14") + other);
        assertThat(count("contact")).isEqualTo(2);
        assertThat(get(path("/contacts"))).isEmpty();
    }

    @Test
    void anOrdinaryContactMeanwhileDoesNotCount() throws Exception {
        importText(worked("W1QAB", 3, "14.025", "CW", "", ""));
        assertThat(get(path("/contacts")).path(0).path("worth").path("reason").asString())
                .isEqualTo("no exchange received");
        assertThat(score().path("others").asInt()).isEqualTo(1);
    }

    @Test
    void aWrongPowerClassIsCorrectedInOneLineAndExportedAgain() throws Exception {
        importText(worked("W1QAB", 2, "14.025", "CW", "12", "5"));
        assertThat(text(path("/cabrillo")))
                .contains("CATEGORY-POWER: LOW", "CLAIMED-SCORE: 3\n")
                .containsPattern("QSO: 14025 CW \\S+ \\d{4} CU9QYB {8}599 2    14 W1QAB {9}599 12   5\n");
        ok(sendJson("PUT", path(""), Map.of("power", "QRP")));
        assertThat(text(path("/cabrillo"))).contains("CATEGORY-POWER: QRP", "CLAIMED-SCORE: 9\n");
    }

    @Test
    void aBookOverAnotherBooksSpanIsRefused() throws Exception {
        HttpResponse<String> second = begin("Harbour Hours", Map.of());
        assertThat(second.statusCode()).isEqualTo(422);
        assertThat(second.body())
                .contains("The book of Harbour Hours has the contacts of CU9QYB from ", "in one book at most.");
        assertThat(get("/api/contest-books")).hasSize(1);
    }

    @Test
    void whatIsSentIsCheckedAndTheZoneComesFromTheCall() throws Exception {
        assertThat(get("/api/contest-books").path(0).path("sent").path("zone").asString())
                .isEqualTo("14");
        HttpResponse<String> wrong = sendJson("PUT", path(""), Map.of("power", "LOW", "sent", Map.of("zone", "41")));
        assertThat(wrong.statusCode()).isEqualTo(422);
        assertThat(wrong.body()).contains("sent.zone", "\\\"41\\\" is not a cq zone.");
        assertThat(begin("Corvo Calling", Map.of()).body()).contains("Say what you send as island: one of COR, FLO");
    }

    @Test
    void aBookIsTakenAwayAndItsContactsStay() throws Exception {
        importText(worked("DL1QAA", 1, "14.025", "CW", "7", "14"));
        assertThat(ok(sendJson("DELETE", path(""), Map.of()))).isEmpty();
        assertThat(count("contact")).isEqualTo(1);
        assertThat(send(request(path("/score")).GET()).statusCode()).isEqualTo(404);
    }

    @Test
    void mistakesOfADefinitionAreToldByLineAndNothingIsStored() throws Exception {
        int before = get("/api/contest-definitions").size();
        JsonNode answer = ok(define(DEFINITION.replace("20m", "7m").replace("Harbour Hours", "Other Hours")));
        assertThat(answer.hasNonNull("name")).isFalse();
        assertThat(answer.path("problems").path(0).path("line").asInt()).isEqualTo(5);
        assertThat(define(DEFINITION.replace("Harbour Hours", "Lantern Weekend"))
                        .body())
                .contains("The contest Lantern Weekend ships with Yokebar.");
        assertThat(get("/api/contest-definitions")).hasSize(before);
    }
}
