package yokebar.app.sources.intake;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import yokebar.core.log.adif.AdiReader;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.adif.AdifRecord;
import yokebar.core.log.contact.FilledFields;

/** Makes arrivals out of ADI text. */
public final class Arrivals {
    /** A longer record is refused: no contact is that long, so something else is in it. */
    public static final int MAX_RECORD_CHARACTERS = 65_536;

    private Arrivals() {}

    /** Everything a piece of text holds; text with nothing in it is one refused arrival. */
    public static List<Arrival> of(byte[] text, String sender, Instant arrivedAt) {
        List<Arrival> arrivals = new ArrayList<>();
        AdiReader reader = new AdiReader(new ByteArrayInputStream(text));
        try {
            for (AdifRecord record = reader.next(); record != null; record = reader.next()) {
                arrivals.add(of(record, reader.rawRecord(), sender, arrivedAt));
            }
        } catch (IOException e) {
            throw new IllegalStateException("reading from memory does not fail", e);
        }
        if (arrivals.isEmpty()) {
            arrivals.add(new Arrival(sender, arrivedAt, "", AdifFields.EMPTY, "There is no record in it.", null));
        }
        return arrivals;
    }

    public static Arrival of(AdifRecord record, String raw, String sender, Instant arrivedAt) {
        return new Arrival(sender, arrivedAt, raw, FilledFields.strip(record.fields()), fault(record, raw), null);
    }

    private static @Nullable String fault(AdifRecord record, String raw) {
        if (record.fault() != null) {
            return record.fault();
        }
        return raw.length() <= MAX_RECORD_CHARACTERS
                ? null
                : "The record is " + raw.length() + " characters long; the most is " + MAX_RECORD_CHARACTERS + ".";
    }
}
