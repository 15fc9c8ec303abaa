package yokebar.core.log.adif;

import java.io.Writer;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Collection;
import java.util.List;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/**
 * Writes ADX, the XML form of ADIF 3.1.x. Application fields become {@code APP} elements, fields whose names are not element names
 * {@code USERDEF} elements; characters XML cannot hold are left out.
 */
public final class AdxWriter {
    private static final DateTimeFormatter CREATED =
            DateTimeFormatter.ofPattern("yyyyMMdd HHmmss").withZone(ZoneOffset.UTC);
    private static final String APP_PREFIX = "APP_";

    private final XMLStreamWriter xml;

    public AdxWriter(Writer out) throws XMLStreamException {
        this.xml = XMLOutputFactory.newDefaultFactory().createXMLStreamWriter(out);
    }

    /** @param created when the file is made, UTC */
    public void header(Instant created) throws XMLStreamException {
        header(created, List.of());
    }

    /**
     * @param created when the file is made, UTC
     * @param names of the fields that will come; those that ADIF cannot know are declared as user-defined
     */
    public void header(Instant created, Collection<String> names) throws XMLStreamException {
        xml.writeStartDocument("UTF-8", "1.0");
        xml.writeStartElement("ADX");
        xml.writeStartElement("HEADER");
        element("ADIF_VER", "3.1.4");
        element("PROGRAMID", "Yokebar");
        element("CREATED_TIMESTAMP", CREATED.format(created));
        List<String> userDefined = OddName.odd(names);
        for (int i = 0; i < userDefined.size(); i++) {
            xml.writeStartElement("USERDEF");
            xml.writeAttribute("FIELDID", Integer.toString(i + 1));
            xml.writeAttribute("TYPE", "S");
            characters(userDefined.get(i));
            xml.writeEndElement();
        }
        xml.writeEndElement();
        xml.writeStartElement("RECORDS");
    }

    public void record(AdifFields fields) throws XMLStreamException {
        xml.writeStartElement("RECORD");
        for (int i = 0; i < fields.size(); i++) {
            field(fields.name(i), fields.value(i));
        }
        xml.writeEndElement();
        xml.writeCharacters("\n");
    }

    /** Closes the elements and flushes. */
    public void end() throws XMLStreamException {
        xml.writeEndElement();
        xml.writeEndElement();
        xml.writeEndDocument();
        xml.flush();
    }

    private void field(String name, String value) throws XMLStreamException {
        int program = name.startsWith(APP_PREFIX) ? name.indexOf('_', APP_PREFIX.length()) : -1;
        if (program < 0 && !OddName.isOdd(name)) {
            element(name, value);
            return;
        }
        if (program < 0) {
            xml.writeStartElement("USERDEF");
            xml.writeAttribute("FIELDNAME", OddName.written(name));
        } else {
            String written = OddName.written(name);
            xml.writeStartElement("APP");
            xml.writeAttribute("PROGRAMID", written.substring(APP_PREFIX.length(), program));
            xml.writeAttribute("FIELDNAME", written.substring(program + 1));
            xml.writeAttribute("TYPE", "S");
        }
        characters(value);
        xml.writeEndElement();
    }

    private void element(String name, String value) throws XMLStreamException {
        xml.writeStartElement(name);
        characters(value);
        xml.writeEndElement();
    }

    /** A carriage return must be written as a reference: a reader takes one as written for the end of a line. */
    private void characters(String value) throws XMLStreamException {
        String text = printable(value);
        int from = 0;
        for (int at = text.indexOf('\r'); at >= 0; at = text.indexOf('\r', from)) {
            xml.writeCharacters(text.substring(from, at));
            xml.writeEntityRef("#xD");
            from = at + 1;
        }
        xml.writeCharacters(text.substring(from));
    }

    private static String printable(String value) {
        StringBuilder clean = new StringBuilder(value.length());
        value.codePoints()
                .filter(c -> c == '\t'
                        || c == '\n'
                        || c == '\r'
                        || c >= 0x20 && c <= 0xD7FF
                        || c >= 0xE000 && c <= 0xFFFD
                        || c >= 0x10000)
                .forEach(clean::appendCodePoint);
        return clean.toString();
    }
}
