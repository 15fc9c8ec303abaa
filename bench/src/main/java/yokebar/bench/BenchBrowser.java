package yokebar.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/** A browser with one page of the usual size. */
final class BenchBrowser implements AutoCloseable {
    private static final int WIDTH = 1280;
    private static final int HEIGHT = 800;

    private final Playwright playwright =
            Playwright.create(new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    private final Browser browser = playwright
            .chromium()
            .launch(new BrowserType.LaunchOptions()
                    .setExecutablePath(Path.of("/usr/bin/chromium"))
                    .setArgs(List.of("--no-sandbox", "--disable-gpu", "--disable-background-networking")));

    Page page() {
        return browser.newPage(new Browser.NewPageOptions().setViewportSize(WIDTH, HEIGHT));
    }

    @Override
    public void close() {
        browser.close();
        playwright.close();
    }
}
