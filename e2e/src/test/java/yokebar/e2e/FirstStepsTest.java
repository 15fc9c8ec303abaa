package yokebar.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import yokebar.standins.StandIns;

/** From an empty data folder to a live radio and rotator, with the keyboard alone. */
class FirstStepsTest {
    private static final Duration WITHIN = Duration.ofMinutes(2);

    @TempDir
    private Path folder;

    @Test
    void aFreshStationIsLiveInUnderTwoMinutesByKeyboardAlone() throws Exception {
        List<String> faults = new ArrayList<>();
        try (YokebarProcess yokebar = new YokebarProcess(folder.resolve("yokebar")).start();
                StandIns standIns = new StandIns(new StandIns.Settings(
                        9,
                        Clock.systemUTC(),
                        yokebar.standInsHome(),
                        yokebar.adifPort(),
                        0,
                        0,
                        0,
                        yokebar.devices(),
                        yokebar.serialFolder()));
                Browser browser = new Browser()) {
            Page page = browser.page(faults);
            Instant begin = Instant.now();
            page.navigate(yokebar.address().toString());
            assertThat(page.getByLabel("Your call")).isFocused();
            page.keyboard().type("cu9qyb");
            page.keyboard().press("Tab");
            page.keyboard().type("Branca Teles");
            page.keyboard().press("Enter");

            assertThat(page.getByLabel("Locator")).isFocused();
            page.keyboard().type("nowhere");
            page.keyboard().press("Enter");
            assertThat(page.getByText("\"nowhere\" is not a locator")).isVisible();
            page.keyboard().press("Control+a");
            page.keyboard().type("hm49kq");
            page.keyboard().press("Enter");

            Locator connect = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Connect it"));
            assertThat(connect).isFocused();
            assertThat(page.getByText("answers a radio that speaks Semicolon CAT.")
                            .first())
                    .isVisible();
            page.keyboard().press("Enter");

            assertThat(page.getByText("And a rotator?")).isVisible();
            assertThat(connect).isFocused();
            page.keyboard().press("Enter");

            assertThat(page.getByTestId("radio-sum")).hasText("Radio is live on 14.074\u2009000 MHz.");
            assertThat(page.getByTestId("rotor-sum")).hasText("Rotator is live and points to 0°.");
            Locator toTheDesk = page.getByText("To the Desk");
            assertThat(toTheDesk).isFocused();
            page.keyboard().press("Enter");
            assertThat(page.getByTestId("readout")).hasAttribute("aria-valuenow", "14074000");
            assertThat(page.getByTestId("heading")).hasText("0°");
            assertThat(Duration.between(begin, Instant.now())).isLessThan(WITHIN);

            assertThat(yokebar.get("api/radios").get(0).path("address").asString())
                    .as("found on its serial port")
                    .endsWith("serial/petrel");
            standIns.hfRadio().front().turn(1000);
            assertThat(page.getByTestId("yoke-dial")).hasText("14.075\u2009000");
            page.reload();
            assertThat(page.getByTestId("yoke-dial")).isVisible();
            assertThat(page.getByText("Which call do you use?")).isHidden();
        }
        assertThat(faults).isEmpty();
    }
}
