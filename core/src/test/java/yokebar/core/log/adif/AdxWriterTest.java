package yokebar.core.log.adif;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayInputStream;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import org.w3c.dom.Element;

class AdxWriterTest {

    @Test
    void writesXmlThatAParserReadsBack() throws Exception {
        StringWriter text = new StringWriter();
        AdxWriter adx = new AdxWriter(text);
        adx.header(Instant.parse("2026-11-23T14:07:31Z"));
        adx.record(AdifFields.of("CALL", "ZP5QXA", "COMMENT", "a < b & \"c\"\u0001 é", "APP_WAVELET_DT", "0.2"));
        adx.record(AdifFields.of("CALL", "K1QAB"));
        adx.end();
        Document document = DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new ByteArrayInputStream(text.toString().getBytes(StandardCharsets.UTF_8)));
        assertEquals("ADX", document.getDocumentElement().getTagName());
        assertEquals(2, document.getElementsByTagName("RECORD").getLength());
        Element first = (Element) document.getElementsByTagName("RECORD").item(0);
        assertEquals(
                "a < b & \"c\" é", first.getElementsByTagName("COMMENT").item(0).getTextContent());
        Element app = (Element) first.getElementsByTagName("APP").item(0);
        assertEquals("WAVELET", app.getAttribute("PROGRAMID"));
        assertEquals("DT", app.getAttribute("FIELDNAME"));
        assertEquals("0.2", app.getTextContent());
        assertTrue(text.toString().contains("20261123 140731"));
    }
}
