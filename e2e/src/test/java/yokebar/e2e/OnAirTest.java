package yokebar.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.net.URI;
import java.util.regex.Pattern;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import yokebar.standins.demo.DemoSetup;

/** An operator on the air: sees who is needed and why, goes there, logs it; looks at ladder and filters; tells the cluster. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class OnAirTest extends BrowserTest {
    private static final int CROWD = 200;

    OnAirTest() {
        super(23);
    }

    @Override
    void begin() throws Exception {
        new DemoSetup(URI.create(yokebar.address().toString()), standIns).furnishStation();
        Until.itIs("the node", () -> standIns.node().summary().get("visitors").equals(1));
    }

    private Locator needed(String call) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Needed on the air"))
                .locator("[data-spot='" + call + "']");
    }

    private Locator row(String call) {
        return page.locator(".spots [data-spot='" + call + "']");
    }

    @Test
    @Order(1)
    void whoIsNeededIsSeenGoneToLoggedAndNoLongerNeeded() {
        open("desk");
        page.getByTestId("readout").waitFor();
        standIns.node().spot("OZ1QAB", 21_025.0, "ZP5QXA", "up 2");
        assertThat(needed("ZP5QXA")).containsText("new entity, Paraguay");
        needed("ZP5QXA").click();
        assertThat(page.getByTestId("yoke-dial")).hasText("21.025\u2009000");
        assertThat(page.getByLabel("Contact line", new Page.GetByLabelOptions().setExact(true))
                        .last())
                .hasValue("zp5qxa ");
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Partner")))
                .containsText("Paraguay");
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Path map")))
                .containsText("Beam 2");
        page.keyboard().press("c");
        page.keyboard().press("End");
        page.keyboard().type("579 599");
        page.keyboard().press("Enter");
        assertThat(needed("ZP5QXA")).isHidden();
        open("on-air");
        assertThat(row("ZP5QXA")).isVisible();
        assertThat(row("ZP5QXA")).not().containsText("New entity");
    }

    @Test
    @Order(2)
    void aScriptInACommentIsText() {
        open("on-air");
        standIns.node().spot("OZ1QAB", 14_035.0, "OZ7QXA", "<img src=x onerror=hacked=1>");
        assertThat(row("OZ7QXA")).containsText("<img src=x");
        assertThat((Object) page.evaluate("typeof window.hacked")).isEqualTo("undefined");
        assertThat(page.locator(".spots img")).hasCount(0);
    }

    @Test
    @Order(3)
    void keysStepThroughAndStrikeOff() {
        open("on-air");
        row("OZ7QXA").waitFor();
        page.getByRole(AriaRole.LISTBOX).focus();
        page.keyboard().press("ArrowDown");
        page.keyboard().press("ArrowDown");
        Locator chosen = page.locator(".spots [aria-selected=true]");
        assertThat(chosen).hasCount(1);
        String call = chosen.getAttribute("data-spot");
        page.keyboard().press("x");
        assertThat(row(call)).hasCount(0);
        page.keyboard().press("Enter");
        assertThat(page.getByText(Pattern.compile("The radio is on"))).isVisible();
        open("on-air/goals");
        page.getByText("Restore hidden stations").click();
        open("on-air");
        assertThat(row(call)).isVisible();
    }

    @Test
    @Order(4)
    void theFilterReadsAsASentenceAndHolds() {
        open("on-air");
        standIns.node().spot("K1QAB", 14_225.0, "OZ8QXA", "59");
        assertThat(row("OZ8QXA")).isVisible();
        button("Add filter").click();
        Locator form = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Add filter"));
        form.getByText("phone", new Locator.GetByTextOptions().setExact(true)).click();
        assertThat(row("OZ7QXA")).hasCount(0);
        form.getByText("North America").first().click();
        page.keyboard().press("Escape");
        assertThat(page.locator(".sentence")).containsText("heard from North America");
        assertThat(page.locator(".sentence")).containsText("phone");
        page.reload();
        assertThat(row("OZ8QXA")).isVisible();
        assertThat(row("OZ7QXA")).hasCount(0);
        page.locator(".phrase", new Page.LocatorOptions().setHasText("phone")).click();
        page.locator(".phrase", new Page.LocatorOptions().setHasText("North America"))
                .click();
        assertThat(row("OZ7QXA")).isVisible();
    }

    @Test
    @Order(5)
    void twoHundredOnABandStayReadableOnTheLadder() {
        for (int i = 0; i < CROWD; i++) {
            String call = "K" + i % 10 + "Q" + (char) ('A' + i / 10 % 26) + (char) ('A' + i % 26);
            standIns.node().spot("OZ1QAB", 14_001.0 + i * 0.3 + i % 7 * 20, call, "");
        }
        page.evaluate(
                "localStorage.setItem('yokebar-air-parts', JSON.stringify({ list: false, map: false, bands: ['20m'] }))");
        open("on-air/goals");
        open("on-air");
        page.reload();
        Locator ladder = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Ladder 20m"));
        assertThat(ladder).containsText(Pattern.compile("20[0-9], \\d+ unnamed"));
        Object overlaps = page.evaluate(
                """
                (() => {
                  const boxes = [...document.querySelectorAll('.ladder .label')].map((l) => l.getBoundingClientRect());
                  let found = 0;
                  boxes.forEach((a, i) => boxes.slice(i + 1).forEach((b) => {
                    found += a.left < b.right - 0.5 && b.left < a.right - 0.5 && a.top < b.bottom - 0.5 && b.top < a.bottom - 0.5 ? 1 : 0;
                  }));
                  return boxes.length > 20 ? found : -1;
                })()
                """);
        assertThat(((Number) overlaps).intValue()).isZero();
        for (int i = 0; i < 4; i++) {
            button("Closer on 20m").click();
        }
        button("Follow").click();
        standIns.hfRadio().front().tune(false, 14_300_000);
        assertThat(ladder.locator(".hand")).hasCount(1);
        standIns.hfRadio().front().tune(false, 14_010_000);
        assertThat(page.getByTestId("yoke-dial")).hasText("14.010\u2009000");
        assertThat(ladder.locator(".hand")).hasCount(1);
        page.evaluate(
                "localStorage.setItem('yokebar-air-parts', JSON.stringify({ list: true, map: true, bands: ['20m'] }))");
    }

    @Test
    @Order(6)
    void aSpotIsPostedAndWhoHearsUsIsSeen() {
        open("on-air");
        page.reload();
        button("Post a spot").click();
        Locator form = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Post a spot"));
        form.getByLabel("Call").fill("zp5qxa");
        form.getByLabel("kHz").fill("21025.0");
        form.getByLabel("Comment").fill("tnx");
        form.getByText("Tell the cluster").click();
        assertThat(form.getByText("Beacon Hill received the spot of ZP5QXA")).isVisible();
        assertThat(standIns.node().books()).hasSize(1);
        form.getByText("Tell the cluster").click();
        assertThat(form.getByText("less than ten minutes ago")).isVisible();
        standIns.skimmer().hear("CU9QYB", "HM49kq", 21_030_000, "CW", 4);
        open("on-air/us");
        assertThat(page.getByText("21\u2009030.0").first()).isVisible();
    }

    @Test
    @Order(7)
    void theConsoleOfANodeShowsAndSays() {
        open("hookups");
        page.getByRole(AriaRole.BANNER).getByText("Beacon Hill").click();
        Locator drawer = page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Hookup"));
        assertThat(drawer.getByText("spots", new Locator.GetByTextOptions().setExact(true)))
                .isVisible();
        drawer.getByLabel("Command").fill("sh/dx");
        page.keyboard().press("Enter");
        assertThat(drawer.getByText("› sh/dx").last()).isVisible();
    }
}
