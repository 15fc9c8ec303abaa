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
import java.util.regex.Pattern;

/** Takes the pictures in {@code docs/screenshots} from the running demo. The folder is the only argument. */
public final class Pictures {
    private Pictures() {}

    public static void main(String[] args) {
        Path folder = Path.of(args[0]);
        try (Browser browser = new Browser()) {
            Page page = browser.page(new ArrayList<>());
            page.addInitScript("localStorage.setItem('yokebar-position', '1')");
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
            page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Views"))
                    .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Desk"))
                    .click();
            page.getByTestId("heading").waitFor();
            page.keyboard().press("c");
            page.keyboard().type("k1qfo 57 59");
            page.getByAltText("K1QFO at home").waitFor();
            take(page, folder, "desk");
            page.keyboard().press("Escape");
            page.keyboard().press("Escape");
            onAir(page, folder);
            contest(page, folder);
            nets(page, folder);
            slowScan(page, folder);
            radioInTrouble(page, folder);
            intake(page, folder);
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
            services(page, folder);
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

    /** A busy weekend. */
    private static void onAir(Page page, Path folder) {
        backstage("air/scene", "{\"scene\":\"BUSY\"}");
        backstage("skimmer/rate", "{\"spots\":\"25\"}");
        backstage("node/rate", "{\"spots\":\"5\"}");
        page.navigate(page.url().replaceAll("#.*", "#/on-air"));
        page.getByText("Ranked for Lamplighter Day").click();
        page.locator("[data-spot]").nth(15).waitFor();
        Browser.waitUntil(page, "parseInt(document.querySelector('.view .count').textContent) > 90");
        page.locator("[data-spot]").first().click();
        page.getByText("The radio is on").waitFor();
        page.mouse().move(640, 20);
        take(page, folder, "on-air");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Map"))
                .click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Close the ladder of 20m"))
                .click();
        page.getByText("hears the chosen one").waitFor();
        take(page, folder, "on-air-map");
        backstage("skimmer/rate", "{\"spots\":\"2.5\"}");
        backstage("node/rate", "{\"spots\":\"0.7\"}");
        page.navigate(page.url().replaceAll("#.*", "#/desk"));
        page.getByTestId("heading").waitFor();
    }

    /** In the middle of a contest: the exchange is being sent to a station that called. */
    private static void contest(Page page, Path folder) {
        // The station that was chosen on the air is still on the contact line.
        for (String key : new String[] {"c", "Escape", "Escape"}) {
            page.keyboard().press(key);
        }
        page.navigate(page.url().replaceAll("#.*", "#/contest"));
        page.getByText("Lamplighter Day").first().click();
        Locator line = page.getByLabel("Contest line", new Page.GetByLabelOptions().setExact(true));
        line.fill("21.027 cw");
        page.getByText("Enter tunes the radio").waitFor();
        page.keyboard().press("Enter");
        page.getByText("kHz CW").waitFor();
        page.keyboard().press("Alt+w");
        Locator says = page.locator("#contest-line-says");
        says.getByText("Enter sends CQ").waitFor();
        page.keyboard().type("zs6qab");
        says.getByText("Enter sends ZS6QAB").waitFor();
        page.keyboard().press("Enter");
        page.getByText("Sending ZS6QAB").waitFor();
        page.keyboard().type(" 118");
        says.getByText("points").waitFor();
        says.getByText("Enter takes zone").waitFor();
        take(page, folder, "contest");
        for (String key : new String[] {"Escape", "Escape", "Alt+w", "Alt+w"}) {
            page.keyboard().press(key);
        }
    }

    /** The repeater net in its first round. */
    private static void nets(Page page, Path folder) {
        page.navigate(page.url().replaceAll("#.*", "#/nets"));
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Island Repeater Roundtable"))
                .getByText("Start session")
                .click();
        Locator missing = page.locator(".missing button");
        missing.first().waitFor();
        for (int i = 0; i < 6; i++) {
            missing.nth(i).click();
        }
        page.getByLabel("Check in", new Page.GetByLabelOptions().setExact(true)).focus();
        int expected = 6;
        for (String line : new String[] {
            "", "ct3qzb via cu2qyc", "ea8qzd early", "qlz traffic ; boat race on Saturday", "hb9qze listening"
        }) {
            page.keyboard().type(line);
            page.keyboard().press("Enter");
            if (!line.isEmpty()) {
                expected++;
            }
            page.locator("table[aria-label=Check-ins] tbody tr")
                    .nth(expected - 1)
                    .waitFor();
        }
        for (String key : new String[] {".", ".", "59 57 ; fine signal from the harbour\n", "."}) {
            page.keyboard().type(key);
        }
        page.getByText("fine signal").waitFor();
        take(page, folder, "nets");
        page.navigate(page.url().replaceAll("#.*", "#/desk"));
        page.getByTestId("heading").waitFor();
    }

    /** What was received, and the reply to one of them. */
    private static void slowScan(Page page, Path folder) {
        page.navigate(page.url().replaceAll("#.*", "#/pictures"));
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^With a contact")))
                .click();
        page.getByRole(AriaRole.OPTION).first().click();
        page.getByText("At Quayside since").waitFor();
        take(page, folder, "pictures");
        page.keyboard().press("r");
        page.getByLabel("Your words").fill("Thanks from Corvo");
        page.getByLabel("Layout", new Page.GetByLabelOptions().setExact(true))
                .selectOption("Report with received picture");
        page.locator("figure img").waitFor();
        take(page, folder, "reply");
        page.navigate(page.url().replaceAll("#.*", "#/desk"));
        page.getByTestId("heading").waitFor();
    }

    /** Why a refused contact is not in the log; a log that is looked at before it is imported; a program on the link. */
    private static void intake(Page page, Path folder) {
        backstage("countersign/bust", "{}");
        backstage("program/contact", "{\"CALL\":\"OZ1QAB\",\"MODE\":\"NOISE\"}");
        page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Views"))
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Intake"))
                .click();
        page.getByLabel("Call").first().fill("OZ1QAB");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Find out"))
                .click();
        page.getByText("was not taken").first().waitFor();
        take(page, folder, "intake");
        page.getByRole(AriaRole.BANNER).getByText("Wavelet 2").click();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Answer").setExact(true))
                .first()
                .click();
        page.getByText("listening")
                .or(page.getByText("transmitting").last())
                .first()
                .waitFor();
        take(page, folder, "program");
        page.keyboard().press("Escape");
    }

    /** A log of another station that is two hours off, and cards on both ways. */
    private static void services(Page page, Path folder) {
        backstage("countersign/old-confirmation", "{\"call\":\"LU1QZZ\",\"date\":\"20160501\"}");
        page.navigate(page.url().replaceAll("#.*", "#/log"));
        // New rows wait while somebody points at the log.
        page.locator("[data-contact]").nth(3).hover();
        for (int row = 3; row < 9; row++) {
            page.locator("[data-contact] input[type=checkbox]").nth(row).check();
        }
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Send"))
                .click();
        page.getByText("Paper card by the bureau").click();
        page.getByText("cards to print").waitFor();
        page.keyboard().press("Escape");
        page.navigate(page.url().replaceAll("#.*", "#/services/cards"));
        page.locator("button.thumb").first().click();
        Browser.waitUntil(page, "document.querySelector('figure img')?.naturalWidth > 0");
        take(page, folder, "cards");
        page.navigate(page.url().replaceAll("#.*", "#/services/lanes"));
        page.getByText("Fetch confirmations").click();
        page.getByText("Coming back", new Page.GetByTextOptions().setExact(false))
                .first()
                .click();
        page.getByText("they logged").first().waitFor();
        take(page, folder, "near-misses");
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
