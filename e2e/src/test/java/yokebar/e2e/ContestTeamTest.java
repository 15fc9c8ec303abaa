package yokebar.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import yokebar.standins.air.Air;

/** Two positions work one contest book, each in a browser of its own. */
class ContestTeamTest extends ContestBrowserTest {
    private Page workshop;

    ContestTeamTest() {
        super(43);
    }

    @Override
    void begin() throws Exception {
        standIns.air().setScene(Air.Scene.QUIET);
        furnish(14_040_000, "CW");
        standIns.vhfRadio().front().tune(false, 144_050_000);
        standIns.vhfRadio().front().setMode("CW");
        standIns.vhfRadio().front().setData(false);
        SampleContest.define(yokebar.address(), "CW", "20m, 2m");
    }

    private static Locator team(Page of) {
        return of.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Team"));
    }

    @Test
    void twoPositionsWorkOneBookTogether() {
        beginABook();
        assertThat(team(page)).hasCount(0);
        workshop = pageOfAnotherBrowser();
        workshop.navigate(page.url());
        workshop.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Which position"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Workshop"))
                .click();
        assertThat(team(workshop)).containsText(Pattern.compile("Lamp room\\s+14.040\\.0\\s+CW"));
        assertThat(team(page)).containsText(Pattern.compile("Workshop\\s+144.050\\.0\\s+CW"));
        whatIsLoggedHereIsWorkedThereAndItsSerialUsed();
        aStationIsPassedOnByKey();
        aMessageArrives();
        aBandIsTaken();
        aKnobIsFollowed();
    }

    private void whatIsLoggedHereIsWorkedThereAndItsSerialUsed() {
        assertThat(workshop.getByText(Pattern.compile("You send\\s+599 1 14"))).isVisible();
        line(page).fill("ea8qxb 7 33");
        line(page).press("Enter");
        assertThat(latest(workshop)).containsText("EA8QXB");
        assertThat(workshop.getByText(Pattern.compile("You send\\s+599 2 14"))).isVisible();
    }

    private void aStationIsPassedOnByKey() {
        line(page).fill("ea8qxb");
        assertThat(page.locator("#contest-line-says")).containsText("Worked before");
        line(page).press("Alt+p");
        Locator option = team(page).getByRole(AriaRole.BUTTON).first();
        assertThat(option).containsText(Pattern.compile("Workshop 144.050\\.0 CW · 3 points · zones \\+1"));
        assertThat(option).isFocused();
        option.press("Enter");
        assertThat(team(page))
                .containsText(Pattern.compile("Ask EA8QXB to go to 144.050\\.0 kHz; Workshop is told\\."));
        assertThat(line(page)).hasValue("");
        assertThat(line(page)).isFocused();

        line(workshop).fill("half a c");
        assertThat(team(workshop)).containsText("Take EA8QXB from Lamp room");
        line(workshop).press("Alt+t");
        assertThat(line(workshop)).hasValue("ea8qxb ");
        assertThat(line(workshop)).isFocused();
        assertThat(team(workshop)).not().containsText("Take EA8QXB");
        line(workshop).pressSequentially("8 33");
        line(workshop).press("Enter");
        assertThat(latest(page)).containsText("2m");
    }

    private void aMessageArrives() {
        line(workshop).press("Alt+m");
        workshop.keyboard().type("Soup is ready");
        workshop.keyboard().press("Enter");
        assertThat(line(workshop)).isFocused();
        assertThat(team(page)).containsText("Workshop: Soup is ready");
        assertThat(team(workshop)).not().containsText("Soup is ready");
    }

    private void aBandIsTaken() {
        for (Page each : new Page[] {page, workshop}) {
            each.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Team"))
                    .click();
        }
        page.getByText("Take 20m").click();
        assertThat(row(workshop, "Lamp room")).containsText("20m, taken");
        page.getByText("Give 20m back").click();
        assertThat(row(workshop, "Lamp room")).not().containsText("taken");
    }

    private static Locator row(Page of, String position) {
        return of.locator("table[aria-label=Team] tbody tr").filter(new Locator.FilterOptions().setHasText(position));
    }

    private void aKnobIsFollowed() {
        standIns.vhfRadio().front().tune(false, 144_061_000);
        assertThat(team(page)).containsText(Pattern.compile("144.061\\.0"));
    }
}
