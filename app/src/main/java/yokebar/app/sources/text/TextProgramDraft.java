package yokebar.app.sources.text;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import yokebar.app.platform.rejection.Rejection;
import yokebar.links.platform.wire.DeviceAddress;

/**
 * A program with decoders as it is typed.
 *
 * @param name what the operator calls it
 * @param address host and port, such as {@code 127.0.0.1:7415}
 * @param sendTexts whether it may send texts for the operator; left out, it stays as it is, and is off at first
 */
record TextProgramDraft(@Nullable String name, @Nullable String address, @Nullable Boolean sendTexts) {
    private static final int LONGEST_NAME = 60;

    /** Takes over what was typed, or says at each field what is wrong. */
    void fill(TextProgramRow row) {
        List<Rejection.Field> problems = new ArrayList<>();
        row.name = name == null ? "" : name.strip();
        if (row.name.isEmpty() || row.name.length() > LONGEST_NAME) {
            problems.add(new Rejection.Field("name", "A program needs a name of up to 60 letters."));
        }
        row.address = address == null ? "" : address.strip();
        try {
            DeviceAddress.of(row.address, null);
        } catch (IllegalArgumentException e) {
            problems.add(new Rejection.Field("address", String.valueOf(e.getMessage())));
        }
        if (sendTexts != null) {
            row.sendTexts = sendTexts;
        }
        if (!problems.isEmpty()) {
            throw new Rejection(problems);
        }
    }
}
