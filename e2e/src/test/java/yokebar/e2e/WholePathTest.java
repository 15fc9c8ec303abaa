package yokebar.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;
import yokebar.standins.StandIns;
import yokebar.standins.countersign.Countersign;
import yokebar.standins.world.Station;

/** One operator's first evening: from an empty folder to a confirmed contact, with the troubles on the way. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class WholePathTest {
    private static final String PASSPHRASE = "lamp";

    @TempDir
    private static Path folder;

    private YokebarProcess yokebar;
    private StandIns standIns;
    private Browser browser;
    private Page page;
    private final List<String> faults = new ArrayList<>();

    @BeforeAll
    void start() throws Exception {
        yokebar = new YokebarProcess(folder.resolve("yokebar")).start();
        standIns = new StandIns(
                new StandIns.Settings(9, Clock.systemUTC(), folder.resolve("stand-ins"), yokebar.adifPort(), 0, 0));
        standIns.countersign().setQueueDelay(Duration.ofMillis(500));
        standIns.countersign().setPaceOfOthers(100);
        browser = new Browser();
        page = browser.page(faults);
        page.navigate(yokebar.address().toString());
    }

    @AfterAll
    void stop() {
        browser.close();
        standIns.close();
        yokebar.close();
    }

    @BeforeEach
    void calm() {
        faults.clear();
        standIns.countersign().refusedCalls().forEach(call -> standIns.countersign()
                .setRefused(call, false));
    }

    @AfterEach
    void noFaultsInThePage() {
        assertThat(faults).isEmpty();
    }

    @Test
    @Order(1)
    void anEmptyLogSaysWhatToDoAndFirstStepsDoIt() {
        assertThat(page.getByText("Which call do you use?")).isVisible();
        page.getByText("I will set it up myself").click();
        open("Log");
        assertThat(page.getByText("No contacts yet")).isVisible();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("tell Yokebar your call first"))
                .click();
        assertThat(page.getByText("Take the first steps")).isVisible();
        page.getByLabel("Own call").fill("cu9qyb");
        page.getByLabel("Own call").press("Enter");
        assertThat(page.getByLabel("Own call")).hasValue("CU9QYB");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Places"))
                .click();
        Locator place = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("New place"));
        place.getByLabel("New place").fill("Lighthouse");
        place.getByLabel("Locator").fill("nonsense");
        place.getByText("Add place").click();
        assertThat(place.getByText("\"nonsense\" is not a locator")).isVisible();
        place.getByLabel("Locator").fill("hm49kq");
        place.getByText("Add place").click();
        assertThat(page.getByText("Azores, EU")).isVisible();
        assertThat(page.getByText("Take the first steps")).isHidden();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Positions"))
                .click();
        page.getByLabel("Place", new Page.GetByLabelOptions().setExact(true)).selectOption("Lighthouse, HM49kq");
        assertThat(page.getByText("Saved").first()).isVisible();
    }

    @Test
    @Order(2)
    void aContactMadeInAnotherProgramAppearsByItselfWithItsJourney() throws Exception {
        open("Log");
        String raw = standIns.program().contact(Map.of("CALL", "ZP5QXA", "NAME", "Ana"));
        assertThat(line("ZP5QXA")).isVisible();
        assertThat(line("ZP5QXA")).containsText("held");
        for (int i = 0; i < 9; i++) {
            standIns.program().repeat();
        }
        line("ZP5QXA").click();
        assertThat(drawer().getByText("No certificate for CU9QYB is installed for Countersign.")
                        .first())
                .isVisible();
        drawer().getByRole(AriaRole.TAB, new Locator.GetByRoleOptions().setName("Journey"))
                .click();
        assertThat(drawer().getByText("Came again")).hasCount(9);
        drawer().getByText("The record as it came").first().click();
        assertThat(drawer().locator("pre").first()).hasText(raw);
        page.keyboard().press("Escape");
        assertThat(drawer()).isHidden();
        assertThat(page.getByTestId("log-total")).hasText("1");
    }

    @Test
    @Order(3)
    void countersignIsSetUpAndTheContactComesBackConfirmed() throws Exception {
        open("Services");
        page.getByLabel("Address").fill(standIns.countersign().address());
        page.getByLabel("Account name").fill(Countersign.ACCOUNT);
        page.getByLabel("Account password").fill(Countersign.PASSWORD);
        page.getByText("Save and try").click();
        assertThat(page.getByText("Saved. Account CU9QYB is in good standing.")).isVisible();
        page.getByText("Install from a file").click();
        byte[] identity = standIns.countersign()
                .authority()
                .issue(
                        "CU9QYB",
                        Instant.parse("2020-01-01T00:00:00Z"),
                        Instant.parse("2040-01-01T00:00:00Z"),
                        PASSPHRASE);
        page.locator("input[type=file]")
                .setInputFiles(new FilePayload("identity.p12", "application/x-pkcs12", identity));
        page.getByLabel("Passphrase of the file").fill("not this one");
        page.getByText("Install identity").click();
        assertThat(page.getByText(
                        "The passphrase does not open this file.", new Page.GetByTextOptions().setExact(false)))
                .isVisible();
        page.getByLabel("Passphrase of the file").fill(PASSPHRASE);
        page.getByText("Install identity").click();
        assertThat(stage("DUE")).containsText("1");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Going out"))
                .click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Hand over 1 contact now"))
                .click();
        assertThat(stage("ACCEPTED")).containsText("1");
        assertThat(page.getByText("CS-000001")).isVisible();

        String call = confirmingStation();
        standIns.program().contact(Map.of("CALL", call));
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Hand over 1 contact now"))
                .click();
        assertThat(stage("ACCEPTED")).containsText("2");
        waitFor(() -> standIns.countersign().summary().get("confirmations").equals(1));
        page.getByText("Fetch confirmations").click();
        assertThat(page.getByText("1 new confirmation.")).isVisible();
        assertThat(stage("CONFIRMED")).containsText("1");
        open("Log");
        assertThat(line(call)).containsText("confirmed");
    }

    @Test
    @Order(4)
    void countersignDownIsTroubleAndThenCaughtUpWith() throws Exception {
        open("Services");
        page.getByText("Send automatically").click();
        assertThat(page.getByLabel("When it is handed over")).hasValue("AT_ONCE");
        standIns.countersign().setUp(false);
        standIns.program().contact(Map.of("CALL", "OZ1QAB"));
        Locator plate = page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("Countersign: trouble.*")));
        assertThat(plate).isVisible();
        assertThat(plate).containsText("cannot be reached");
        assertThat(page.getByRole(AriaRole.ALERT).getByText("Nothing is lost")).isVisible();
        open("Hookups");
        page.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName("Countersign"))
                .getByText("Test")
                .click();
        assertThat(page.locator(".proof")).containsText("cannot be reached");
        standIns.countersign().setUp(true);
        open("Log");
        assertThat(line("OZ1QAB")).containsText("accepted");
        assertThat(plate).isHidden();
    }

    @Test
    @Order(5)
    void aRefusedContactIsCorrectedInTheDrawerAndGoesAgain() throws Exception {
        standIns.countersign().setRefused("OZ1QCC", true);
        standIns.program().contact(Map.of("CALL", "OZ1QCC"));
        open("Log");
        assertThat(line("OZ1QCC")).containsText("refused");
        open("Services");
        Locator refused = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Refused"));
        assertThat(refused).containsText("the call OZ1QCC is not a valid call");
        refused.getByText("Open").click();
        drawer().getByLabel("Call", new Locator.GetByLabelOptions().setExact(true))
                .fill("OZ1QCD");
        drawer().getByLabel("Frequency, MHz").fill("27.5");
        drawer().getByText("Save changes").click();
        assertThat(drawer().getByText("FREQ \"27.5\" MHz is on no amateur band; is it in MHz?")
                        .first())
                .isVisible();
        drawer().getByLabel("Frequency, MHz").fill("14.0751");
        drawer().getByText("Save changes").click();
        assertThat(drawer().getByText("Saved.")).isVisible();
        assertThat(drawer()).containsText("Countersign: accepted");
        drawer().getByRole(AriaRole.TAB, new Locator.GetByRoleOptions().setName("Journey"))
                .click();
        assertThat(drawer()).containsText("CALL OZ1QCC → OZ1QCD");
        assertThat(drawer()).containsText("refused it: the call OZ1QCC is not a valid call");
        page.keyboard().press("Escape");
    }

    @Test
    @Order(6)
    void newRowsWaitWhileTheReaderPointsAtTheLog() throws Exception {
        open("Log");
        line("ZP5QXA").hover();
        standIns.program().contact(Map.of("CALL", "LA1QEE"));
        Locator waiting = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("1 new"));
        assertThat(waiting).isVisible();
        assertThat(line("LA1QEE")).isHidden();
        page.mouse().move(30, 600);
        assertThat(line("LA1QEE")).isVisible();
        assertThat(waiting).isHidden();
        page.keyboard().press("/");
        page.keyboard().type("zp5");
        assertThat(line("LA1QEE")).isHidden();
        assertThat(line("ZP5QXA")).isVisible();
        page.getByRole(AriaRole.SEARCHBOX).fill("");
        assertThat(line("LA1QEE")).isVisible();
    }

    @Test
    @Order(7)
    void thePageSaysItIsOfflineAndCatchesUp() throws Exception {
        open("Log");
        yokebar.kill();
        assertThat(page.getByText("Offline.")).isVisible();
        yokebar.start();
        assertThat(page.getByText("Offline.")).isHidden();
        standIns.program().contact(Map.of("CALL", "SM1QFF"));
        assertThat(line("SM1QFF")).isVisible();
        assertThat(line("ZP5QXA")).isVisible();
    }

    @Test
    @Order(8)
    void everyViewIsReachedByKeyboard() {
        for (String[] keyAndView :
                new String[][] {{"h", "Hookups"}, {"i", "Intake"}, {"s", "Services"}, {"t", "Station"}, {"l", "Log"}}) {
            page.keyboard().press("g");
            page.keyboard().press(keyAndView[0]);
            assertThat(page.getByRole(
                            AriaRole.HEADING,
                            new Page.GetByRoleOptions().setName(keyAndView[1]).setLevel(1)))
                    .isVisible();
        }
        page.getByRole(AriaRole.GRID).focus();
        page.keyboard().press("ArrowDown");
        page.keyboard().press("Enter");
        assertThat(drawer()).isVisible();
        page.keyboard().press("Escape");
    }

    @Test
    @Order(9)
    void refusedRecordsAreToldUnderIntake() throws Exception {
        standIns.program().send("this is <b>not</b> ADIF");
        open("Intake");
        assertThat(page.getByText("This is not ADIF: no field such as <CALL:6> is in it.")
                        .first())
                .isVisible();
        Locator row = page.locator("tr", new Page.LocatorOptions().setHasText("This is not ADIF"))
                .first();
        row.getByText("Record", new Locator.GetByTextOptions().setExact(true)).click();
        assertThat(page.getByLabel("The record; put right what is wrong")).hasValue("this is <b>not</b> ADIF");
    }

    @Test
    @Order(10)
    void aPortInUseIsTroubleAndAnOpenLogIsRefused() throws Exception {
        String second = yokebar.startAnother();
        assertThat(second).startsWith("1: ").contains("Another Yokebar is running on the log in");
        assertThat(second).doesNotContain("\tat ");
        yokebar.kill();
        try (DatagramSocket other = new DatagramSocket(null)) {
            other.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), yokebar.adifPort()));
            yokebar.start();
            open("Hookups");
            Locator card = page.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName("Digital programs"));
            assertThat(card).containsText("UDP port " + yokebar.adifPort() + " is in use by another program");
            assertThat(card).containsText("YOKEBAR_ADIF_UDP_PORT");
        }
        Locator card = page.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName("Digital programs"));
        assertThat(card.locator(".state")).hasText("live");
    }

    private void open(String view) {
        page.getByRole(AriaRole.NAVIGATION)
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(view))
                .click();
        page.mouse().move(640, 790);
        page.mouse().move(30, 600);
    }

    private Locator line(String call) {
        return page.locator("[data-contact]", new Page.LocatorOptions().setHasText(call));
    }

    private Locator drawer() {
        return page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Contact"));
    }

    private Locator stage(String state) {
        return page.locator("[data-state=" + state + "]").first();
    }

    private String confirmingStation() {
        return standIns.world().stations().stream()
                .filter(s -> s.confirmsAfter() != null)
                .map(Station::call)
                .findFirst()
                .orElseThrow();
    }

    private void waitFor(java.util.function.BooleanSupplier condition) {
        page.waitForCondition(condition);
    }
}
