package yokebar.core.log.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import javax.xml.stream.XMLStreamException;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yokebar.core.log.adif.AdiWriter;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.adif.AdifRecord;
import yokebar.core.log.adif.AdxWriter;

/** Long logs with whatever ADIF allows in names and values go out and come back equal, in both its forms. */
class GeneratedLogsTest {
    private static final int CONTACTS = 50_000;
    private static final long MAX_BYTES = 1L << 30;
    /** Names as programs and their users make them; ADIF forbids only commas, colons and brackets. */
    private static final List<String> NAMES = List.of(
            "NAME",
            "QTH",
            "COMMENT",
            "NOTES",
            "ADDRESS",
            "MY_RIG",
            "GRIDSQUARE",
            "APP_WAVELET_DT",
            "APP_MY-LOG_CARD & STAMP",
            "APP_X_1",
            "LANTERN",
            "LAMP ROOM",
            "CAF\u00c9 & BAR/2",
            "100 WATTS",
            "#",
            "A.B-C",
            "\u706f\u53f0",
            "QSO NO. 5 (OLD)",
            "XMLNAME",
            "RECORD",
            "USERDEF",
            "A NAME THAT IS A GOOD DEAL LONGER THAN MOST NAMES OF FIELDS ARE EVER GOING TO BE IN PRACTICE");

    private static final String[] PIECES = {
        "a",
        "Zo\u00eb",
        " ",
        "  ",
        "\n",
        "\r\n",
        "\t",
        "<",
        ">",
        "&",
        "\"",
        "'",
        "]]>",
        "<CALL:4>",
        "<eor>",
        "<EOH>",
        ":",
        "{x}",
        "\u706f",
        "\ud83d\udd6f",
        "&amp;",
        "100%",
        "\u00a0",
        "\u0301",
        "59",
        ",",
        "\\"
    };

    private static List<AdifFields> log(long seed) {
        Random random = new Random(seed);
        List<AdifFields> log = new ArrayList<>(CONTACTS);
        for (int i = 0; i < CONTACTS; i++) {
            AdifFields.Builder contact = new AdifFields.Builder();
            contact.put("CALL", "ZP5Q" + (char) ('A' + random.nextInt(26)) + (char) ('A' + random.nextInt(26)));
            contact.put("QSO_DATE", "202605" + (10 + random.nextInt(20)));
            for (int f = random.nextInt(6); f > 0; f--) {
                contact.put(NAMES.get(random.nextInt(NAMES.size())), value(random));
            }
            log.add(contact.build());
        }
        return log;
    }

    private static String value(Random random) {
        StringBuilder value = new StringBuilder();
        for (int i = 1 + random.nextInt(8); i > 0; i--) {
            value.append(PIECES[random.nextInt(PIECES.length)]);
        }
        return value.toString();
    }

    private static String adi(List<AdifFields> log) throws IOException {
        StringBuilder text = new StringBuilder();
        AdiWriter adi = new AdiWriter(text);
        adi.header(Instant.EPOCH, NAMES);
        for (AdifFields contact : log) {
            adi.record(contact);
        }
        return text.toString();
    }

    private static String adx(List<AdifFields> log) throws XMLStreamException {
        StringWriter text = new StringWriter();
        AdxWriter adx = new AdxWriter(text);
        adx.header(Instant.EPOCH, NAMES);
        for (AdifFields contact : log) {
            adx.record(contact);
        }
        adx.end();
        return text.toString();
    }

    private static List<AdifFields> read(String text) throws IOException {
        LogText log = new LogText(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)), MAX_BYTES);
        List<AdifFields> contacts = new ArrayList<>(CONTACTS);
        for (AdifRecord record = log.next(); record != null; record = log.next()) {
            assertThat(record.fault()).isNull();
            contacts.add(record.fields());
        }
        return contacts;
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void outAndInByBothForms(long seed) throws Exception {
        List<AdifFields> log = log(seed);
        List<AdifFields> fromAdi = read(adi(log));
        same(log, fromAdi);
        same(log, read(adx(fromAdi)));
    }

    private static void same(List<AdifFields> log, List<AdifFields> read) {
        assertThat(read).hasSameSizeAs(log);
        for (int i = 0; i < log.size(); i++) {
            assertThat(read.get(i)).as("contact " + i).isEqualTo(log.get(i));
        }
    }
}
