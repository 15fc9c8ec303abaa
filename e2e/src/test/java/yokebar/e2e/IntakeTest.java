package yokebar.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.regex.Pattern;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import yokebar.standins.demo.DemoSetup;

/** Following a file, importing one, asking why not, taking apart and joining, in the browser. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class IntakeTest extends BrowserTest {
    private static final String HEADER = "Made up\n<ADIF_VER:5>3.1.4 <EOH>\n";

    IntakeTest() {
        super(12);
    }

    @Override
    void begin() throws Exception {
        new DemoSetup(yokebar.address(), standIns).furnishStation();
    }

    private static String record(String call, String time, String more) {
        return "<CALL:6>" + call + " <QSO_DATE:8>20260501 <TIME_ON:6>" + time + " <BAND:3>20m <MODE:2>CW " + more
                + "<EOR>\n";
    }

    private int contacts() throws Exception {
        return yokebar.get("/api/contacts?limit=1").path("total").asInt();
    }

    private Locator counts() {
        return page.getByLabel("Counts").first();
    }

    @Test
    @Order(1)
    void aFileIsLookedAtFirstAndThenFollowed() throws Exception {
        Path file = folder.resolve("wavelet.adi");
        Files.writeString(
                file,
                HEADER
                        + record("ZP5QXA", "140700", "")
                        + record("OZ1QAB", "141500", "").replace("CW", "XX"));
        open("intake/sources");
        button("Follow a file").click();
        page.getByLabel("The ADI file a program writes; it is read only, never changed")
                .fill(file.toString());
        button("Look at it").click();
        assertThat(counts()).containsText("2 records");
        assertThat(counts()).containsText("1 new");
        assertThat(counts()).containsText("1 cannot be taken");
        assertThat(page.getByLabel("Records that cannot be taken")).containsText("MODE \"XX\"");
        assertThat(contacts()).isZero();
        button("Follow it").click();
        Locator sources = page.getByLabel("Sources").last();
        assertThat(sources).containsText("wavelet.adi");
        page.waitForCondition(() -> {
            try {
                return contacts() == 1;
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        });
        Files.writeString(file, record("OZ1QCD", "150000", ""), StandardOpenOption.APPEND);
        open("log");
        assertThat(page.getByText("OZ1QCD").first()).isVisible();
    }

    @Test
    @Order(2)
    void whyNotNamesTheRefusedRecordWhichIsPutRightAndGoesThrough() {
        open("intake/journal");
        page.getByLabel("Call").first().fill("oz1qab");
        button("Find out").click();
        Locator why = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Why is it not in my log?"));
        assertThat(why).containsText("was not taken. MODE \"XX\"");
        why.getByText("Its records").click();
        Locator journal = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Journal"));
        // What stood there before the question is gone then.
        assertThat(journal.locator("tbody tr")).hasCount(1);
        journal.getByText("Record", new Locator.GetByTextOptions().setExact(true))
                .last()
                .click();
        Locator raw = journal.getByRole(AriaRole.TEXTBOX).last();
        raw.fill(raw.inputValue().replace("XX", "CW"));
        button("Send it through again").click();
        assertThat(journal).containsText("New: OZ1QAB on 20m in CW.");
        button("Find out").click();
        assertThat(why).containsText("It is in the log: OZ1QAB on 20m in CW");
    }

    @Test
    @Order(3)
    void anImportIsLookedAtTakenAndUndone() throws Exception {
        int before = contacts();
        StringBuilder text = new StringBuilder(HEADER);
        for (int i = 0; i < 50; i++) {
            text.append(record("K" + i % 10 + "QX" + (char) ('A' + i / 10) + "A", "16%02d00".formatted(i), ""));
        }
        Path file = Files.writeString(folder.resolve("other.adi"), text.append(record("ZP5QXA", "140700", "")));
        open("intake/import");
        page.locator("input[type=file]").setInputFiles(file);
        assertThat(counts()).containsText("51 records");
        assertThat(counts()).containsText("50 new");
        assertThat(counts()).containsText("1 in the log already");
        page.getByText(Pattern.compile("Import 50\\s+contacts")).click();
        assertThat(counts()).containsText("50 new in the log");
        assertThat(contacts()).isEqualTo(before + 50);
        button("Undo the import").click();
        page.waitForCondition(() -> {
            try {
                return contacts() == before;
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        });
    }

    @Test
    @Order(4)
    void aWrongMergeIsTakenApartAndJoinedAgain() throws Exception {
        byte[] record =
                record("ZP5QXA", "140815", "<NAME:3>Bia <GRIDSQUARE:4>GG14 ").getBytes(StandardCharsets.UTF_8);
        try (DatagramSocket program = new DatagramSocket()) {
            program.send(
                    new DatagramPacket(record, record.length, InetAddress.getLoopbackAddress(), yokebar.adifPort()));
        }
        open("log");
        // Whoever clicks while the undone import is still leaving the log must get the row they see.
        page.getByText("ZP5QXA").first().click();
        assertThat(page.getByRole(AriaRole.COMPLEMENTARY)).containsText("ZP5QXA");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Records"))
                .click();
        Locator drawer = page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Contact"));
        Locator second = drawer.getByRole(AriaRole.ARTICLE).filter(new Locator.FilterOptions().setHasText("Bia"));
        assertThat(second).isVisible();
        second.locator("label").click();
        button("Make the chosen a contact of their own").click();
        assertThat(drawer).containsText("is two contacts now");
        int apart = contacts();
        button("Join with another contact").click();
        drawer.getByText("Join", new Locator.GetByTextOptions().setExact(true)).click();
        assertThat(drawer).containsText("is part of this contact now");
        assertThat(contacts()).isEqualTo(apart - 1);
        assertThat(drawer).containsText("Bia");
    }
}
