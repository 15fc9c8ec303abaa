package yokebar.app.operate.contest;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class BookImportTest extends ContestTest {
    /** A line of a Cabrillo log, so many minutes after the start. */
    private static String line(String mode, int minutes, String sent, String call, String received) {
        String at = DateTimeFormatter.ofPattern("yyyy-MM-dd HHmm")
                .withZone(ZoneOffset.UTC)
                .format(START.plus(Duration.ofMinutes(minutes)));
        return "QSO: 14025 " + mode + " " + at + " CU9QYB " + sent + " " + call + " " + received + "\n";
    }

    private static String cabrillo(String contest, String... lines) {
        return "START-OF-LOG: 3.0\nCONTEST: " + contest + "\nCALLSIGN: CU9QYB\n" + String.join("", lines)
                + "END-OF-LOG:\n";
    }

    @Test
    void aCabrilloLogComesIntoTheBookAndIsCounted() throws Exception {
        JsonNode imported = ok(importIntoBook(cabrillo(
                "HARBOUR-HOURS",
                line("CW", 1, "599 1 14", "DL1QAA", "599 7 14"),
                line("PH", 3, "59 2 14", "W1QAB", "59 12 5"))));
        assertThat(imported.path("added").asInt()).isEqualTo(2);
        assertThat(imported.path("problems")).isEmpty();
        assertThat(score().path("contacts").asInt()).isEqualTo(2);
        assertThat(score().path("multipliers").path("zones").asInt()).isEqualTo(2);
    }

    @Test
    void theBooksOwnCabrilloReadBackAddsNothing() throws Exception {
        importText(worked("DL1QAA", 1, "14.025", "CW", "7", "14") + worked("W1QAB", 3, "14.025", "CW", "12", "5"));
        JsonNode before = score();
        String log = send(request(path("/cabrillo")).GET()).body();
        JsonNode imported = ok(importIntoBook(log));
        assertThat(imported.path("read").asInt()).isEqualTo(2);
        assertThat(imported.path("added").asInt()).as(imported.toString()).isZero();
        assertThat(count("contact")).isEqualTo(2);
        assertThat(score()).isEqualTo(before);
        assertThat(send(request(path("/cabrillo")).GET()).body()).isEqualTo(log);
    }

    @Test
    void aLogOfAnotherContestIsRefusedContactByContactAndKeptInTheJournal() throws Exception {
        JsonNode imported =
                ok(importIntoBook(cabrillo("LANTERN-WEEKEND", line("CW", 1, "599 14", "DL1QAA", "599 14"))));
        assertThat(imported.path("refused").asInt()).isEqualTo(1);
        assertThat(imported.path("problems").path(0).path("line").asInt()).isEqualTo(4);
        assertThat(imported.path("problems").path(0).path("message").asString())
                .isEqualTo("It is a contact of the contest LANTERN-WEEKEND, and the book is of HARBOUR-HOURS. "
                        + "Import it into a book of that contest, or under Intake.");
        assertThat(count("contact")).isZero();
        assertThat(get("/api/journal?limit=10").toString()).contains("599 14 DL1QAA 599 14");
    }

    @Test
    void aContactOutsideTheContestOrOfAnotherCallIsRefusedAndTheRestGoesThrough() throws Exception {
        JsonNode imported = ok(importIntoBook(worked("DL1QAA", -5, "14.025", "CW", "7", "14")
                + worked("W1QAB", 3, "14.025", "CW", "12", "5").replace("<eor>", record("station_callsign", "CU2QYC"))
                + worked("ZP5QXA", 4, "14.025", "CW", "13", "11")));
        assertThat(imported.path("added").asInt()).isEqualTo(1);
        assertThat(imported.path("problems"))
                .extracting(problem -> problem.path("message").asString())
                .satisfiesExactly(
                        message ->
                                assertThat(message).contains("It was made at ").contains("Correct its time"),
                        message -> assertThat(message).startsWith("It was made as CU2QYC, and the book is of "));
        assertThat(score().path("contacts").asInt()).isEqualTo(1);
    }

    @Test
    void aRecordThatDoesNotSayItsContestGetsTheBooks() throws Exception {
        ok(importIntoBook(worked("DL1QAA", 1, "14.025", "CW", "7", "14")));
        assertThat(wholeLog()).contains("<CONTEST_ID:13>HARBOUR-HOURS");
    }

    @Test
    void somethingElseThanALogIsRefusedAsAWhole() throws Exception {
        HttpResponse<String> answer = importIntoBook("");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("It is empty.");
        bookId = 12345;
        assertThat(importIntoBook("<call:6>DL1QAA<eor>").statusCode()).isEqualTo(404);
    }
}
