package yokebar.core.log.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.StringWriter;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import java.util.zip.GZIPOutputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.xml.stream.XMLStreamException;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.adif.AdifRecord;
import yokebar.core.log.adif.AdxWriter;

/** A hundred logs of odd but legal shapes: each gives the same five contacts, field by field. */
class OddLogsTest {
    private static final long MAX_BYTES = 1 << 22;
    private static final List<AdifFields> CONTACTS = List.of(
            AdifFields.of("CALL", "ZP5QXA", "QSO_DATE", "20260501", "TIME_ON", "140700", "BAND", "20m", "MODE", "CW"),
            AdifFields.of("CALL", "OZ1QAB", "NAME", "Zoë Østergård", "COMMENT", "a < b > c, 5 <dB", "FREQ", "14.025"),
            AdifFields.of("CALL", "CU9QLZ", "APP_WAVELET_DT", "0.5", "LANTERN", "user's own", "RST_SENT", "599"),
            AdifFields.of("CALL", "JA1QCD", "NOTES", "two\nlines and a tab\there", "GRIDSQUARE", "PM95"),
            AdifFields.of("CALL", "K1QEF", "QTH", "São João", "TX_PWR", "100"));

    /** One way to write a log, made of the bits of a number. */
    record Shape(int bits) {
        boolean has(int bit) {
            return (bits >> bit & 1) == 1;
        }

        @Override
        public String toString() {
            return "shape " + bits;
        }
    }

    static Stream<Shape> shapes() {
        return IntStream.range(0, 100).mapToObj(i -> new Shape(i * 41 + i / 7));
    }

    private static byte[] written(Shape shape) throws IOException {
        Charset charset = shape.has(0) ? Charset.forName("windows-1252") : StandardCharsets.UTF_8;
        boolean inCharacters = !shape.has(0) && shape.has(1);
        String end = shape.has(2) ? "\r\n" : "\n";
        StringBuilder text = new StringBuilder();
        if (!shape.has(3)) {
            text.append("Made up, <not a tag> here")
                    .append(end)
                    .append(tag(shape, "ADIF_VER", 5))
                    .append("3.1.4 ");
            text.append(shape.has(4) ? "<eoh>" : "<EOH>").append(end);
        }
        for (AdifFields contact : CONTACTS) {
            contact.forEach((name, value) -> {
                int length = inCharacters ? value.length() : value.getBytes(charset).length;
                text.append(tag(shape, name, length)).append(value);
                text.append(shape.has(5) ? end : shape.has(6) ? "   " : " ");
            });
            if (shape.has(7)) {
                text.append(tag(shape, "ADDRESS", 0)).append(' ');
            }
            text.append(shape.has(4) ? "<eor>" : "<EOR>").append(end);
            text.append(shape.has(8) ? end + "-- next --" + end : "");
        }
        byte[] bytes = text.toString().getBytes(charset);
        if (!shape.has(0) && shape.has(9)) {
            bytes = ("\ufeff" + text).getBytes(shape.has(1) ? StandardCharsets.UTF_8 : StandardCharsets.UTF_16LE);
        }
        return shape.has(10) ? gzip(bytes) : shape.has(11) ? zip(bytes) : bytes;
    }

    private static String tag(Shape shape, String name, int length) {
        String written = shape.has(4) ? name.toLowerCase(Locale.ROOT) : name;
        return "<" + written + ":" + length + (shape.has(8) && length > 0 ? ":S" : "") + ">";
    }

    private static byte[] gzip(byte[] bytes) throws IOException {
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (GZIPOutputStream out = new GZIPOutputStream(packed)) {
            out.write(bytes);
        }
        return packed.toByteArray();
    }

    private static byte[] zip(byte[] bytes) throws IOException {
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (ZipOutputStream out = new ZipOutputStream(packed)) {
            out.putNextEntry(new ZipEntry("logs/"));
            out.putNextEntry(new ZipEntry("logs/mine.adi"));
            out.write(bytes);
        }
        return packed.toByteArray();
    }

    private static List<AdifRecord> read(byte[] bytes) throws IOException {
        List<AdifRecord> records = new ArrayList<>();
        LogText log = new LogText(new ByteArrayInputStream(bytes), MAX_BYTES);
        for (AdifRecord record = log.next(); record != null; record = log.next()) {
            records.add(record);
        }
        return records;
    }

    @ParameterizedTest
    @MethodSource("shapes")
    void nothingIsLost(Shape shape) throws Exception {
        List<AdifRecord> records = read(written(shape));
        assertThat(records).extracting(AdifRecord::fault).containsOnlyNulls();
        assertThat(records).extracting(AdifRecord::fields).isEqualTo(CONTACTS);
    }

    @Test
    void theXmlFormIsReadAsItIsWritten() throws Exception {
        assertThat(read(adx(CONTACTS).getBytes(StandardCharsets.UTF_8)))
                .extracting(AdifRecord::fields)
                .isEqualTo(CONTACTS);
    }

    @Test
    void brokenXmlGivesWhatStandsBeforeTheBreak() throws Exception {
        List<AdifRecord> records = read("<ADX><RECORDS><RECORD><CALL>ZP5QXA</CALL></RECORD>\n<RECORD><CALL>OZ1"
                .getBytes(StandardCharsets.UTF_8));
        assertThat(records.get(0).fields().get("CALL")).isEqualTo("ZP5QXA");
        assertThat(records.get(1).fault()).startsWith("The XML breaks in line 2");
    }

    @Test
    void nothingOutsideTheTextIsLookedAt() throws Exception {
        List<AdifRecord> records =
                read(("<?xml version=\"1.0\"?><!DOCTYPE ADX [<!ENTITY x SYSTEM \"file:///etc/hostname\">]>"
                                + "<ADX><RECORDS><RECORD><CALL>&x;</CALL></RECORD></RECORDS></ADX>")
                        .getBytes(StandardCharsets.UTF_8));
        assertThat(records)
                .allMatch(record -> record.fault() != null || record.fields().get("CALL") == null);
    }

    private static String adx(Iterable<AdifFields> contacts) throws XMLStreamException {
        StringWriter text = new StringWriter();
        AdxWriter writer = new AdxWriter(text);
        writer.header(Instant.EPOCH);
        for (AdifFields contact : contacts) {
            writer.record(contact);
        }
        writer.end();
        return text.toString();
    }

    @ParameterizedTest
    @ValueSource(strings = {"UTF-16", "UTF-16LE", "UTF-16BE"})
    void xmlInTheWideLettersThatItDeclares(String charset) throws Exception {
        String text = adx(CONTACTS).replace("UTF-8", "UTF-16");
        List<AdifRecord> records = read(text.getBytes(Charset.forName(charset)));
        assertThat(records).extracting(AdifRecord::fault).containsOnlyNulls();
        assertThat(records).extracting(AdifRecord::fields).isEqualTo(CONTACTS);
    }

    @Test
    void zeroBytesThatFillAFileAreNoText() throws Exception {
        for (byte[] text : List.of(written(new Shape(0b1000)), adx(CONTACTS).getBytes(StandardCharsets.UTF_8))) {
            byte[] padded = new byte[text.length + 20_000];
            System.arraycopy(text, 0, padded, 10_000, text.length);
            List<AdifRecord> records = read(padded);
            assertThat(records).extracting(AdifRecord::fault).containsOnlyNulls();
            assertThat(records).extracting(AdifRecord::fields).isEqualTo(CONTACTS);
        }
        assertThat(read("<CALL:8>ZP5QXA\0\0<NAME:5>Ana\0\0<EOR>".getBytes(StandardCharsets.UTF_8)))
                .extracting(AdifRecord::fields)
                .containsExactly(AdifFields.of("CALL", "ZP5QXA", "NAME", "Ana"));
        assertThatThrownBy(() -> read(new byte[5_000])).hasMessageContaining("only zero bytes");
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void lengthsInCharactersOutsideTheBasicPlane(boolean utf16) throws Exception {
        String name = "\ud83d\udd6f Ana \ud83d\udd6f";
        int length = utf16 ? name.length() : name.codePointCount(0, name.length());
        String text = "<CALL:6>ZP5QXA <NAME:" + length + ">" + name + " <QTH:5>Luque <EOR>\n";
        assertThat(read(text.getBytes(StandardCharsets.UTF_8)))
                .extracting(AdifRecord::fields)
                .containsExactly(AdifFields.of("CALL", "ZP5QXA", "NAME", name, "QTH", "Luque"));
    }

    @Test
    void whatIsPackedAndCutShortIsReadAsFarAsItIsWhole() throws Exception {
        StringBuilder text = new StringBuilder("<EOH>\n");
        Random random = new Random(1);
        for (int i = 0; i < 2_000; i++) {
            text.append("<CALL:6>ZP5QXA <COMMENT:20>" + String.format("%020d", random.nextInt(1 << 30)) + " <EOR>\n");
        }
        for (byte[] packed : List.of(
                gzip(text.toString().getBytes(StandardCharsets.UTF_8)),
                zip(text.toString().getBytes(StandardCharsets.UTF_8)))) {
            List<AdifRecord> records = read(Arrays.copyOf(packed, packed.length / 2));
            AdifRecord last = records.get(records.size() - 1);
            assertThat(last.fault()).contains("cut short or damaged");
            long whole =
                    records.stream().filter(record -> record.fault() == null).count();
            assertThat(whole).isBetween(800L, 1_200L);
            assertThat(records.size() - whole).isLessThanOrEqualTo(2);
        }
        assertThatThrownBy(() -> read(Arrays.copyOf(gzip(new byte[100]), 5))).hasMessageContaining("gzip");
    }

    @Test
    void whatGrowsBeyondMeasureIsStopped() throws Exception {
        byte[] bomb = gzip(new byte[1 << 23]);
        assertThatThrownBy(() -> read(bomb)).isInstanceOf(LogText.NoLog.class);
        StringBuilder blanks = new StringBuilder("<EOH>");
        blanks.append(" ".repeat(1 << 23));
        assertThatThrownBy(() -> read(gzip(blanks.toString().getBytes(StandardCharsets.UTF_8))))
                .hasMessageContaining("no log is");
    }

    @Test
    void whatIsNoLogSaysWhatItIs() {
        assertThatThrownBy(() -> read(new byte[0])).hasMessageContaining("empty");
        assertThatThrownBy(() -> read(new byte[] {(byte) 0x89, 'P', 'N', 'G', 0, 0, 1, 0, 5}))
                .hasMessageContaining("not text");
    }

    @Test
    void aFileOfAGigabyteIsReadInBoundedMemory() throws Exception {
        long size = 1L << 28;
        InputStream endless = new InputStream() {
            private long left = size;

            @Override
            public int read() {
                return left-- > 0 ? 'x' : -1;
            }

            @Override
            public int read(byte[] bytes, int offset, int length) {
                if (left <= 0) {
                    return -1;
                }
                int given = (int) Math.min(length, left);
                java.util.Arrays.fill(bytes, offset, offset + given, (byte) 'x');
                left -= given;
                return given;
            }
        };
        LogText log = new LogText(endless, Long.MAX_VALUE);
        @Nullable AdifRecord record = log.next();
        assertThat(record == null ? "" : String.valueOf(record.fault())).contains("not ADIF");
        assertThat(log.rawRecord().length()).isLessThan(1 << 25);
    }
}
