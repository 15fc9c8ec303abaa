package yokebar.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import yokebar.standins.device.HfRadio;
import yokebar.standins.device.SerialLine;

/** A serial port the operator may not use is the first thing many meet; it is said with the command that mends it. */
class NoPermissionTest {

    @TempDir
    private Path folder;

    @Test
    void aPortThatMayNotBeUsedIsSaidWithItsGroupAndTheCommand() throws Exception {
        List<String> faults = new ArrayList<>();
        try (YokebarProcess yokebar =
                        new YokebarProcess(folder.resolve("yokebar")).asNobody().start();
                HfRadio radio = new HfRadio(0);
                SerialLine line = new SerialLine(folder.resolve("petrel"), radio.port());
                Browser browser = new Browser()) {
            line.plugIn();
            Path port = line.path().toRealPath();
            Files.setPosixFilePermissions(port, PosixFilePermissions.fromString("---------"));
            Page page = browser.page(faults);
            page.navigate(yokebar.address() + "#/hookups");
            page.getByRole(
                            AriaRole.BUTTON,
                            new Page.GetByRoleOptions().setName("Radio").setExact(true))
                    .click();
            Locator form = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Add a radio"));
            form.getByLabel("Name").fill("Petrel 100");
            form.getByLabel("Serial port, or host and port").fill(line.path().toString());
            form.getByText("Add and connect").click();
            page.getByRole(AriaRole.BANNER).getByText("no permission").click();
            Locator drawer = page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Hookup"));
            assertThat(drawer.getByText("You may not use " + line.path() + ": it belongs to the group"))
                    .isVisible();
            assertThat(drawer.getByText("Run: sudo usermod -aG")).isVisible();
            Files.setPosixFilePermissions(port, PosixFilePermissions.fromString("rw-rw-rw-"));
            drawer.getByText("Test").click();
            assertThat(drawer.getByText("Petrel 100 answers: it is on 14.074 000 MHz."))
                    .isVisible();
        }
        assertThat(faults).isEmpty();
    }
}
