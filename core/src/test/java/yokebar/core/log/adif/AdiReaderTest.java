package yokebar.core.log.adif;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class AdiReaderTest {

    @Test
    void readsRecordsBehindAHeader() throws IOException {
        List<AdifRecord> records = readAll(
                """
                A log <not a tag> of ours
                <ADIF_VER:5>3.1.4 <PROGRAMID:4>Some<EOH>
                <CALL:6>ZP5QXA <BAND:3>20m <EOR>
                <CALL:6>OZ1QAB<BAND:3>40m<EOR>
                """);
        assertThat(records).extracting(r -> r.fields().get("CALL")).containsExactly("ZP5QXA", "OZ1QAB");
        assertThat(records).extracting(AdifRecord::index).containsExactly(1, 2);
        assertThat(records).allMatch(r -> r.fault() == null && r.fields().size() == 2);
    }

    @ParameterizedTest(name = "{0}")
    @ValueSource(
            strings = {
                "<call:6>ZP5QXA<band:3>20m<eor>",
                "<Call:6:S>ZP5QXA\r\n<Band:3:E>20m\r\n<Eor>\r\n",
                "<CALL:6>ZP5QXA a comment <BAND:3>20m // another\n<EOR>",
                "  <CALL:6>ZP5QXA <BAND:3>20m <NAME:0> <EOR>   ",
                "\uFEFF<CALL:6>ZP5QXA <BAND:3>20m <EOR>",
                "<EOH><CALL:6>ZP5QXA < <: <:3> <X:> <BAND:3>20m<EOR>",
                "<CALL:6>ZP5QXA <BAND:3>20m <EOR><EOR><EOR>",
            })
    void toleratesOtherWaysOfWriting(String text) throws IOException {
        List<AdifRecord> records = readAll(text);
        assertThat(records).hasSize(1);
        assertThat(records.get(0).fields()).isEqualTo(AdifFields.of("CALL", "ZP5QXA", "BAND", "20m"));
    }

    @ParameterizedTest(name = "{0}")
    @ValueSource(
            strings = {
                "<NAME:5>Zoë Q <QTH:1>X <EOR>",
                "<NAME:6>Zoë Q <QTH:1>X <EOR>",
                "<NAME:5>Zoë Q<QTH:1>X<EOR>",
                "<NAME:6>Zoë Q<QTH:1>X<EOR>",
            })
    @DisplayName("lengths may count bytes or characters")
    void lengthsInBytesOrCharacters(String text) throws IOException {
        AdifFields fields = readAll(text).get(0).fields();
        assertThat(fields.get("NAME")).isEqualTo("Zoë Q");
        assertThat(fields.get("QTH")).isEqualTo("X");
    }

    @Test
    @DisplayName("a byte count of UTF-8 over text saved in one byte a letter swallows no tag")
    void recoversAtTheNextTag() throws IOException {
        byte[] bytes = "<NAME:8>São João<QTH:5>Corvo <EOR>".getBytes(Charset.forName("windows-1252"));
        byte[] tooLong = "<NAME:10>São João<QTH:5>Corvo <EOR>".getBytes(Charset.forName("windows-1252"));
        for (byte[] text : List.of(bytes, tooLong)) {
            AdifFields fields = readAll(text).get(0).fields();
            assertThat(fields.get("NAME")).isEqualTo("São João");
            assertThat(fields.get("QTH")).isEqualTo("Corvo");
        }
    }

    @Test
    void keepsMarkupThatIsPartOfAValue() throws IOException {
        String note = "he sent <CALL:6>OZ1QAB and <EOR> by voice";
        AdifFields fields = readAll("<NOTES:" + note.length() + ">" + note + "<CALL:6>ZP5QXA<EOR>")
                .get(0)
                .fields();
        assertThat(fields.get("NOTES")).isEqualTo(note);
        assertThat(fields.get("CALL")).isEqualTo("ZP5QXA");
    }

    @ParameterizedTest(name = "{0}")
    @ValueSource(strings = {"<CALL:6>ZP5QXA <BAND:3>20m", "<CALL:6>ZP5QXA <BAND:3>2", "<CALL:6>ZP5"})
    void reportsACutOffLastRecord(String end) throws IOException {
        List<AdifRecord> records = readAll("<CALL:6>OZ1QAB<EOR>" + end);
        assertThat(records).hasSize(2);
        assertThat(records.get(0).fault()).isNull();
        assertThat(records.get(1).fault()).contains("cut off");
    }

    @ParameterizedTest(name = "\"{0}\"")
    @ValueSource(strings = {"hello", "{\"call\":\"ZP5QXA\"}", "<html><body>"})
    void saysWhenTextIsNoAdif(String text) throws IOException {
        List<AdifRecord> records = readAll(text);
        assertThat(records).hasSize(1);
        assertThat(records.get(0).fault()).contains("not ADIF");
    }

    @Test
    void emptyTextHasNoRecords() throws IOException {
        assertThat(readAll("")).isEmpty();
        assertThat(readAll("header only <ADIF_VER:5>3.1.4<EOH>\n")).isEmpty();
    }

    @Test
    void refusesAMonstrousFieldAndGoesOn() throws IOException {
        List<AdifRecord> records = readAll("<CALL:6>ZP5QXA<NOTES:99999999>short<EOR><CALL:6>OZ1QAB<EOR>");
        assertThat(records.get(0).fault()).contains("NOTES").contains("99999999");
        assertThat(records.get(1).fields().get("CALL")).isEqualTo("OZ1QAB");
    }

    @Test
    void givesRawTextAndLine() throws IOException {
        AdiReader reader = AdiReader.of("head\n<EOH>\n<CALL:6>ZP5QXA\n<EOR>\n\n<CALL:6>OZ1QAB <EOR>\n");
        reader.next();
        assertThat(reader.rawRecord()).isEqualTo("<CALL:6>ZP5QXA\n<EOR>");
        assertThat(reader.line()).isEqualTo(3);
        reader.next();
        assertThat(reader.rawRecord()).isEqualTo("<CALL:6>OZ1QAB <EOR>");
        assertThat(reader.line()).isEqualTo(6);
    }

    @Test
    @DisplayName("where the stream breaks between reads makes no difference")
    void survivesAnyChunking() throws IOException {
        StringBuilder text = new StringBuilder("x<EOH>\n");
        for (int i = 0; i < 60; i++) {
            text.append(
                    AdiWriter.text(AdifFields.of("CALL", "ZP5QXA", "NAME", "Zoë " + i, "NOTES", "n".repeat(i * 7))));
        }
        byte[] bytes = text.toString().getBytes(StandardCharsets.UTF_8);
        List<AdifRecord> whole = readAll(bytes);
        for (int chunk : new int[] {1, 2, 3, 7, 64}) {
            AdiReader reader = new AdiReader(new ByteArrayInputStream(bytes) {
                @Override
                public synchronized int read(byte[] into, int off, int len) {
                    return super.read(into, off, Math.min(len, chunk));
                }
            });
            assertThat(drain(reader)).isEqualTo(whole);
        }
        assertThat(whole).hasSize(60).allMatch(r -> r.fault() == null);
    }

    private static List<AdifRecord> readAll(String text) throws IOException {
        return readAll(text.getBytes(StandardCharsets.UTF_8));
    }

    private static List<AdifRecord> readAll(byte[] text) throws IOException {
        return drain(new AdiReader(new ByteArrayInputStream(text)));
    }

    private static List<AdifRecord> drain(AdiReader reader) throws IOException {
        List<AdifRecord> records = new ArrayList<>();
        for (AdifRecord next = reader.next(); next != null; next = reader.next()) {
            records.add(next);
        }
        return records;
    }
}
