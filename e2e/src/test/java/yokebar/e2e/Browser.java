package yokebar.e2e;

import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Debian's Chromium, without a window. */
final class Browser implements AutoCloseable {
    private final Playwright playwright;
    private final com.microsoft.playwright.Browser chromium;

    Browser() {
        this(List.of());
    }

    /** @param more switches of Chromium */
    Browser(List<String> more) {
        List<String> switches = new ArrayList<>(List.of(
                "--no-sandbox",
                "--disable-gpu",
                "--disable-quic",
                "--no-first-run",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync"));
        switches.addAll(more);
        PlaywrightAssertions.setDefaultAssertionTimeout(Until.PATIENCE.toMillis());
        playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        chromium = playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setArgs(switches));
    }

    /** A page of the size the interface is made for first. Errors in its scripts are collected in the list. */
    Page page(List<String> faults) {
        Page page = chromium.newPage(new com.microsoft.playwright.Browser.NewPageOptions().setViewportSize(1280, 800));
        page.setDefaultTimeout(Until.PATIENCE.toMillis());
        page.onPageError(faults::add);
        return page;
    }

    /**
     * Waits until the expression is true on the page. Each look is an evaluation of its own: the page's content policy
     * rightly lets nothing in it evaluate text, which a function left behind on the page would do at its second look.
     */
    static void waitUntil(Page page, String expression) {
        page.waitForCondition(() -> Boolean.TRUE.equals(page.evaluate(expression)));
    }

    static void waitUntil(Page page, String function, Object argument) {
        page.waitForCondition(() -> Boolean.TRUE.equals(page.evaluate(function, argument)));
    }

    @Override
    public void close() {
        chromium.close();
        playwright.close();
    }
}
