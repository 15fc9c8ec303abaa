package yokebar.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import yokebar.standins.air.Air;

/** In a contest: to the stations that raise the score most, by key, and what they send from the lists of stations. */
class ContestOnAirTest extends ContestBrowserTest {
    ContestOnAirTest() {
        super(41);
    }

    @Override
    void begin() throws Exception {
        standIns.air().setScene(Air.Scene.QUIET);
        furnish(14_040_000, "CW");
        SampleContest.define(yokebar.address());
        Until.itIs("the node", () -> standIns.node().summary().get("visitors").equals(1));
    }

    private Locator next(String call) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Go to " + call + ":")));
    }

    @Test
    void theStationsWorthMostAreWorkedOneAfterTheOtherByKey() {
        beginABook();
        assertThat(page.getByText("Nobody on the air counts now who was not worked."))
                .isVisible();
        standIns.node().spot("CU9QZZ", 14_021.0, "ZP5QXA", "");
        standIns.node().spot("CU9QZZ", 14_025.0, "EA8QXB", "");
        standIns.node().spot("CU9QZZ", 14_250.0, "ZP5QXC", "");
        assertThat(next("ZP5QXA")).isVisible();
        assertThat(next("EA8QXB")).isVisible();
        assertThat(next("ZP5QXC")).hasCount(0);
        line().focus();
        page.keyboard().press("Alt+s");
        Locator goneTo = line();
        assertThat(goneTo).hasValue(Pattern.compile("^(zp5qxa|ea8qxb) $"));
        String first = goneTo.inputValue().strip();
        assertThat(page.getByTestId("yoke-dial")).hasText(Pattern.compile("^14\\.02[15]\u2009000$"));
        page.keyboard().type("7 33");
        page.keyboard().press("Enter");
        assertThat(latest(page)).containsText(first.toUpperCase());
        assertThat(next(first.toUpperCase())).hasCount(0);
        page.keyboard().press("Alt+s");
        assertThat(line()).hasValue(first.equals("zp5qxa") ? "ea8qxb " : "zp5qxa ");
        page.keyboard().press("Escape");
        showsTheSameOnAir(first.toUpperCase());
    }

    private void showsTheSameOnAir(String worked) {
        open("on-air");
        String other = worked.equals("ZP5QXA") ? "EA8QXB" : "ZP5QXA";
        assertThat(page.locator(".spots [data-spot='" + other + "']")).containsText("point");
        assertThat(page.locator(".spots [data-spot='" + worked + "']")).hasCount(0);
        page.getByText("Ranked for Harbour Hours").click();
        assertThat(page.locator(".spots [data-spot='" + worked + "']")).isVisible();
        assertThat(page.locator(".spots [data-spot=ZP5QXC]")).isVisible();
        page.reload();
        button("Rank for Harbour Hours").click();
        assertThat(page.locator(".spots [data-spot='" + worked + "']")).hasCount(0);
        assertThat(page.locator(".spots [data-spot='" + other + "']")).isVisible();
    }
}
