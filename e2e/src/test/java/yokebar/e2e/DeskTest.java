package yokebar.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import yokebar.standins.StandIns;
import yokebar.standins.device.SerialLine;
import yokebar.standins.device.VhfRadio;

/** Radio and rotator in the real interface: set up, used, and with each thing that can be wrong with them. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class DeskTest {
    @TempDir
    private static Path folder;

    private YokebarProcess yokebar;
    private StandIns standIns;
    private SerialLine cable;
    private Browser browser;
    private Page page;
    private final List<String> faults = new ArrayList<>();

    @BeforeAll
    void start() throws Exception {
        yokebar = new YokebarProcess(folder.resolve("yokebar")).start();
        standIns = new StandIns(new StandIns.Settings(
                9, Clock.systemUTC(), yokebar.standInsHome(), yokebar.adifPort(), 0, 0, 0, yokebar.devices(), null));
        cable = new SerialLine(folder.resolve("shearwater"), standIns.vhfRadio().port());
        cable.plugIn();
        browser = new Browser();
        page = browser.page(faults);
        page.navigate(yokebar.address() + "#/log");
        page.getByText("No contacts yet").waitFor();
    }

    @AfterAll
    void stop() {
        browser.close();
        standIns.close();
        cable.close();
        yokebar.close();
    }

    @AfterEach
    void noFaultsInThePage() {
        assertThat(faults).isEmpty();
    }

    private void open(String view) {
        page.locator("nav a", new Page.LocatorOptions().setHasText(view)).click();
    }

    private Locator button(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    @Test
    @Order(1)
    void aRadioIsConnectedByKeyboardAloneAndWhatIsTypedWrongIsSaid() {
        open("Desk");
        assertThat(page.getByText("No radio yet.")).isVisible();
        open("Hookups");
        button("Radio").focus();
        page.keyboard().press("Enter");
        Locator form = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Add a radio"));
        form.getByLabel("Name").focus();
        page.keyboard().type("Petrel 100");
        page.keyboard().press("Tab");
        page.keyboard().press("Tab");
        page.keyboard().type("over there");
        page.keyboard().press("Enter");
        assertThat(form.getByText("\"over there\" is not an address")).isVisible();
        form.getByLabel("Serial port, or host and port").focus();
        page.keyboard().press("Control+a");
        page.keyboard().type("127.0.0.1:" + standIns.hfRadio().port());
        page.keyboard().press("Enter");
        Locator card = page.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName("Petrel 100"));
        assertThat(card.getByText("live")).isVisible();
        card.getByText("Test").click();
        assertThat(card.getByText("Petrel 100 answers: it is on 14.074 000 MHz."))
                .isVisible();
    }

    @Test
    @Order(2)
    void theKnobMovesYokeDeskAndTheNextContact() throws Exception {
        open("Desk");
        assertThat(page.getByTestId("readout")).hasAttribute("aria-valuenow", "14074000");
        standIns.hfRadio().front().turn(2_500);
        assertThat(page.getByTestId("readout")).hasAttribute("aria-valuenow", "14076500");
        assertThat(page.getByTestId("yoke-dial")).hasText("14.076\u2009500");
        standIns.program().send(justNow("ZP5QXA", "CU9QYB"));
        assertThat(page.getByRole(AriaRole.TABLE).getByText("ZP5QXA")).isVisible();
        assertThat(page.getByRole(AriaRole.TABLE).getByText("14\u2009076.5")).isVisible();
    }

    /** A record with blanks where the radio knows. */
    private static String justNow(String call, String own) {
        String stamp = java.time.format.DateTimeFormatter.ofPattern("yyyyMMddHHmmss")
                .withZone(java.time.ZoneOffset.UTC)
                .format(java.time.Instant.now());
        return "<call:%d>%s<station_callsign:%d>%s<qso_date:8>%s<time_on:6>%s<eor>"
                .formatted(call.length(), call, own.length(), own, stamp.substring(0, 8), stamp.substring(8));
    }

    @Test
    @Order(3)
    void theReadoutTunesByTypingArrowsWheelAndClick() throws Exception {
        page.getByTestId("readout").focus();
        page.keyboard().type("7010.5");
        page.keyboard().press("Enter");
        Until.itIs("typed", () -> standIns.hfRadio().front().frequencyHz() == 7_010_500);
        assertThat(page.getByTestId("readout")).hasAttribute("aria-valuenow", "7010500");
        page.getByTestId("readout").focus();
        page.keyboard().press("ArrowUp");
        Until.itIs("one kHz up", () -> standIns.hfRadio().front().frequencyHz() == 7_011_500);
        page.keyboard().press("ArrowRight");
        page.keyboard().press("ArrowDown");
        Until.itIs("a tenth down", () -> standIns.hfRadio().front().frequencyHz() == 7_011_400);
        Locator hundreds = page.getByTestId("readout").locator("button").nth(4);
        hundreds.hover();
        page.mouse().wheel(0, -100);
        Until.itIs("wheel", () -> standIns.hfRadio().front().frequencyHz() == 7_011_500);
        hundreds.click(new Locator.ClickOptions().setPosition(5, 50));
        Until.itIs("click below the middle", () -> standIns.hfRadio().front().frequencyHz() == 7_011_400);
        button("CW").click();
        Until.itIs("mode", () -> standIns.hfRadio().front().mode().equals("CW"));
        assertThat(button("CW")).hasAttribute("aria-pressed", "true");
        button("15").click();
        Until.itIs("band", () -> standIns.hfRadio().front().frequencyHz() == 21_035_000);
    }

    @Test
    @Order(4)
    void aCableThatIsPulledIsSaidAndTheRadioComesBackByItself() throws IOException {
        standIns.hfRadio().setPlugged(false);
        assertThat(page.getByText(
                        "nothing listens on port " + standIns.hfRadio().port()))
                .isVisible();
        assertThat(page.getByRole(AriaRole.BANNER).getByText("connection refused"))
                .isVisible();
        assertThat(page.getByTestId("yoke-dial")).isHidden();
        standIns.hfRadio().setPlugged(true);
        assertThat(page.getByTestId("readout")).hasAttribute("aria-valuenow", "21035000");
        standIns.hfRadio().setPowered(false);
        assertThat(page.getByText("Petrel 100 does not answer on 127.0.0.1:")).isVisible();
        standIns.hfRadio().setPowered(true);
        assertThat(page.getByTestId("readout")).isVisible();
    }

    @Test
    @Order(5)
    void aSerialPortAndWhatCanBeWrongWithIt() throws Exception {
        open("Hookups");
        button("Radio").click();
        Locator form = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Add a radio"));
        form.getByLabel("Name").fill("Shearwater V/U");
        form.getByLabel("It speaks").selectOption("Framed binary CAT");
        form.getByLabel("Serial port, or host and port").fill(cable.path().toString());
        form.getByLabel("Address on the bus").fill(String.valueOf(VhfRadio.BUS));
        form.getByLabel("Full power, W").fill("50");
        form.getByText("Add and connect").click();
        Locator card = page.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName("Shearwater V/U"));
        assertThat(card.getByText("live")).isVisible();

        standIns.vhfRadio().setGarbled(true);
        assertThat(card.getByText("makes no sense as Shearwater V/U.")).isVisible();
        assertThat(card.getByText("Is it set to another speed")).isVisible();
        standIns.vhfRadio().setGarbled(false);
        assertThat(card.getByText("live")).isVisible();

        cable.unplug();
        assertThat(card.getByText("There is no serial port " + cable.path())).isVisible();
        cable.plugIn();
        Process other = new ProcessBuilder("sleep", "60")
                .redirectInput(cable.path().toRealPath().toFile())
                .start();
        try {
            assertThat(card.getByText(cable.path() + " is in use by sleep (process " + other.pid() + ")."))
                    .isVisible();
        } finally {
            other.destroy();
            other.waitFor();
        }
        assertThat(card.getByText("live")).isVisible();
    }

    @Test
    @Order(6)
    void theRotatorTurnsWhereTheCompassIsClickedAndSaysWhenItIsStuck() {
        button("Rotator").click();
        Locator form = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Add a rotator"));
        form.getByLabel("Name", new Locator.GetByLabelOptions().setExact(true)).fill("Windrose");
        form.getByLabel("Serial port, or host and port")
                .fill("127.0.0.1:" + standIns.rotator().port());
        form.getByText("Add and connect").click();
        open("Desk");
        standIns.rotator().setSpeed(180);
        Locator rose = page.getByRole(AriaRole.SLIDER);
        assertThat(rose).hasAttribute("aria-valuenow", "0");
        // East of the middle of the rose.
        rose.click(new Locator.ClickOptions().setPosition(170, 104));
        assertThat(page.getByTestId("heading")).hasText("90°");
        assertThat(rose).hasAttribute("aria-valuenow", "90");
        page.getByLabel("Raise to").fill("30");
        page.keyboard().press("Enter");
        assertThat(page.getByTestId("elevation")).hasText("up 30°");
        page.getByText("Long path").click();
        assertThat(page.getByTestId("heading")).hasText("270°");
        standIns.rotator().setStuck(true);
        page.getByLabel("Turn to").fill("350");
        page.keyboard().press("Enter");
        assertThat(page.getByText("Windrose was asked to turn to 350° but stays at 270°."))
                .isVisible();
        button("Stop").click();
        standIns.rotator().setStuck(false);
        assertThat(page.getByText("was asked to turn to")).isHidden();
    }

    @Test
    @Order(7)
    void theDeskFillsTheWindowAndItsPartsDoNotOverlap() {
        assertThat(page.locator(".frame").boundingBox().height).isEqualTo(800);
        Locator radio = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Radio"));
        Locator rotator = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Rotator"));
        var bands = radio.getByRole(AriaRole.GROUP).last().boundingBox();
        assertThat(bands.y + bands.height).isLessThan(rotator.boundingBox().y);
    }

    @Test
    @Order(8)
    void theNextRadioIsOneKeyAway() {
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Petrel 100")))
                .isVisible();
        page.keyboard().press("r");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Shearwater V/U")))
                .isVisible();
        assertThat(page.getByTestId("readout")).hasAttribute("aria-valuenow", "145500000");
        page.keyboard().press("r");
        assertThat(page.getByTestId("readout")).hasAttribute("aria-valuenow", "21035000");
    }

    private JsonNode now(String field) {
        try {
            return yokebar.get("api/radios").get(0).path("now").path(field);
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    @Order(9)
    void programsAtTheSharedRadioAreShown() throws Exception {
        String port = yokebar.get("api/radios").get(0).path("sharePort").asString();
        open("Hookups");
        Locator card = page.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName("Petrel 100"));
        assertThat(card.getByText("no program uses it")).isVisible();
        try (CatProgram program = new CatProgram(port).askToTransmit()) {
            assertThat(card.getByText("1 program:")).isVisible();
            assertThat(card.getByText("A program asked to transmit and was refused."))
                    .isVisible();
            assertThat(standIns.hfRadio().front().transmitting()).isFalse();
            card.getByText("Allow programs to transmit").click();
            assertThat(card.getByText("allowed, at most 180 s at a time")).isVisible();
        }
        Until.itIs("the radio is connected again", () -> now("transmitting").isBoolean());
        try (CatProgram program = new CatProgram(port)) {
            assertThat(card.getByText("1 program:")).isVisible();
            // Until the radio has said that it receives, nobody may key it; a program asks again then.
            Until.itIs("it transmits", () -> {
                program.askToTransmit();
                return standIns.hfRadio().front().transmitting();
            });
            assertThat(card.getByText("transmits", new Locator.GetByTextOptions().setExact(true)))
                    .isVisible();
        }
        assertThat(card.getByText("no program uses it")).isVisible();
        Until.itIs("the key is released", () -> !standIns.hfRadio().front().transmitting());
    }

    @Test
    @Order(10)
    void twoBrowsersOnTwoRadiosDoNotDisturbEachOther() {
        page.keyboard().press("p");
        Locator drawer = page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Position"));
        drawer.getByLabel("Radio").selectOption("Petrel 100");
        Page other = browser.page(faults);
        other.navigate(yokebar.address() + "#/desk");
        other.getByTestId("readout").waitFor();
        other.keyboard().press("p");
        Locator chair = other.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Position"));
        chair.getByLabel("New position").fill("Workshop");
        other.keyboard().press("Enter");
        assertThat(chair.getByLabel("This browser is at")).hasValue("2");
        assertThat(chair.getByText("Saved")).isVisible();
        chair.getByLabel("Radio").selectOption("Shearwater V/U");
        assertThat(other.getByTestId("readout")).hasAttribute("aria-valuenow", "145500000");
        page.keyboard().press("Escape");
        open("Desk");
        assertThat(page.getByTestId("readout")).hasAttribute("aria-valuenow", "21035000");
        standIns.vhfRadio().front().turn(12_500);
        assertThat(other.getByTestId("readout")).hasAttribute("aria-valuenow", "145512500");
        assertThat(page.getByTestId("readout")).hasAttribute("aria-valuenow", "21035000");
        other.reload();
        assertThat(other.getByTestId("yoke-dial")).hasText("145.512\u2009500");
        other.close();
        browserThatWasNowhereYetIsAsked();
    }

    private void browserThatWasNowhereYetIsAsked() {
        Page third = browser.page(faults);
        third.navigate(yokebar.address() + "#/desk");
        Locator ask = third.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Which position"));
        ask.getByText("Workshop").click();
        assertThat(ask).isHidden();
        assertThat(third.getByTestId("readout")).hasAttribute("aria-valuenow", "145512500");
        third.reload();
        assertThat(third.getByTestId("readout")).hasAttribute("aria-valuenow", "145512500");
        assertThat(ask).isHidden();
        third.close();
    }

    @Test
    @Order(11)
    void aClockThatIsOffIsSaidInTheYoke() throws Exception {
        page.navigate(yokebar.address() + "#/station/clocks");
        Locator server = page.getByLabel("Time server the computer's clock is checked against");
        server.fill("127.0.0.1:" + standIns.timeServer().port());
        server.press("Enter");
        assertThat(page.getByText("which hurts nothing")).isVisible();
        standIns.timeServer().setAhead(Duration.ofMillis(1400));
        open("Hookups");
        Locator card = page.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName("Clock"));
        card.getByText("Test").click();
        Locator offset = page.getByRole(AriaRole.BANNER).getByText("clock −1.4 s");
        assertThat(offset).isVisible();
        offset.click();
        assertThat(page.getByRole(AriaRole.COMPLEMENTARY).getByText("digital programs decode little"))
                .isVisible();
        page.keyboard().press("Escape");
        standIns.timeServer().setAhead(Duration.ZERO);
        card.getByText("Test").click();
        assertThat(offset).isHidden();
    }

    @Test
    @Order(12)
    void aRadioAtTheWrongSettingIsFoundOutFromItsDrawer() throws Exception {
        open("Desk");
        page.getByRole(AriaRole.BANNER).getByText("Shearwater V/U").click();
        Locator drawer = page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Hookup"));
        drawer.getByText("Set up").click();
        drawer.getByLabel("It speaks").selectOption("Semicolon CAT");
        drawer.getByText("Save").click();
        assertThat(drawer.getByText("Shearwater V/U does not answer on").or(drawer.getByText("makes no sense as")))
                .isVisible();
        drawer.getByText("Find out what answers there").click();
        assertThat(drawer.getByText("answers a radio that speaks Framed binary CAT as number 5C on its bus."))
                .isVisible();
        drawer.getByText("Set it up so").click();
        assertThat(drawer.getByText("live")).isVisible();
    }
}
