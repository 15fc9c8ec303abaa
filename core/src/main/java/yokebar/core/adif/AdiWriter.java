package yokebar.core.adif;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;

/** Writes ADI text strictly: upper-case names, lengths in UTF-8 bytes, one record a line. */
public final class AdiWriter {
    private static final DateTimeFormatter CREATED =
            DateTimeFormatter.ofPattern("yyyyMMdd HHmmss").withZone(ZoneOffset.UTC);

    private final Appendable out;

    public AdiWriter(Appendable out) {
        this.out = out;
    }

    /** @param created when the file is made, UTC */
    public void header(Instant created) throws IOException {
        out.append("Log of amateur radio contacts written by Yokebar\n");
        field("ADIF_VER", "3.1.4");
        field("PROGRAMID", "Yokebar");
        field("CREATED_TIMESTAMP", CREATED.format(created));
        out.append("<EOH>\n");
    }

    public void record(AdifFields fields) throws IOException {
        for (int i = 0; i < fields.size(); i++) {
            field(fields.name(i), fields.value(i));
        }
        out.append("<EOR>\n");
    }

    /** One record as text, ending with a line break. */
    public static String text(AdifFields fields) {
        StringBuilder out = new StringBuilder();
        try {
            new AdiWriter(out).record(fields);
        } catch (IOException e) {
            throw new IllegalStateException("a StringBuilder does not fail", e);
        }
        return out.toString();
    }

    private void field(String name, String value) throws IOException {
        out.append('<')
                .append(name)
                .append(':')
                .append(Integer.toString(utf8Length(value)))
                .append('>')
                .append(value)
                .append(' ');
    }

    private static int utf8Length(String value) {
        for (int i = 0; i < value.length(); i++) {
            if (value.charAt(i) >= 0x80) {
                return value.getBytes(StandardCharsets.UTF_8).length;
            }
        }
        return value.length();
    }
}
