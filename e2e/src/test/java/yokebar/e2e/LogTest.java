package yokebar.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;

/** The log: searched, counted, changed, taken back. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class LogTest extends LoggingTest {
    private static final int CONTACTS = 30;
    private static final String[] BANDS = {"20m", "40m", "15m", "30m"};
    private static final String[] NAMES = {"ana", "bo", "carla", "dimas"};

    LogTest() {
        super(11);
    }

    @BeforeAll
    void fillTheLog() {
        open("desk");
        StringBuilder adi = new StringBuilder();
        for (int i = 0; i < CONTACTS; i++) {
            adi.append(field("CALL", "K" + i % 10 + "Q" + (char) ('A' + i / 10) + (char) ('A' + i % 10)))
                    .append(field("NAME", NAMES[i % 4]))
                    .append(field("BAND", BANDS[i / 3 % 4]))
                    .append(field("MODE", "CW"))
                    .append(field("QSO_DATE", "20260501"))
                    .append(field("TIME_ON", "12%02d00".formatted(i)))
                    .append("<EOR>\n");
        }
        adi.append("<CALL:6>OZ1QAA<BAND:3>17m<MODE:3>SSB<QSO_DATE:8>20250601<TIME_ON:4>1407<EOR>");
        importFile(adi.toString());
        assertThat(page.getByTestId("log-total")).hasText("31");
    }

    private static String field(String name, String value) {
        return "<" + name + ":" + value.length() + ">" + value;
    }

    @Test
    @Order(1)
    void theLogIsSearchedCountedAndSorted() {
        page.keyboard().press("g");
        page.keyboard().press("l");
        assertThat(log().getByText("31 contacts")).isVisible();
        page.keyboard().press("/");
        page.keyboard().type("band:40m ana");
        assertThat(log().getByText("of 31 contacts")).isVisible();
        assertThat(page.locator("[data-contact] .call").first()).isVisible();
        page.keyboard().press("Control+a");
        page.keyboard().type("date:yesterday");
        assertThat(page.getByText("\"yesterday\" is not a date")).isVisible();
        page.keyboard().press("Control+a");
        page.keyboard().press("Delete");
        assertThat(page.getByText("\"yesterday\" is not a date")).isHidden();
        Locator counts = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Counts"));
        counts.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("40m"))
                .click();
        assertThat(log().getByText("9 of 31 contacts")).isVisible();
        counts.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("40m"))
                .click();
        log().getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Call").setExact(true))
                .click();
        assertThat(page.locator("[data-contact] .call").first()).hasText("K0QAA");
    }

    @Test
    @Order(2)
    void oneKeyLeadsFromARowToItsActionsAndOneBack() {
        page.getByRole(AriaRole.GRID).focus();
        page.keyboard().press("ArrowDown");
        page.keyboard().press("a");
        assertThat(page.getByText("1 contact chosen")).isVisible();
        assertThat(button("Change a field")).isFocused();
        page.keyboard().press("Escape");
        assertThat(page.getByRole(AriaRole.GRID)).isFocused();
        page.keyboard().press("a");
        assertThat(button("Change a field")).isFocused();
        button("Choose none").press("Enter");
        assertThat(page.getByRole(AriaRole.GRID)).isFocused();
        assertThat(button("Change a field")).isHidden();
    }

    @Test
    @Order(3)
    void manyAreChangedAtOnceWithALookBeforeAndTakenBack() throws Exception {
        page.keyboard().press("/");
        page.keyboard().type("40m");
        assertThat(log().getByText("9 of 31 contacts")).isVisible();
        page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("Choose all that were found"))
                .check();
        button("Change a field").click();
        page.getByLabel("New value").selectOption("RPT");
        assertThat(page.getByText("9 contacts will be different.")).isVisible();
        button("Change 9 contacts").click();
        Locator done =
                page.getByRole(AriaRole.STATUS).filter(new Locator.FilterOptions().setHasText("PROP_MODE set to RPT"));
        assertThat(done.getByText("Undo")).isVisible();
        assertThat(get("/api/log/rows?search=via:rpt&limit=0").path("found").asInt())
                .isEqualTo(9);
        done.getByText("Undo").click();
        assertThat(page.getByText("Undone: 9 contacts").first()).isVisible();
        assertThat(page.getByText("Do it again")).isVisible();
        assertThat(get("/api/log/rows?search=via:rpt&limit=0").path("found").asInt())
                .isZero();
    }

    @Test
    @Order(4)
    void aCellIsChangedInPlace() throws Exception {
        page.getByRole(AriaRole.GRID).focus();
        page.keyboard().press("ArrowDown");
        Locator name = page.locator("[data-contact]")
                .first()
                .locator("[role=gridcell]")
                .nth(9);
        name.dblclick();
        page.keyboard().press("Control+a");
        page.keyboard().type("Eulália");
        page.keyboard().press("Enter");
        assertThat(page.locator("[data-contact]").first()).containsText("Eulália");
        assertThat(get("/api/log/rows?search=eul%C3%A1lia&limit=0")
                        .path("found")
                        .asInt())
                .isEqualTo(1);
    }

    @Test
    @Order(5)
    void deletedContactsComeBackAfterARestart() throws Exception {
        page.keyboard().press("Escape");
        page.getByRole(AriaRole.GRID).focus();
        page.keyboard().press("Control+a");
        assertThat(page.getByText("9 contacts chosen")).isVisible();
        button("Delete").click();
        page.getByRole(AriaRole.DIALOG)
                .getByText("Delete", new Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(page.getByTestId("log-total")).hasText("22");
        yokebar.kill();
        yokebar.start();
        page.reload();
        assertThat(page.getByTestId("log-total")).hasText("22");
        button("Changes").click();
        Locator change =
                page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("9 contacts deleted."));
        change.getByRole(AriaRole.BUTTON).click();
        assertThat(page.getByTestId("log-total")).hasText("31");
    }
}
