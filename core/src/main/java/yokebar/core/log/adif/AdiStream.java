package yokebar.core.log.adif;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** ADI text that comes in pieces of any size: gives each record as soon as its end is there. */
public final class AdiStream {
    /** Text of this length without the end of a record is not ADIF, or was meant for somebody else. */
    public static final int MAX_WAITING_BYTES = 1 << 18;

    private byte[] waiting = {};

    /** A record and its text as it came. */
    public record Entry(AdifRecord record, String raw) {}

    /** @return the records whose end is in this piece, in order */
    public List<Entry> take(byte[] piece, int length) {
        ByteArrayOutputStream joined = new ByteArrayOutputStream(waiting.length + length);
        joined.write(waiting, 0, waiting.length);
        joined.write(piece, 0, length);
        byte[] text = joined.toByteArray();
        List<Entry> records = new ArrayList<>();
        AdiReader reader = new AdiReader(new ByteArrayInputStream(text));
        int end = 0;
        for (AdifRecord record = next(reader); record != null && record.ended(); record = next(reader)) {
            records.add(new Entry(record, reader.rawRecord()));
            end = (int) reader.offset();
        }
        waiting = Arrays.copyOfRange(text, end, text.length);
        return records;
    }

    /** Whether more text waits for the end of its record than any record has; it is forgotten by {@link #rest()}. */
    public boolean overfull() {
        return waiting.length > MAX_WAITING_BYTES;
    }

    /** What still waits when no more comes, as a record with a fault; null when it is only blank. */
    public @Nullable Entry rest() {
        AdiReader reader = new AdiReader(new ByteArrayInputStream(waiting));
        waiting = new byte[0];
        AdifRecord record = next(reader);
        return record == null ? null : new Entry(record, reader.rawRecord());
    }

    private static @Nullable AdifRecord next(AdiReader reader) {
        try {
            return reader.next();
        } catch (IOException e) {
            throw new IllegalStateException("reading from memory does not fail", e);
        }
    }
}
