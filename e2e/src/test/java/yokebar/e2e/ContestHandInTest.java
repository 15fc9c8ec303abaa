package yokebar.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import yokebar.standins.air.Air;
import yokebar.standins.faircopy.FairCopy;

/** The log of a contest is handed in, refused, corrected, and reported on. */
class ContestHandInTest extends ContestBrowserTest {
    /** Of the world, with another letter at its end. */
    private String right = "";

    private String slip = "";

    ContestHandInTest() {
        super(47);
    }

    @Override
    void begin() throws Exception {
        standIns.air().setScene(Air.Scene.QUIET);
        furnish(14_040_000, "CW");
        SampleContest.define(yokebar.address(), "CW");
        // No report comes before it is asked for by hand.
        standIns.adjudicator().setCheckTakes(Duration.ofHours(1));
        right = standIns.world().stations().get(0).call();
        slip = right.substring(0, right.length() - 1) + (right.endsWith("H") ? "S" : "H");
    }

    @Test
    void aLogIsHandedInUntilNothingIsLeftToCorrect() throws Exception {
        beginABook();
        work(slip + " 7 14");
        work("zp0qab 8 11");
        setUpTheAdjudicator();
        whatIsRefusedIsNamedAndTakenTheNextTime();
        theReportNamesTheCallThatWasCopiedWrong();
    }

    private void work(String typed) {
        line().fill(typed.toLowerCase());
        line().press("Enter");
        assertThat(latest(page))
                .containsText(typed.substring(0, typed.indexOf(' ')).toUpperCase());
    }

    private void panel(String name) {
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(name)).click();
    }

    private void setUpTheAdjudicator() throws Exception {
        panel("Hand in");
        assertThat(page.getByText("Set up your account there, and hand it in here."))
                .isVisible();
        button("Set up…").click();
        save("Address", standIns.adjudicator().address());
        save("Account", FairCopy.ACCOUNT);
        page.getByLabel("Password", new Page.GetByLabelOptions().setExact(true)).fill("something else");
        page.keyboard().press("Tab");
        assertThat(button("Clear password")).isEnabled();
        button("Test").click();
        assertThat(page.getByText("Fair Copy refuses the account CU9QYB: no such account.")
                        .first())
                .isVisible();
        page.getByLabel("Password", new Page.GetByLabelOptions().setExact(true)).fill(FairCopy.PASSWORD);
        page.keyboard().press("Tab");
        button("Test").click();
        assertThat(page.getByText("Account CU9QYB may hand in contest logs. Nothing was handed in."))
                .isVisible();
        button("Close").click();
        assertThat(standIns.adjudicator().logs()).isEmpty();
    }

    private void save(String field, String text) {
        page.getByLabel(field, new Page.GetByLabelOptions().setExact(true)).fill(text);
        page.keyboard().press("Enter");
    }

    private void whatIsRefusedIsNamedAndTakenTheNextTime() throws Exception {
        standIns.adjudicator().setRefused("ZP0QAB", true);
        button("Hand in").click();
        assertThat(row("ZP0QAB was not on the air in this contest")).containsText("ZP0QAB");
        assertThat(standIns.adjudicator().logs()).isEmpty();
        standIns.adjudicator().setRefused("ZP0QAB", false);
        button("Hand in").click();
        assertThat(page.getByText(Pattern.compile("claimed, receipt .*HARBOUR-HOURS-CU9QYB")))
                .isVisible();
        assertThat(page.getByText("2 contacts were taken for the check.")).isVisible();
        assertThat(row("ZP0QAB was not on the air")).hasCount(0);
    }

    private Locator row(String text) {
        return page.locator("tbody tr").filter(new Locator.FilterOptions().setHasText(text));
    }

    private void theReportNamesTheCallThatWasCopiedWrong() throws Exception {
        assertThat(page.getByText("The report is asked for at")).isVisible();
        standIns.adjudicator().setCheckTakes(Duration.ZERO);
        button("Ask for the report").click();
        assertThat(row("the call was copied wrong")).containsText(slip);
        panel("Contacts");
        assertThat(row(slip)).containsText("Check: The station was " + right);
        panel("Hand in");
        button("Change to " + right).click();
        assertThat(page.getByText("The book is different now")).isVisible();
        assertThat(row("the call was copied wrong")).containsText(right);
        button("Hand in again").click();
        assertThat(page.getByText("The book is different now")).isHidden();
        assertThat(standIns.adjudicator().logs().values())
                .singleElement()
                .satisfies(log -> assertThat(log).contains(right).doesNotContain(slip));
        // It comes by itself, after ten seconds at the soonest.
        assertThat(page.getByText(Pattern.compile("After the check: \\d+ of \\d+ claimed\\.")))
                .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(60_000));
    }
}
