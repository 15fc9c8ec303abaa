package yokebar.core.log.adif;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import org.w3c.dom.Element;

class OddNamesTest {

    private static AdifFields named(String name) {
        return AdifFields.of("CALL", "ZP5QXA", name, "lit");
    }

    private static String adx(AdifFields fields) throws Exception {
        StringWriter text = new StringWriter();
        AdxWriter adx = new AdxWriter(text);
        adx.header(Instant.EPOCH, fields.names());
        adx.record(fields);
        adx.end();
        return text.toString();
    }

    private static Document parsed(String adx) throws Exception {
        return DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new ByteArrayInputStream(adx.getBytes(StandardCharsets.UTF_8)));
    }

    @Test
    void aUserDefinedFieldIsDeclaredAndWrittenAsOne() throws Exception {
        Document document = parsed(adx(named("LAMP ROOM & CO/2")));
        Element declared =
                (Element) ((Element) document.getElementsByTagName("HEADER").item(0))
                        .getElementsByTagName("USERDEF")
                        .item(0);
        assertThat(declared.getTextContent()).isEqualTo("LAMP ROOM & CO/2");
        assertThat(declared.getAttribute("FIELDID")).isEqualTo("1");
        Element value =
                (Element) ((Element) document.getElementsByTagName("RECORD").item(0))
                        .getElementsByTagName("USERDEF")
                        .item(0);
        assertThat(value.getAttribute("FIELDNAME")).isEqualTo("LAMP ROOM & CO/2");
        assertThat(value.getTextContent()).isEqualTo("lit");
    }

    @Test
    void namesWithBlanksAreReadFromText() throws Exception {
        AdiReader reader = AdiReader.of("Log <a note: 5> of <lamp rooms>\n<USERDEF1:9:E>LAMP ROOM,{lit,dark} <EOH>\n"
                + "<CALL:6>ZP5QXA <lamp room:3>lit <EOR>\n<CALL:6>ZP5QXB <Lamp Room:4:S>dark<EOR>");
        assertThat(reader.next().fields()).isEqualTo(named("LAMP ROOM"));
        assertThat(reader.next().fields().get("LAMP ROOM")).isEqualTo("dark");
        assertThat(reader.next()).isNull();
    }

    @Test
    void whatAdifForbidsInANameBecomesAnUnderscore() throws Exception {
        String text = AdiWriter.text(named("A:B,<C>{D}"));
        assertThat(text).contains("<A_B__C__D_:3>lit");
        assertThat(AdiReader.of(text).next().fields().get("A_B__C__D_")).isEqualTo("lit");
    }

    @Test
    void declaredNamesAreOnlyThoseAdifCannotKnow() throws IOException {
        StringBuilder text = new StringBuilder();
        new AdiWriter(text).header(Instant.EPOCH, List.of("CALL", "LAMP ROOM", "MY_RIG", "APP_X_Y"));
        assertThat(text).contains("<USERDEF1:9:S>LAMP ROOM").doesNotContain("USERDEF2");
    }

    /** One record never spoils the others, whatever its names. */
    @Property(tries = 1000)
    void whateverTheNamesTheXmlIsWhole(@ForAll String name, @ForAll String value) throws Exception {
        AdifFields.Builder odd = new AdifFields.Builder();
        odd.put("CALL", "ZP5QXA").put(name.isEmpty() ? "X" : name, value).put("APP_" + name, value);
        StringWriter text = new StringWriter();
        AdxWriter adx = new AdxWriter(text);
        adx.header(Instant.EPOCH, odd.build().names());
        adx.record(odd.build());
        adx.record(named("NAME"));
        adx.end();
        AdxReader reader =
                new AdxReader(new ByteArrayInputStream(text.toString().getBytes(StandardCharsets.UTF_8)));
        assertThat(reader.next().fault()).isNull();
        assertThat(reader.next().fields()).isEqualTo(named("NAME"));
        assertThat(reader.next()).isNull();
        AdiReader adi = AdiReader.of(AdiWriter.text(odd.build()) + AdiWriter.text(named("NAME")));
        assertThat(adi.next().fault()).isNull();
        assertThat(adi.next().fields()).isEqualTo(named("NAME"));
    }
}
