package yokebar.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** Texts in radioteletype: the radio transmits while a program sends them, and no longer. */
class SentTeletypeTest extends ContestBrowserTest {

    SentTeletypeTest() {
        super(41);
    }

    @Override
    void begin() throws Exception {
        furnish(14_085_000, "RTTY");
        SampleContest.define(yokebar.address(), "RTTY");
    }

    @Test
    void aTextIsSentByTheProgramWhileTheRadioTransmits() throws Exception {
        beginABook();
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Run")).click();
        assertThat(says()).containsText("Enter sends CQ TEST");
        line().focus();
        page.keyboard().press("Enter");
        assertThat(page.getByText("Sending CQ TEST")).isVisible();
        Until.itIs("the program sends", () -> standIns.sandpiper().sending().startsWith("CQ TEST"));
        Until.itIs("the radio transmits", () -> standIns.hfRadio().front().transmitting());
        page.keyboard().press("Escape");
        assertThat(page.getByText("Sending CQ TEST")).isHidden();
        Until.itIs(
                "the program is stopped", () -> standIns.sandpiper().sending().isEmpty());
        Until.itIs("the radio receives", () -> !standIns.hfRadio().front().transmitting());

        line().fill("k1qaa");
        assertThat(says()).containsText("Enter sends K1QAA 599");
        page.keyboard().press("Enter");
        Until.itIs("the exchange is sent", () -> standIns.sandpiper().sending().startsWith("K1QAA 599"));
        standIns.sandpiper().setUp(false);
        assertThat(page.getByText("The connection to Sandpiper was lost while it sent."))
                .isVisible();
        Until.itIs("the radio receives", () -> !standIns.hfRadio().front().transmitting());
    }
}
