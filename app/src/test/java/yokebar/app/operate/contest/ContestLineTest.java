package yokebar.app.operate.contest;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import yokebar.app.operate.contest.channel.Channels;
import yokebar.app.operate.contest.line.ContestLineRequest;
import yokebar.app.operate.contest.line.ContestLogged;
import yokebar.app.operate.contest.sending.SentSerials;
import yokebar.app.operate.contest.sending.TextSending;
import yokebar.app.operate.entry.EntryCompletion;
import yokebar.app.sources.intake.TypedContacts;

/** The contest line over HTTP. */
class ContestLineTest extends ContestTest {
    @Autowired
    private ContestBooks books;

    @Autowired
    private BookScores scores;

    @Autowired
    private Channels channels;

    @Autowired
    private LineRecords records;

    @Autowired
    private EntryCompletion completion;

    @Autowired
    private LineHints hints;

    @Autowired
    private TypedContacts contacts;

    @Autowired
    private TextSending sending;

    @Autowired
    private SentSerials serials;

    @Autowired
    private Clock clock;

    @Test
    void theAnswerHasTheContactAsItStandsInTheBook() throws Exception {
        JsonNode logged = log("w1qab 7 5");
        assertThat(logged.path("contact")).isEqualTo(get(path("/contacts")).path(0));
        assertThat(logged.path("contact").path("worth").path("points").asInt()).isEqualTo(3);
        assertThat(log("w1qab 7 5").path("contact")).isEqualTo(logged.path("contact"));
        Map<String, Object> elsewhere = new HashMap<>(
                Map.of("text", "w1qac 8 5", "frequency", "21.025", "mode", "CW", "agoMs", 0, "key", "on 15"));
        JsonNode notCounted = ok(sendJson("POST", path("/line/log"), elsewhere));
        assertThat(notCounted.path("contactId").asInt()).isPositive();
        assertThat(notCounted.path("contact").isNull()
                        || notCounted.path("contact").isMissingNode())
                .isTrue();
    }

    @Test
    void theLineSaysWhatItIsWorthBeforeItIsLogged() throws Exception {
        JsonNode half = ok(type("read", "w1qab", ""));
        assertThat(half.path("call").asString()).isEqualTo("W1QAB");
        assertThat(half.path("country").asString()).isEqualTo("United States of America");
        assertThat(half.path("missing")).extracting(JsonNode::asString).containsExactly("serial", "zone");
        assertThat(half.path("send").asString()).isEqualTo("599 1 14");
        assertThat(half.path("worth").path("points").asInt()).isEqualTo(3);
        assertThat(half.path("worth").path("multipliers").toString()).isEqualTo("[\"zones\"]");
        assertThat(count("contact")).isZero();
    }

    @Test
    void whatAStationLikelySendsIsGuessedFromWhatItSentOrFromItsCall() throws Exception {
        assertThat(read("w1qab").path("guessed").toString()).as("by its call").isEqualTo("{\"zone\":\"5\"}");
        log("w1qab 12 4");
        JsonNode again = read("w1qab");
        assertThat(again.path("guessed").toString()).as("as it sent").isEqualTo("{\"zone\":\"4\"}");
        assertThat(read("w1qab 13 4").path("guessed")).isEmpty();
    }

    /** Another year's contest is a contact of the log with its name. */
    @Test
    void whatWasSentInAnEarlierYearIsGuessedToo() throws Exception {
        importText(worked("DL1QAA", 0, "14.025", "CW", "7", "15")
                .replaceFirst("<qso_date:8>\\d{8}", "<qso_date:8>20250104")
                .replace("<eor>", record("contest_id", "HARBOUR-HOURS")));
        assertThat(read("dl1qaa").path("guessed").path("zone").asString()).isEqualTo("15");
    }

    @Test
    void anOddExchangeIsAskedAboutAndStopsNothing() throws Exception {
        assertThat(read("w1qab 12 14").path("questions"))
                .extracting(JsonNode::asString)
                .containsExactly("By its call it would be in CQ zone 5.");
        log("w1qab 12 14");
        assertThat(read("w1qab 13 14").path("questions")).isEmpty();
        assertThat(read("w1qab 9 5").path("questions"))
                .extracting(JsonNode::asString)
                .satisfiesExactly(text -> assertThat(text).startsWith("It sent serial 12 at "), text -> assertThat(text)
                        .startsWith("It sent zone 14 at "));
        assertThat(read("w1qab 9 5").path("problems")).isEmpty();
    }

    @Test
    void callsOfTheLogAreLikelyWithWhatTheyAreWorth() throws Exception {
        log("w1qab 12 5");
        JsonNode part = read("1qa").path("likely").path(0);
        assertThat(part.path("call").asString()).isEqualTo("W1QAB");
        assertThat(part.path("oneSlip").asBoolean()).isFalse();
        assertThat(part.path("worth").path("dupe").asBoolean()).isTrue();
        assertThat(read("w1q").path("likely").path(0).path("call").asString())
                .as("what could be a call of its own")
                .isEqualTo("W1QAB");
        JsonNode slip = read("w1qac").path("likely").path(0);
        assertThat(slip.path("call").asString()).isEqualTo("W1QAB");
        assertThat(slip.path("oneSlip").asBoolean()).isTrue();
        assertThat(read("w1qab").path("likely")).as("it is in the log").isEmpty();
        assertThat(read("7025").path("likely")).as("a frequency").isEmpty();
    }

    @Test
    void aLineIsLoggedWithTheWholeExchange() throws Exception {
        log("w1qab 12 5");
        Map<String, Object> row = jdbc.queryForMap("select * from contact");
        assertThat(row)
                .containsEntry("CALL_SIGN", "W1QAB")
                .containsEntry("BAND", "20m")
                .containsEntry("CQ_ZONE", 5);
        String log = wholeLog();
        assertThat(log)
                .contains("<STX:1>1", "<STX_STRING:4>1 14", "<SRX:2>12", "<SRX_STRING:4>12 5", "<RST_RCVD:3>599")
                .contains("<CONTEST_ID:13>HARBOUR-HOURS");
        assertThat(score().path("score").asInt()).isEqualTo(3);
        assertThat(ok(type("read", "w1qab 13 5", "")).path("worth").path("dupe").asBoolean())
                .isTrue();
        assertThat(ok(type("read", "w1qab 13 5", "")).path("send").asString()).isEqualTo("599 2 14");
    }

    @Test
    void aLineThatWaitedForAnAnswerIsLoggedWhenItWasTyped() throws Exception {
        Instant typed = Instant.now().minusSeconds(600);
        Map<String, Object> line =
                Map.of("text", "w1qab 12 5", "frequency", "14.025", "mode", "CW", "key", "late", "agoMs", 600_000);
        ok(sendJson("POST", path("/line/log"), line));
        Instant start =
                Instant.parse(get(path("/contacts")).path(0).path("start").asString());
        assertThat(start).isBetween(typed.minusSeconds(2), typed.plusSeconds(30));
    }

    @Test
    void aLineThatIsSentAgainIsLoggedOnce() throws Exception {
        ok(type("log", "w1qab 12 5", "one"));
        ok(type("log", "w1qab 12 5", "one"));
        assertThat(count("contact")).isEqualTo(1);
    }

    /** The answer was lost with the application that had given it; what remembers it is the log alone. */
    @Test
    void aLineThatIsSentAgainAfterARestartIsLoggedOnce() throws Exception {
        ok(type("log", "w1qab 12 5", "one"));
        ContestLine restarted =
                new ContestLine(scores, channels, records, completion, hints, contacts, sending, serials, clock);
        ContestLogged again = restarted.log(
                books.find(bookId),
                new ContestLineRequest("w1qab 12 5", null, "14.025", "CW", 2_000, "one", null, null, null));
        assertThat(again.fresh()).isFalse();
        assertThat(count("contact")).isEqualTo(1);
    }

    @Test
    void anIncompleteLineIsNotLoggedAndSaysWhatIsMissing() throws Exception {
        assertThat(type("log", "w1qab 12", "1").body()).contains("Still missing: zone.");
        assertThat(type("log", "12 5", "2").body()).contains("Type a call and the exchange.");
        assertThat(type("log", "w1qab 12 5 @@", "3").body()).contains("\\\"@@\\\" fits no part of the exchange.");
        assertThat(sendJson("POST", path("/line/log"), Map.of("text", "w1qab 12 5", "key", "4", "agoMs", 0))
                        .body())
                .contains("No radio says where you are; give the frequency and the mode.");
        assertThat(sendJson("POST", path("/line/log"), Map.of("text", "w1qab 12 5", "agoMs", 0))
                        .statusCode())
                .isEqualTo(422);
        assertThat(count("contact")).isZero();
    }

    @Test
    void serialsAreUniqueWhenSeveralLogAtOnce() throws Exception {
        ExecutorService positions = Executors.newFixedThreadPool(3);
        try {
            List<Callable<Integer>> lines = new ArrayList<>();
            for (int i = 0; i < 30; i++) {
                String text =
                        "dl" + i % 10 + "q" + (char) ('a' + i % 26) + (char) ('a' + i / 10) + " " + (i + 1) + " 14";
                lines.add(() -> type("log", text, text).statusCode());
            }
            for (Future<Integer> line : positions.invokeAll(lines)) {
                assertThat(line.get()).isEqualTo(200);
            }
        } finally {
            positions.shutdownNow();
        }
        Map<Integer, Integer> serials = new HashMap<>();
        for (String part : wholeLog().split("<STX:\\d>")) {
            String digits = part.replaceFirst("(?s)^(\\d*).*$", "$1");
            if (!digits.isEmpty()) {
                serials.merge(Integer.parseInt(digits), 1, Integer::sum);
            }
        }
        assertThat(serials.keySet())
                .containsExactlyElementsOf(IntStream.rangeClosed(1, 30).boxed().toList());
        assertThat(serials.values()).containsOnly(1);
    }
}
