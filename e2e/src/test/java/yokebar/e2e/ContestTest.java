package yokebar.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import tools.jackson.databind.JsonNode;
import yokebar.standins.demo.DemoSetup;

/** A contest by keyboard alone, through ends of the application at random moments. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class ContestTest extends BrowserTest {
    private static final int CONTACTS = Integer.getInteger("yokebar.contest-contacts", 40);
    private static final Instant START = Instant.now().truncatedTo(ChronoUnit.HOURS);
    private static final String DEFINITION =
            """
            name: Harbour Hours
            cabrillo name: HARBOUR-HOURS
            periods:
              - {from: %s, until: %s}
            bands: [40m, 20m]
            modes: [CW]
            exchange:
              - {name: report, kind: report}
              - {name: serial, kind: serial}
              - {name: zone, kind: cq zone}
            work again: {each: [band]}
            points:
              - {when: {continent: same}, points: 1}
              - {points: 3}
            multipliers:
              - {name: zones, of: exchange.zone, each: [band]}
            """
                    .formatted(START, START.plus(Duration.ofHours(24)));

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
        new DemoSetup(yokebar.address(), standIns).furnishStation();
        standIns.hfRadio().front().tune(false, 14_025_000);
        standIns.hfRadio().front().setMode("CW");
        standIns.hfRadio().front().setData(false);
        HttpRequest definition = HttpRequest.newBuilder(URI.create(yokebar.address() + "api/contest-definitions"))
                .header("Content-Type", "text/plain")
                .POST(HttpRequest.BodyPublishers.ofString(DEFINITION))
                .build();
        HttpResponse<String> answer = HttpClient.newHttpClient().send(definition, HttpResponse.BodyHandlers.ofString());
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
    }

    private Locator line() {
        return page.getByLabel("Contest line", new Page.GetByLabelOptions().setExact(true));
    }

    private Locator says() {
        return page.locator("#contest-line-says");
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
        open("contest");
        button("Lamp room").click();
        assertThat(page.getByText("No contest book yet.")).isVisible();
        button("Begin a book").click();
        page.getByLabel("Contest", new Page.GetByLabelOptions().setExact(true)).selectOption("Harbour Hours");
        button("Begin").click();
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
        assertThat(says()).containsText("still missing: zone");
        page.keyboard().type(" 38");
        assertThat(says()).containsText("zones +1");
        assertThat(says()).containsText("Enter logs it");
        page.keyboard().press("Enter");
        assertThat(page.locator("table[aria-label=Contacts] tbody tr").first()).containsText("ZS1QAB");
        page.keyboard().type("zs1qab");
        assertThat(says()).containsText("Worked before");
        page.keyboard().press("Escape");
        assertThat(line()).hasValue("");
    }

    @Test
    @Order(4)
    void aLineThatIsWrongComesBackWithTheReason() {
        type("zs2qab 7");
        assertThat(says()).containsText("Still missing: zone.");
        assertThat(line()).hasValue("zs2qab 7");
        type(" 38");
        assertThat(page.locator("table[aria-label=Contacts] tbody tr").first()).containsText("ZS2QAB");
    }
}
