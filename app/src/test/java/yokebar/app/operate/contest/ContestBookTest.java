package yokebar.app.operate.contest;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Books over the contacts of the log, whichever way they came. */
class ContestBookTest extends ContestTest {
    @Test
    void theBookIsGivenAsFilesForOtherProgramsAndForPaper() throws Exception {
        log("w1qab 12 5");
        log("w1qab 13 5");
        log("dl1qaa 7 14");
        assertThat(file("/adi")).contains("<CALL:5>W1QAB", "<SRX:2>12", "<CONTEST_ID:13>HARBOUR-HOURS");
        assertThat(file("/csv"))
                .startsWith("time,call,band,frequency (Hz),mode,sent,received,points,multipliers,bonus,")
                .contains(",W1QAB,20m,14025000,CW,599 1 14,599 12 5,3,zones,0,")
                .contains(",W1QAB,20m,14025000,CW,599 2 14,599 13 5,0,,0,worked before");
        assertThat(file("/report"))
                .startsWith("Harbour Hours\nCall: CU9QYB\n")
                .contains("Category, operator: SINGLE-OP", "Category, power: LOW")
                .contains("Multiplier: zones (2)\n  5   20m\n  14  20m\n")
                .contains("Worked on 20m (2)\n  DL1QAA  W1QAB\n");
        assertThat(file("/report-pdf")).startsWith("%PDF-");
    }

    private String file(String path) throws Exception {
        HttpResponse<String> answer = send(request(path(path)).GET());
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.headers().firstValue("Content-Disposition").orElse(""))
                .contains("attachment; filename=\"cu9qyb.");
        return answer.body();
    }

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
    void aCategoryAndAnyLineOfTheHeadAreCorrectedOneByOne() throws Exception {
        assertThat(text(path("/cabrillo")))
                .contains("CATEGORY-OPERATOR: SINGLE-OP\n")
                .doesNotContain("OVERLAY", "CLUB");
        ok(sendJson("PUT", path(""), Map.of("power", "LOW", "category", Map.of("operator", "multi-op"))));
        ok(sendJson(
                "PUT",
                path(""),
                Map.of(
                        "power",
                        "LOW",
                        "header",
                        Map.of("CLUB", "Clube Corvo", "ADDRESS", "Rua Ção 1\n Vila ", "NAME", " "))));
        ok(sendJson("PUT", path(""), Map.of("header", Map.of("EMAIL", "log@example.org"))));
        ok(sendJson(
                "PUT",
                path(""),
                Map.of(
                        "header",
                        Collections.singletonMap("EMAIL", null),
                        "category",
                        Collections.singletonMap("overlay", null))));
        JsonNode book = ok(sendJson("PUT", path(""), Map.of("goal", 2500)));
        assertThat(book.path("category").path("operator").asString()).isEqualTo("MULTI-OP");
        assertThat(book.path("goal").asInt()).isEqualTo(2500);
        assertThat(text(path("/cabrillo")))
                .contains("CATEGORY-OPERATOR: MULTI-OP\nCATEGORY-POWER: LOW\nCLAIMED-SCORE: 0\nCLUB: Clube Corvo\n")
                .contains("ADDRESS: Rua Cao 1\nADDRESS: Vila\n")
                .doesNotContain("NAME:", "EMAIL:");
        assertThat(sendJson("PUT", path(""), Map.of("goal", -1)).body()).contains("A goal is a score from 1 to ");

        HttpResponse<String> wrong =
                sendJson("PUT", path(""), Map.of("power", "LOW", "category", Map.of("operator", "TWO", "crew", "X")));
        assertThat(wrong.statusCode()).isEqualTo(422);
        assertThat(wrong.body())
                .contains("\\\"TWO\\\" is no choice of operator: one of SINGLE-OP, MULTI-OP.")
                .contains("This contest has no category \\\"crew\\\"; it has operator, overlay.");
        assertThat(sendJson("PUT", path(""), Map.of("power", "LOW", "header", Map.of("END-OF-LOG", "x")))
                        .body())
                .contains("There is no line END-OF-LOG to give; there are OPERATORS, CLUB,");
        assertThat(sendJson("PUT", path(""), Map.of("power", "LOW", "header", Map.of("CLUB", "x".repeat(76))))
                        .body())
                .contains("CLUB has at most 6 lines of 75 characters.");
        assertThat(text(path("/cabrillo"))).contains("CLUB: Clube Corvo\n");
    }

    /** Two fields left one after the other are saved at the same time on a busy machine. */
    @Test
    void fieldsSavedAtTheSameTimeDoNotTakeEachOtherBack() throws Exception {
        ExecutorService two = Executors.newFixedThreadPool(2);
        try {
            for (int i = 0; i < 30; i++) {
                String operator = i % 2 == 0 ? "MULTI-OP" : "SINGLE-OP";
                String club = "Club " + i;
                Future<HttpResponse<String>> category =
                        two.submit(() -> sendJson("PUT", path(""), Map.of("category", Map.of("operator", operator))));
                Future<HttpResponse<String>> header =
                        two.submit(() -> sendJson("PUT", path(""), Map.of("header", Map.of("CLUB", club))));
                ok(category.get());
                ok(header.get());
                assertThat(text(path("/cabrillo")))
                        .contains("CATEGORY-OPERATOR: " + operator + "\n", "CLUB: " + club + "\n");
            }
        } finally {
            two.shutdownNow();
        }
    }

    @Test
    void howItGoesIsToldHourByHourBesideAnEarlierYear() throws Exception {
        importText(worked("DL1QAA", 1, "14.025", "CW", "7", "14") + worked("W1QAB", 2, "14.025", "CW", "12", "5"));
        JsonNode pace = get(path("/pace"));
        assertThat(pace.path("hours")).singleElement().satisfies(hour -> {
            assertThat(hour.path("contacts").asInt()).isEqualTo(2);
            assertThat(hour.path("multipliers").asInt()).isEqualTo(2);
            assertThat(hour.path("score").asInt())
                    .isEqualTo(score().path("score").asInt());
        });
        assertThat(pace.path("operatingMinutes").asInt()).isEqualTo(1);
        assertThat(pace.has("leftMinutes") && !pace.path("leftMinutes").isNull())
                .isFalse();
        assertThat(pace.path("earlier")).isEmpty();

        // The contest comes again a day later, under its name.
        ok(define(SampleContest.definition(START.plus(Duration.ofDays(1)))));
        JsonNode next = ok(begin("Harbour Hours", Map.of()));
        JsonNode then = get("/api/contest-books/" + next.path("id").asLong() + "/pace");
        assertThat(then.path("hours")).isEmpty();
        assertThat(then.path("earlier").path(0).path("from").asString())
                .isEqualTo(Instant.parse(pace.path("hours").path(0).path("from").asString())
                        .plus(Duration.ofDays(1))
                        .toString());
    }

    @Test
    void multipliersAreToldByBand() throws Exception {
        importText(worked("DL1QAA", 1, "14.025", "CW", "7", "14")
                + worked("DL1QAA", 3, "7.025", "CW", "8", "14")
                + worked("W1QAB", 5, "14.025", "CW", "2", "5")
                + worked("W2QAB", 6, "14.025", "CW", "3", "5"));
        assertThat(get(path("/multipliers")).toString())
                .isEqualTo("[{\"name\":\"zones\",\"values\":[{\"value\":\"5\",\"bands\":[\"20m\"]},"
                        + "{\"value\":\"14\",\"bands\":[\"40m\",\"20m\"]}]}]");
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
        assertThat(wrong.body()).contains("sent.zone", "\\\"41\\\" is not a CQ zone.");
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

    @Test
    void aDefinitionIsReadWhileItIsWrittenAndNothingIsStored() throws Exception {
        int before = get("/api/contest-definitions").size();
        JsonNode right = ok(sendText(
                "/api/contest-definitions/check",
                SampleContest.definition(START).replace("Harbour", "Other")));
        assertThat(right.path("definition").path("name").asString()).isEqualTo("Other Hours");
        assertThat(right.path("rules").path(0).asString()).isEqualTo("A station counts once for each band.");
        JsonNode wrong = ok(sendText(
                "/api/contest-definitions/check",
                SampleContest.definition(START).replace("20m", "7m")));
        assertThat(wrong.hasNonNull("definition")).isFalse();
        assertThat(wrong.path("problems").path(0).path("line").asInt()).isEqualTo(5);
        assertThat(ok(sendText("/api/contest-definitions/check", "")).path("problems"))
                .hasSize(1);
        assertThat(get("/api/contest-definitions")).hasSize(before);
    }

    @Test
    void sampleContactsAreCountedByADefinitionThatIsBeingWritten() throws Exception {
        String text = SampleContest.definition(START);
        JsonNode tried = ok(sendJson(
                "POST",
                "/api/contest-definitions/try",
                Map.of("definition", text, "contacts", "20m CW w1qab 1 5\n20m CW w1qab 2 5\n20m CW w1qac 1\n")));
        assertThat(tried.path("lines"))
                .extracting(line -> line.path("says").asString())
                .containsExactly("3 points \u00b7 zones +1", "worked before", "Still missing: zone.");
        assertThat(tried.path("score").asInt()).isEqualTo(3);
        assertThat(count("contact")).isZero();
        assertThat(sendJson("POST", "/api/contest-definitions/try", Map.of("definition", "name: x"))
                        .body())
                .contains("Correct the definition first; then contacts can be counted by it.");
    }

    @Test
    void aDefinitionWrittenHereIsDeletedAndItsBookKeepsTheRules() throws Exception {
        importText(worked("DL1QAA", 1, "14.025", "CW", "7", "14"));
        ok(sendJson("DELETE", "/api/contest-definitions?name=Harbour%20Hours", Map.of()));
        assertThat(get("/api/contest-definitions").toString()).doesNotContain("Harbour Hours");
        assertThat(score().path("score").asInt()).isEqualTo(1);
        assertThat(sendJson("DELETE", "/api/contest-definitions?name=Lantern%20Weekend", Map.of())
                        .body())
                .contains("The contest Lantern Weekend ships with Yokebar and cannot be deleted.");
        assertThat(sendJson("DELETE", "/api/contest-definitions?name=Nothing", Map.of())
                        .statusCode())
                .isEqualTo(404);
    }
}
