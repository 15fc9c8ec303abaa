package yokebar.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.regex.Pattern;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import tools.jackson.databind.JsonNode;
import yokebar.standins.tallyho.TallyHo;

/** A contest by keyboard alone, through ends of the application at random moments. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class ContestTest extends ContestBrowserTest {
    private static final int CONTACTS = Integer.getInteger("yokebar.contest-contacts", 40);
    private final Random random = new Random(5);
    /** What was worked, as band, call and zone, and the score by plain counting. */
    private final Set<String> worked = new HashSet<>();

    private final Set<String> zones = new HashSet<>();
    private int points;
    private int dupes;

    ContestTest() {
        super(31);
    }

    @Override
    void begin() throws Exception {
        furnish(14_025_000, "CW");
        SampleContest.define(yokebar.address());
    }

    private void type(String text) {
        page.keyboard().type(text);
        page.keyboard().press("Enter");
    }

    private void count(String band, String call, String zone) {
        if (worked.add(band + call)) {
            points += call.startsWith("DL") ? 1 : 3;
            zones.add(band + zone);
        } else {
            dupes++;
        }
    }

    private JsonNode score() throws Exception {
        return yokebar.get("api/contest-books/1/score");
    }

    @Test
    @Order(1)
    void aBookIsBegunAndTheLineIsReadyForTheFirstContact() {
        beginABook();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Harbour Hours")))
                .isVisible();
        assertThat(line()).isFocused();
        assertThat(page.getByText("kHz CW")).isVisible();
        assertThat(page.getByText("599 1 14")).isVisible();
    }

    @Test
    @Order(2)
    void contactsByKeyboardAloneSurviveKillsAndTheScoreIsRight() throws Exception {
        List<Integer> kills =
                random.ints(1, CONTACTS).distinct().limit(2).boxed().toList();
        List<String> calls = new ArrayList<>();
        for (int i = 0; i < CONTACTS; i++) {
            boolean again = i > 3 && random.nextInt(6) == 0;
            String call = again
                    ? calls.get(random.nextInt(calls.size()))
                    : (random.nextBoolean() ? "DL" : "W") + i % 10 + "Q" + (char) ('A' + i / 26)
                            + (char) ('A' + i % 26);
            calls.add(call);
            String zone = call.startsWith("DL") ? "14" : "" + (3 + random.nextInt(3));
            count("20m", call, zone);
            type(call.toLowerCase() + " " + (i + 1) + " " + zone);
            if (kills.contains(i)) {
                // What was taken is there, and what was on its way goes there when somebody answers.
                yokebar.kill();
                yokebar.start();
            }
        }
        Until.itIs("all are in the book", () -> {
            JsonNode score = score();
            return score.path("contacts").asInt() + score.path("dupes").asInt() == CONTACTS;
        });
        assertThat(score().path("dupes").asInt()).isEqualTo(dupes);
        assertThat(score().path("score").asLong()).isEqualTo((long) points * zones.size());
        assertThat(page.getByRole(AriaRole.STATUS, new Page.GetByRoleOptions().setName("Score")))
                .containsText(points + " points · " + zones.size() + " zones");
        assertThat(serials()).containsExactlyInAnyOrderElementsOf(serialsUpTo(CONTACTS));
    }

    /** Those that were sent, as the log for the adjudicator has them. */
    private List<Integer> serials() throws Exception {
        return yokebar.text("api/contest-books/1/cabrillo")
                .lines()
                .filter(line -> line.startsWith("QSO:"))
                .map(line -> Integer.parseInt(line.split("\\s+")[7]))
                .toList();
    }

    private static List<Integer> serialsUpTo(int last) {
        List<Integer> all = new ArrayList<>();
        for (int i = 1; i <= last; i++) {
            all.add(i);
        }
        return all;
    }

    @Test
    @Order(3)
    void theLineSaysWhatACallIsWorthBeforeItIsLogged() {
        page.keyboard().type("zs1qab 7");
        assertThat(says()).containsText("3 points");
        assertThat(says()).containsText("Enter takes zone 38");
        page.keyboard().type(" 38");
        assertThat(says()).containsText("zones +1");
        assertThat(says()).containsText("Enter logs it");
        page.keyboard().press("Enter");
        assertThat(latest(page)).containsText("ZS1QAB");
        page.keyboard().type("zs1qab");
        assertThat(says()).containsText("Worked before");
        page.keyboard().press("Escape");
        assertThat(line()).hasValue("");
    }

    @Test
    @Order(4)
    void aLineThatIsWrongComesBackWithTheReason() {
        type("zs2qab");
        assertThat(says()).containsText("Still missing: serial, zone.");
        assertThat(line()).hasValue("zs2qab");
        type(" 7 38");
        assertThat(latest(page)).containsText("ZS2QAB");
    }

    @Test
    @Order(5)
    void whatIsGuessedIsTakenIntoTheLineAndThenLogged() {
        page.keyboard().type("zs3qab 8");
        assertThat(says()).containsText("Enter takes zone 38");
        page.keyboard().press("Enter");
        assertThat(line()).hasValue("zs3qab 8 38");
        assertThat(says()).containsText("Enter logs it");
        page.keyboard().press("Enter");
        assertThat(latest(page)).containsText("ZS3QAB");
    }

    @Test
    @Order(6)
    void aPartOfACallIsMadeWholeByKey() {
        page.keyboard().type("s3q");
        Locator likely = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Likely calls"));
        assertThat(likely).containsText("ZS3QAB Worked before");
        page.keyboard().press("Tab");
        page.keyboard().press("Enter");
        assertThat(line()).hasValue("zs3qab ");
        page.keyboard().press("Escape");
        page.keyboard().type("zs3qac 9 39");
        assertThat(likely).containsText("ZS3QAB one character differs");
        assertThat(says()).containsText("By its call it would be in CQ zone 38.");
        page.keyboard().press("Escape");
    }

    @Test
    @Order(7)
    void theLatestContactIsCorrectedByKeyAndAWipedLineComesBack() {
        page.keyboard().type("zs9q");
        page.keyboard().press("Escape");
        assertThat(line()).hasValue("");
        page.keyboard().press("ArrowUp");
        assertThat(line()).hasValue("zs9q");
        page.keyboard().press("Alt+e");
        assertThat(line()).hasValue("zs3qab 599 8 38");
        assertThat(says()).containsText("Correcting ZS3QAB");
        line().fill("zs3qad 8; asks for a card");
        page.keyboard().press("Enter");
        assertThat(says()).containsText("Still missing: zone.");
        line().fill("zs3qad 8 38; asks for a card");
        page.keyboard().press("Enter");
        assertThat(latest(page)).containsText("ZS3QAD");
        assertThat(line()).hasValue("zs9q");
        page.keyboard().press("Escape");
        assertThat(says()).containsText("It is corrected.");
    }

    @Test
    @Order(8)
    void contactsFromPaperKeepTheirTimeAndTheirBand() {
        Instant hour = Instant.now().truncatedTo(ChronoUnit.HOURS);
        String time =
                DateTimeFormatter.ofPattern("HHmm").withZone(ZoneOffset.UTC).format(hour);
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("From paper"))
                .click();
        assertThat(line()).isFocused();
        page.getByLabel("Frequency (kHz)").fill("7025");
        page.getByLabel("Mode", new Page.GetByLabelOptions().setExact(true)).selectOption("CW");
        line().fill(time + " zs5qab 11 38");
        assertThat(says()).containsText("Enter logs it at " + hour.toString().substring(0, 10));
        line().press("Enter");
        Locator row = page.locator("table[aria-label=Contacts] tbody tr")
                .filter(new Locator.FilterOptions().setHasText("ZS5QAB"));
        assertThat(row).containsText(time.substring(0, 2) + ":00");
        assertThat(row).containsText("40m");
        page.keyboard().press("Alt+w");
        assertThat(page.getByText("kHz CW")).isVisible();
    }

    @Test
    @Order(9)
    void whoRunsWorksAStationWithOneKeyAndStopsWithAnother() {
        page.keyboard().press("Alt+w");
        assertThat(says()).containsText("Enter sends CQ TEST CU9QYB CU9QYB");
        page.keyboard().press("Enter");
        heard("CQ TEST CU9QYB CU9QYB");
        assertThat(page.getByText("Sending CQ TEST")).isVisible();
        page.keyboard().press("Escape");
        Until.itIs("the radio receives", () -> !standIns.hfRadio().front().transmitting());
        assertThat(page.getByText("Sending CQ TEST")).isHidden();

        page.keyboard().type("zs4qab");
        assertThat(says()).containsText(Pattern.compile("Enter sends ZS4QAB 5NN \\d+ 14"));
        page.keyboard().press("Enter");
        heard("ZS4QAB 5NN");
        assertThat(says()).containsText("Enter sends NR ZONE?");
        page.keyboard().type(" 11 38");
        assertThat(says()).containsText("Enter sends TU CU9QYB and logs it");
        page.keyboard().press("Enter");
        heard("TU CU9QYB");
        assertThat(latest(page)).containsText("ZS4QAB");
        assertThat(line()).hasValue("");
        // On to searching, and back to logging alone.
        page.keyboard().press("Alt+w");
        assertThat(says()).containsText("Type the call of the station that you want to call.");
        page.keyboard().press("Alt+w");
        assertThat(says()).not().containsText("Type the call");
    }

    private void heard(String text) {
        Until.itIs(
                "the radio keys " + text,
                () -> standIns.hfRadio().front().keyedText().contains(text));
    }

    @Test
    @Order(10)
    void theScoreIsPostedToTheScoreboardAndTheTestSaysWhyNot() throws Exception {
        standIns.scoreboard().setUp(false);
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Scoreboard"))
                .click();
        button("Set up…").click();
        save("Address", standIns.scoreboard().address());
        save("Account", TallyHo.ACCOUNT);
        page.getByLabel("Password", new Page.GetByLabelOptions().setExact(true)).fill(TallyHo.PASSWORD);
        page.keyboard().press("Tab");
        assertThat(button("Clear password")).isEnabled();
        button("Test").click();
        assertThat(page.getByText("cannot be reached; nothing listens there").first())
                .isVisible();
        standIns.scoreboard().setUp(true);
        button("Test").click();
        assertThat(page.getByText("Account CU9QYB may post scores, one every 120 s. Nothing was posted."))
                .isVisible();
        yokebar.post("api/hookups/tally-ho/connect", "{}");
        Until.itIs("the score is posted", () -> standIns.scoreboard().posted("HARBOUR-HOURS", "CU9QYB").stream()
                .anyMatch(post -> post.path("score").asLong() > 0));
        button("Read again").click();
        assertThat(page.getByText(Pattern.compile("You are number \\d+ of \\d+\\.")))
                .isVisible();
    }

    private void save(String field, String text) {
        page.getByLabel(field, new Page.GetByLabelOptions().setExact(true)).fill(text);
        page.keyboard().press("Enter");
    }

    @Test
    @Order(11)
    void aCategoryAndALineOfTheHeaderAreCorrectedAndExportedAgain() throws Exception {
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Log header"))
                .click();
        page.getByLabel("CATEGORY-OPERATOR").selectOption("MULTI-OP");
        page.getByLabel("CLUB").fill("Ilha do Farol Radio Club");
        page.getByLabel("CLUB").press("Enter");
        Until.itIs("both are in the log", () -> yokebar.text("api/contest-books/1/cabrillo")
                .contains("CATEGORY-OPERATOR: MULTI-OP\nCLAIMED-SCORE: " + score().path("score")
                        + "\nCLUB: Ilha do Farol"));
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Progress"))
                .click();
        assertThat(page.getByText("Last 60 minutes")).isVisible();
        page.getByLabel("Goal").fill("1 000 000");
        page.getByLabel("Goal").press("Enter");
        assertThat(page.getByText("Reached")).isVisible();
    }

    @Test
    @Order(12)
    void theRulesOfAnotherContestAreWrittenAndABookOfItIsBegun() {
        open("contest/definitions");
        page.getByLabel("Begin with").selectOption("Keepers Roll");
        Locator text = page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Definition"));
        assertThat(text).hasValue(Pattern.compile("name: My Keepers Roll"));
        String copy = text.inputValue();
        text.fill(copy.replace("My Keepers Roll", "Lamp Oil Night").replace("points: 25", "points: many"));
        assertThat(page.getByText("\"many\" is not a whole number from 0 to 100000."))
                .isVisible();
        assertThat(button("Save")).isDisabled();
        text.fill(copy.replace("My Keepers Roll", "Lamp Oil Night").replace("points: 25", "points: 50"));
        assertThat(page.getByText("50 points where the call is CU9QLZ.")).isVisible();
        button("Save").click();
        assertThat(page.getByText("Lamp Oil Night is saved. A book can be begun now."))
                .isVisible();

        page.getByText("All books").click();
        button("Begin a book").click();
        page.getByLabel("Contest", new Page.GetByLabelOptions().setExact(true)).selectOption("Lamp Oil Night");
        page.getByLabel("You send: roll").fill("17");
        button("Begin").click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Lamp Oil Night")))
                .isVisible();
    }
}
