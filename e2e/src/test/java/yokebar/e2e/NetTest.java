package yokebar.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import tools.jackson.databind.JsonNode;
import yokebar.standins.demo.DemoSetup;

/** An evening on the repeater: thirty check-ins by keyboard alone, through ends of the application at random moments. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class NetTest extends BrowserTest {
    /** Whether nothing lies over the middle of a row. */
    private static final String IN_SIGHT =
            """
            (row) => {
              const { left, top, width, height } = row.getBoundingClientRect();
              return row.contains(document.elementFromPoint(left + width / 2, top + height / 2));
            }
            """;

    private static final int CHECK_INS = 30;
    /** Two in every run; twenty with {@code -Dyokebar.kills=20}. */
    private static final int KILLS = Integer.getInteger("yokebar.kills", 2);

    private final Random random = new Random(29);

    NetTest() {
        super(29);
    }

    @Override
    void begin() throws Exception {
        new DemoSetup(yokebar.address(), standIns).furnishStation();
        yokebar.put("api/positions/1", "{\"radioId\":0}");
    }

    private static String call(int i) {
        return "CT" + i % 10 + "Q" + (char) ('A' + i / 10) + (char) ('A' + i % 10);
    }

    private Locator rows() {
        return page.locator("table[aria-label=Check-ins] tbody tr");
    }

    private void type(String line) {
        page.keyboard().type(line);
        page.keyboard().press("Enter");
    }

    private void assertReports(int row, String sent, String received) {
        Locator cells = rows().nth(row).locator("td");
        assertThat(cells.nth(8)).hasText(sent);
        assertThat(cells.nth(9)).hasText(received);
    }

    private JsonNode sheet() throws Exception {
        String id = page.url().replaceAll(".*/nets/", "");
        return yokebar.get("api/net-sessions/" + id);
    }

    private List<String> typed() throws Exception {
        List<String> all = new ArrayList<>();
        sheet().path("checkIns").forEach(one -> all.add(one.path("heard").asString()));
        return all;
    }

    @Test
    @Order(1)
    void thirtyCheckInsByKeyboardAloneSurviveAKill() throws Exception {
        open("nets");
        assertThat(page.getByText("Island Repeater Roundtable").first()).isVisible();
        page.keyboard().press("1");
        assertThat(page.getByText("repeater Pico")).isVisible();
        assertThat(page.getByLabel("Check in", new Page.GetByLabelOptions().setExact(true)))
                .isFocused();
        List<Integer> kills =
                random.ints(1, CHECK_INS).distinct().limit(KILLS).boxed().toList();
        for (int i = 0; i < CHECK_INS; i++) {
            type(call(i).toLowerCase() + (i == 7 ? " via " + call(3) : i == 9 ? " traffic" : ""));
            if (kills.contains(i)) {
                // What was taken is there, and what was on its way goes there when somebody answers.
                yokebar.kill();
                yokebar.start();
            }
        }
        assertThat(rows()).hasCount(CHECK_INS);
        Until.itIs("the last row is in sight", () -> (Boolean) rows().last().evaluate(IN_SIGHT));
        assertThat(page.getByText("Since my call")).isInViewport();
        List<String> expected = new ArrayList<>();
        for (int i = 0; i < CHECK_INS; i++) {
            expected.add(call(i));
        }
        assertThat(typed()).containsExactlyInAnyOrderElementsOf(expected);
    }

    @Test
    @Order(2)
    void aPartOfACallFindsARegularAndAReportGoesToTheChosenStation() {
        String regular = page.locator(".missing button").first().innerText();
        page.keyboard().type(regular.substring(2).toLowerCase());
        Locator likely = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Likely stations"));
        assertThat(likely).containsText(regular);
        page.keyboard().press("Tab");
        page.keyboard().press("Enter");
        page.keyboard().press("Enter");
        assertThat(rows()).hasCount(CHECK_INS + 1);
        page.keyboard().press("ArrowUp");
        type("57 55 ; thin audio");
        assertThat(rows().last()).containsText("thin audio");
        assertThat(rows().last()).containsText("57");
        // Both reports were heard wrongly.
        page.keyboard().press("ArrowUp");
        type("59 59");
        assertThat(rows().nth(CHECK_INS - 1)).containsText("59");
        type("56 54");
        assertReports(CHECK_INS - 1, "56", "54");
        page.keyboard().press("ArrowDown");
        type("55 53");
        assertReports(CHECK_INS, "55", "53");
        // The same station again is named and not added.
        type(regular.toLowerCase());
        assertThat(page.getByText(regular + " has checked in already, as number 31."))
                .isVisible();
        page.keyboard().press("Escape");
    }

    @Test
    @Order(3)
    void turnsAreGivenByKeyAndAWrongCallIsCorrectedInPlace() {
        page.keyboard().type(".");
        assertThat(rows().nth(0)).containsText("turn");
        page.keyboard().type(".");
        assertThat(rows().nth(1)).containsText("turn");
        page.keyboard().type(",");
        assertThat(rows().nth(2)).containsText("turn");
        page.keyboard().press("ArrowDown");
        page.keyboard().press("Enter");
        page.keyboard().type("CT1QZZ");
        page.keyboard().press("Enter");
        assertThat(rows().nth(0)).containsText("CT1QZZ");
        assertThat(rows()).hasCount(CHECK_INS + 1);
    }

    @Test
    @Order(4)
    void closingLogsThemAllHeldFromWhereOnlyDirectContactsGoAndOneUndoTakesThemBack() throws Exception {
        button("Close session…").press("Enter");
        button("Log and close").press("Enter");
        assertThat(page.getByText("31 contacts in the log")).isVisible();
        JsonNode contacts = yokebar.get("api/contacts?limit=500");
        assertThat(contacts.path("total").asInt()).isEqualTo(CHECK_INS + 1);
        JsonNode held = yokebar.get("api/services/1/outlook").path("held");
        assertThat(held.toString()).contains("Made over a repeater, and Countersign takes direct contacts only.");
        Until.itIs("all are held at Countersign", () -> {
            JsonNode counts = yokebar.get("api/services").get(0).path("counts");
            return counts.path("HELD").asInt() == CHECK_INS + 1
                    && counts.path("DUE").asInt() == 0;
        });
        assertThat(standIns.countersign().books()).isEmpty();
        button("Undo logging").press("Enter");
        assertThat(page.getByText("0 contacts in the log")).isVisible();
        Until.itIs(
                "none is in the log",
                () -> yokebar.get("api/contacts?limit=1").path("total").asInt() == 0);
    }
}
