package yokebar.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;

/** What an address tells, and what is asked before something typed goes. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class AddressTest extends LoggingTest {
    AddressTest() {
        super(11);
    }

    @BeforeAll
    void fillTheLog() {
        open("desk");
        for (String call : new String[] {"W1QZZ", "W2QZZ"}) {
            importFile(
                    "<CALL:5>" + call + "<NAME:3>tom<BAND:3>20m<MODE:2>CW<QSO_DATE:8>20260501<TIME_ON:6>120030<EOR>");
        }
        assertThat(page.getByTestId("log-total")).hasText("2");
    }

    @Test
    @Order(1)
    void anAddressTellsViewSearchAndContact() throws Exception {
        long id = get("/api/log/ids?search=w1qzz").get(0).asLong();
        open("log?find=w1qzz&contact=" + id);
        Locator drawer = page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Contact"));
        assertThat(drawer).containsText("W1QZZ");
        assertThat(log().getByRole(AriaRole.SEARCHBOX)).hasValue("w1qzz");
        assertThat(page).hasTitle("Log · Yokebar");
        page.keyboard().press("Escape");
        assertThat(drawer).isHidden();
        assertThat(page).hasURL(Pattern.compile(".*#/log\\?find=w1qzz$"));
        page.keyboard().press("g");
        page.keyboard().press("s");
        assertThat(page).hasTitle("Services · Yokebar");
        page.goBack();
        assertThat(log().getByRole(AriaRole.SEARCHBOX)).hasValue("w1qzz");
        page.goBack();
        assertThat(drawer).containsText("W1QZZ");
        page.reload();
        assertThat(drawer).containsText("W1QZZ");
    }

    @Test
    @Order(2)
    void whatIsTypedInADrawerIsAskedAboutBeforeItGoes() {
        Locator drawer = page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Contact"));
        drawer.getByRole(AriaRole.TAB, new Locator.GetByRoleOptions().setName("Fields"))
                .click();
        drawer.getByLabel("Name", new Locator.GetByLabelOptions().setExact(true))
                .fill("Thomas");
        page.keyboard().press("Escape");
        assertThat(button("Go back")).isVisible();
        button("Go back").click();
        assertThat(drawer.getByLabel("Name", new Locator.GetByLabelOptions().setExact(true)))
                .hasValue("Thomas");
        page.keyboard().press("Escape");
        button("Leave without saving").click();
        assertThat(drawer).isHidden();
    }

    @Test
    @Order(3)
    void twoBrowsersChangeOneFieldAndTheSecondIsTold() throws Exception {
        open("log?find=w2qzz");
        long id = get("/api/log/ids?search=w2qzz").get(0).asLong();
        Locator name = log().locator(
                        "[data-contact='" + id + "'] [role=gridcell]", new Locator.LocatorOptions().setHasText("tom"));
        name.dblclick();
        Locator cell = page.getByLabel("Name of W2QZZ");
        cell.fill("Tommy");
        Page other = page.context().browser().newPage();
        other.navigate(yokebar.address() + "#/log?find=w2qzz&contact=" + id);
        other.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Fields"))
                .click();
        Locator drawer = other.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Contact"));
        drawer.getByLabel("Name", new Locator.GetByLabelOptions().setExact(true))
                .fill("Tomás");
        drawer.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Save changes"))
                .click();
        assertThat(drawer.getByText("Saved.")).isVisible();
        other.close();
        assertThat(cell).hasValue("Tommy");
        Browser.waitUntil(page, "document.querySelector('[data-contact=\"" + id + "\"]') !== null");
        cell.press("Enter");
        Locator notice = page.getByRole(AriaRole.ALERT).filter(new Locator.FilterOptions().setHasText("Tommy"));
        assertThat(notice).containsText("Tomás");
        notice.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Correct"))
                .click();
        assertThat(cell).hasValue("Tommy");
        cell.press("Enter");
        Until.itIs("the second one saved", () -> found("call:w2qzz name:tommy") == 1);
    }
}
