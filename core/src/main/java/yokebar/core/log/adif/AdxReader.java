package yokebar.core.log.adif;

import java.io.InputStream;
import java.io.Reader;
import java.util.Locale;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.jspecify.annotations.Nullable;

/**
 * Reads the records of ADX, the XML form of ADIF 3.1.x. Nothing outside the text is ever looked at: document types and
 * outside entities are off. Where the XML breaks, the records before it are read and the rest is one record with a fault.
 */
public final class AdxReader implements RecordReader {
    private final Opening opening;
    private @Nullable XMLStreamReader xml;
    private int index;
    private long line = 1;
    private String raw = "";
    private boolean finished;

    /** Text in the character set that it declares. */
    public AdxReader(InputStream in) {
        this.opening = factory -> factory.createXMLStreamReader(in);
    }

    /** Text whose character set is known, whatever it declares. */
    public AdxReader(Reader in) {
        this.opening = factory -> factory.createXMLStreamReader(in);
    }

    private interface Opening {
        XMLStreamReader open(XMLInputFactory factory) throws XMLStreamException;
    }

    @Override
    public @Nullable AdifRecord next() {
        if (finished) {
            return null;
        }
        try {
            // Making it reads the first line, which may be broken, too.
            XMLStreamReader reader = xml == null ? reader(opening) : xml;
            xml = reader;
            while (reader.hasNext()) {
                int event = reader.next();
                if (event == XMLStreamConstants.END_ELEMENT
                        && reader.getLocalName().equalsIgnoreCase("ADX")) {
                    // Whatever stands behind it, such as the zero bytes some programs fill a file with, is not a part
                    // of
                    // it.
                    break;
                }
                boolean element = event == XMLStreamConstants.START_ELEMENT;
                if (element && reader.getLocalName().equalsIgnoreCase("RECORD")) {
                    line = reader.getLocation().getLineNumber();
                    AdifFields fields = record(reader);
                    raw = AdiWriter.text(fields);
                    return new AdifRecord(++index, fields, null, true);
                }
            }
            finished = true;
            return null;
        } catch (XMLStreamException | RuntimeException e) {
            finished = true;
            line = xml == null ? 1 : Math.max(1, xml.getLocation().getLineNumber());
            raw = "";
            return new AdifRecord(
                    ++index,
                    AdifFields.EMPTY,
                    "The XML breaks in line " + line + ": " + firstLine(e.getMessage())
                            + ". What is before it was read; correct the file there and import it again.",
                    false);
        }
    }

    private static XMLStreamReader reader(Opening opening) throws XMLStreamException {
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        factory.setProperty(XMLInputFactory.IS_COALESCING, true);
        // What is wrong is told by the exception; the parser would print it, too.
        factory.setXMLReporter((message, kind, about, location) -> {});
        return opening.open(factory);
    }

    @Override
    public String rawRecord() {
        return raw;
    }

    @Override
    public long line() {
        return line;
    }

    private static AdifFields record(XMLStreamReader xml) throws XMLStreamException {
        AdifFields.Builder fields = new AdifFields.Builder();
        int event = xml.next();
        while (event != XMLStreamConstants.END_ELEMENT) {
            if (event == XMLStreamConstants.START_ELEMENT) {
                String name = name(xml);
                String value = text(xml);
                if (!name.isEmpty()
                        && name.length() <= OddName.MAX_BYTES / 3
                        && value.length() <= AdiScanner.MAX_FIELD_BYTES) {
                    fields.put(name, value);
                }
            }
            event = xml.next();
        }
        return fields.build();
    }

    private static String name(XMLStreamReader xml) {
        String element = xml.getLocalName().toUpperCase(Locale.ROOT);
        String field = attribute(xml, "FIELDNAME");
        return switch (element) {
            case "APP" -> field.isEmpty() ? "" : "APP_" + attribute(xml, "PROGRAMID") + "_" + field;
            case "USERDEF" -> field;
            default -> element;
        };
    }

    private static String attribute(XMLStreamReader xml, String name) {
        for (int i = 0; i < xml.getAttributeCount(); i++) {
            if (xml.getAttributeLocalName(i).equalsIgnoreCase(name)) {
                return xml.getAttributeValue(i).strip().toUpperCase(Locale.ROOT);
            }
        }
        return "";
    }

    /** The text of the element, and of whatever a program put inside it. */
    private static String text(XMLStreamReader xml) throws XMLStreamException {
        StringBuilder text = new StringBuilder();
        int depth = 1;
        while (depth > 0) {
            switch (xml.next()) {
                case XMLStreamConstants.START_ELEMENT -> depth++;
                case XMLStreamConstants.END_ELEMENT -> depth--;
                case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA -> {
                    // Kept one character longer than allowed, so that the caller sees that it is too long.
                    if (text.length() <= AdiScanner.MAX_FIELD_BYTES) {
                        text.append(xml.getText());
                    }
                }
                default -> {
                    // comments and the like say nothing
                }
            }
        }
        return text.toString();
    }

    private static String firstLine(@Nullable String message) {
        String text = message == null ? "it is not XML" : message;
        int start = text.lastIndexOf("Message: ");
        return text.substring(start < 0 ? 0 : start + "Message: ".length())
                .lines()
                .findFirst()
                .orElse("")
                .replaceAll("[.\\s]+$", "");
    }
}
