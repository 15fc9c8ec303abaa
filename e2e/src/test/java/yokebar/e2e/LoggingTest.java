package yokebar.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import tools.jackson.databind.JsonNode;
import yokebar.standins.demo.DemoSetup;

/** A station with its radios, and a log. */
abstract class LoggingTest extends BrowserTest {
    LoggingTest(int seed) {
        super(seed);
    }

    @Override
    void begin() throws Exception {
        new DemoSetup(yokebar.address(), standIns).furnishStation();
    }

    JsonNode get(String path) throws Exception {
        return yokebar.get(path);
    }

    /** How many contacts a search finds. */
    long found(String search) {
        try {
            return get("/api/log/rows?limit=1&search=" + URLEncoder.encode(search, StandardCharsets.UTF_8))
                    .path("found")
                    .asLong();
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    /** Takes a file of ADI text into the log, and waits for the answer. */
    void importFile(String adi) {
        page.evaluate(
                """
                async (adi) => {
                  const form = new FormData();
                  form.append('file', new Blob([adi]), 'x.adi');
                  await fetch('/api/imports', { method: 'POST', body: form });
                }
                """,
                adi);
    }

    Locator line() {
        return page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Contact line"));
    }

    Locator log() {
        return page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName("Log").setExact(true));
    }
}
