package yokebar.core.adif;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import org.jspecify.annotations.Nullable;

/**
 * Reads ADI records one by one from a stream, tolerantly: any case, a missing header, comments between fields, lengths in
 * bytes or characters, a cut-off last record (given with a fault). Memory stays bounded by the largest record.
 */
public final class AdiReader {
    private final AdiScanner scanner;
    private final AdifFields.Builder fields = new AdifFields.Builder();
    private int index;
    private boolean finished;

    public AdiReader(InputStream in) {
        scanner = new AdiScanner(in);
    }

    public static AdiReader of(String text) {
        return new AdiReader(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)));
    }

    /**
     * @return the next record, or null at the end of the text
     * @throws IOException only when the stream itself fails
     */
    public @Nullable AdifRecord next() throws IOException {
        if (finished) {
            return null;
        }
        scanner.startRecord();
        fields.clear();
        boolean some = false;
        String fault = null;
        while (true) {
            switch (scanner.next()) {
                case FIELD -> {
                    fields.putInterned(scanner.name(), scanner.value());
                    some = true;
                }
                case OVERSIZE_FIELD -> {
                    some = true;
                    fault = "Field " + scanner.name() + " says it is " + scanner.valueBytes()
                            + " bytes long; the most is " + AdiScanner.MOST_FIELD_BYTES + ".";
                }
                case END_OF_HEADER -> {
                    fields.clear();
                    some = false;
                    fault = null;
                    scanner.startRecord();
                }
                case END_OF_RECORD -> {
                    if (some) {
                        return new AdifRecord(++index, fields.build(), fault);
                    }
                    scanner.startRecord();
                }
                case END_OF_TEXT -> {
                    finished = true;
                    boolean cutOff = some || scanner.endedInsideValue();
                    boolean foreign = index == 0 && !rawRecord().isEmpty();
                    return cutOff || foreign ? withoutEnd(fields.build(), cutOff) : null;
                }
            }
        }
    }

    private AdifRecord withoutEnd(AdifFields fields, boolean cutOff) {
        String fault = cutOff
                ? "The record is cut off: it does not end with <EOR>. Send it again whole."
                : "This is not ADIF: no field such as <CALL:6> is in it.";
        return new AdifRecord(++index, fields, fault);
    }

    /** The text of the record just read, as it came. */
    public String rawRecord() {
        return scanner.rawRecord();
    }

    /** The line, counted from 1, on which the record just read starts. */
    public long line() {
        return scanner.lineOfRecord();
    }
}
