package yokebar.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.ArrayList;

/** Takes the pictures in {@code docs/screenshots} from the running demo. The folder is the only argument. */
public final class Pictures {
    private Pictures() {}

    public static void main(String[] args) {
        Path folder = Path.of(args[0]);
        try (Browser browser = new Browser()) {
            Page page = browser.page(new ArrayList<>());
            page.navigate("http://127.0.0.1:" + System.getenv().getOrDefault("YOKEBAR_PORT", "7370") + "/");
            page.locator("[data-contact]").first().waitFor();
            take(page, folder, "log");
            page.locator("[data-contact]", new Page.LocatorOptions().setHasText("confirmed"))
                    .first()
                    .click();
            page.getByRole(AriaRole.COMPLEMENTARY)
                    .getByText("Confirmed")
                    .first()
                    .waitFor();
            take(page, folder, "contact");
            page.keyboard().press("Escape");
            page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Views"))
                    .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Desk"))
                    .click();
            page.getByTestId("heading").waitFor();
            take(page, folder, "desk");
            for (String view : new String[] {"Hookups", "Services", "Station"}) {
                page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Views"))
                        .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(view))
                        .click();
                page.getByRole(
                                AriaRole.HEADING,
                                new Page.GetByRoleOptions().setName(view).setLevel(1))
                        .waitFor();
                take(page, folder, view.toLowerCase());
            }
            page.getByTitle("Change to the day theme").click();
            page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Views"))
                    .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Log"))
                    .click();
            page.locator("[data-contact]").first().waitFor();
            take(page, folder, "log-day");
        }
    }

    private static void take(Page page, Path folder, String name) {
        page.waitForTimeout(700); // whatever is moving comes to rest
        page.screenshot(new Page.ScreenshotOptions().setPath(folder.resolve(name + ".png")));
    }
}
