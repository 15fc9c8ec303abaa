package yokebar.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestInstance.Lifecycle;
import org.junit.jupiter.api.io.TempDir;
import yokebar.standins.StandIns;

/** A story told in the browser: one application, the simulated world beside it, and a page, for all its chapters. */
@TestInstance(Lifecycle.PER_CLASS)
abstract class BrowserTest {
    @TempDir
    static Path folder;

    YokebarProcess yokebar;
    StandIns standIns;
    Page page;

    private final long seed;
    private final List<String> faults = new ArrayList<>();
    private Browser browser;

    /** @param seed of the simulated world */
    BrowserTest(long seed) {
        this.seed = seed;
    }

    @BeforeAll
    void startAll() throws Exception {
        yokebar = new YokebarProcess(folder.resolve(getClass().getSimpleName())).start();
        standIns = new StandIns(new StandIns.Settings(
                seed, Clock.systemUTC(), yokebar.standInsHome(), yokebar.adifPort(), 0, 0, 0, yokebar.devices(), null));
        begin();
        browser = new Browser();
        page = browser.page(faults);
    }

    /** What is there before the first page is opened. */
    abstract void begin() throws Exception;

    @AfterAll
    void stopAll() {
        browser.close();
        standIns.close();
        yokebar.close();
    }

    @AfterEach
    void noFaultsInThePage() {
        assertThat(faults).isEmpty();
    }

    /** A page of another browser, which has a memory of its own. */
    Page pageOfAnotherBrowser() {
        return browser.page(faults);
    }

    void open(String view) {
        page.navigate(yokebar.address() + "#/" + view);
    }

    /** Answers the question where this browser is. */
    void sitAt(String position) {
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Which position"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(position))
                .click();
    }

    Locator button(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }
}
