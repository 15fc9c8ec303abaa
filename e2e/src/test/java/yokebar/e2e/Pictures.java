package yokebar.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.ArrayList;

/** Takes the pictures in {@code docs/screenshots} from the running demo. The folder is the only argument. */
public final class Pictures {
    private Pictures() {}

    public static void main(String[] args) {
        Path folder = Path.of(args[0]);
        try (Browser browser = new Browser()) {
            Page page = browser.page(new ArrayList<>());
            page.navigate("http://127.0.0.1:" + port("YOKEBAR_PORT", "7370") + "/#/log");
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
            page.getByText("Statistics").click();
            page.getByText("Squares worked").waitFor();
            take(page, folder, "statistics");
            page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Views"))
                    .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Desk"))
                    .click();
            page.getByTestId("heading").waitFor();
            page.keyboard().press("c");
            page.keyboard().type("zs3qar 57 59 lena");
            page.getByText("Worked").first().waitFor();
            take(page, folder, "desk");
            page.keyboard().press("Escape");
            page.keyboard().press("Escape");
            radioInTrouble(page, folder);
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
            page.navigate(page.url().replaceAll("#.*", "#/first-steps"));
            page.getByText("Not now").click();
            page.getByText("Not now").click();
            page.getByText("Stop looking").waitFor();
            page.getByText("Look again").waitFor();
            take(page, folder, "first-steps");
            page.getByTitle("Change to the day theme").click();
            page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Views"))
                    .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Log"))
                    .click();
            page.locator("[data-contact]").first().waitFor();
            take(page, folder, "log-day");
        }
    }

    /** The radio's cable is pulled for the picture and put back. */
    private static void radioInTrouble(Page page, Path folder) {
        backstage("radio/cable", "{\"on\":\"no\"}");
        page.getByRole(AriaRole.BANNER).getByText("connection refused").waitFor();
        page.getByRole(AriaRole.BANNER).getByText("Petrel 100").click();
        take(page, folder, "radio-trouble");
        page.keyboard().press("Escape");
        backstage("radio/cable", "{\"on\":\"yes\"}");
        page.getByTestId("readout").waitFor();
    }

    private static void backstage(String knob, String body) {
        URI address = URI.create("http://127.0.0.1:" + port("YOKEBAR_BACKSTAGE_PORT", "7379") + "/api/" + knob);
        try {
            HttpClient.newHttpClient()
                    .send(
                            HttpRequest.newBuilder(address)
                                    .POST(HttpRequest.BodyPublishers.ofString(body))
                                    .build(),
                            HttpResponse.BodyHandlers.discarding());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private static String port(String name, String otherwise) {
        return System.getenv().getOrDefault(name, otherwise);
    }

    private static void take(Page page, Path folder, String name) {
        page.waitForTimeout(700); // whatever is moving comes to rest
        page.screenshot(new Page.ScreenshotOptions().setPath(folder.resolve(name + ".png")));
    }
}
