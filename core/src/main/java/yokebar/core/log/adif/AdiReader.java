package yokebar.core.log.adif;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import org.jspecify.annotations.Nullable;

/**
 * Reads ADI records one by one from a stream, tolerantly: any case, a missing header, comments between fields, lengths in
 * bytes or characters, a cut-off last record (given with a fault). Memory stays bounded by the largest record.
 */
public final class AdiReader implements RecordReader {
    private final AdiScanner scanner;
    private final AdifFields.Builder fields = new AdifFields.Builder();
    private int index;
    private boolean finished;

    public AdiReader(InputStream in) {
        this(new AdiScanner(in));
    }

    private AdiReader(AdiScanner scanner) {
        this.scanner = scanner;
    }

    public static AdiReader of(String text) {
        byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
        return new AdiReader(new AdiScanner(new ByteArrayInputStream(bytes), bytes.length));
    }

    @Override
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
                            + " bytes long; the most is " + AdiScanner.MAX_FIELD_BYTES + ".";
                }
                case END_OF_HEADER -> {
                    fields.clear();
                    some = false;
                    fault = null;
                    scanner.startRecord();
                }
                case END_OF_RECORD -> {
                    if (some) {
                        return new AdifRecord(++index, fields.build(), fault, true);
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
        return new AdifRecord(++index, fields, fault, false);
    }

    /** The text of the record just read, as it came. */
    @Override
    public String rawRecord() {
        return scanner.rawRecord();
    }

    /** How many bytes of the text lie before the end of the record just read. */
    public long offset() {
        return scanner.offset();
    }

    /** The line, counted from 1, on which the record just read starts. */
    @Override
    public long line() {
        return scanner.lineOfRecord();
    }
}
