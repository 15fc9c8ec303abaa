package yokebar.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import yokebar.standins.demo.DemoSetup;

/** A story told at the contest line of the sample contest. */
abstract class ContestBrowserTest extends BrowserTest {
    ContestBrowserTest(long seed) {
        super(seed);
    }

    /** The station of the demo, with its radio on a frequency. */
    void furnish(long hz, String mode) throws Exception {
        new DemoSetup(yokebar.address(), standIns).furnishStation();
        standIns.hfRadio().front().tune(false, hz);
        standIns.hfRadio().front().setMode(mode);
        standIns.hfRadio().front().setData(false);
    }

    void beginABook() {
        open("contest");
        sitAt("Lamp room");
        assertThat(page.getByText("No contest book yet.")).isVisible();
        button("Begin a book").click();
        page.getByLabel("Contest", new Page.GetByLabelOptions().setExact(true)).selectOption("Harbour Hours");
        button("Begin").click();
        assertThat(line()).isFocused();
    }

    Locator line() {
        return line(page);
    }

    static Locator line(Page of) {
        return of.getByLabel("Contest line", new Page.GetByLabelOptions().setExact(true));
    }

    /** What the line means, and what Enter does. */
    Locator says() {
        return page.locator("#contest-line-says");
    }

    static Locator latest(Page of) {
        return of.locator("table[aria-label=Contacts] tbody tr").first();
    }
}
