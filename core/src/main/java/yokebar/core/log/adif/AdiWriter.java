package yokebar.core.log.adif;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Collection;
import java.util.List;

/**
 * Writes ADI text strictly: upper-case names, lengths in UTF-8 bytes, one record a line. Characters that ADIF forbids in the
 * name of a user-defined field become underscores.
 */
public final class AdiWriter {
    private static final DateTimeFormatter CREATED =
            DateTimeFormatter.ofPattern("yyyyMMdd HHmmss").withZone(ZoneOffset.UTC);

    private final Appendable out;

    public AdiWriter(Appendable out) {
        this.out = out;
    }

    /** @param created when the file is made, UTC */
    public void header(Instant created) throws IOException {
        header(created, List.of());
    }

    /**
     * @param created when the file is made, UTC
     * @param names of the fields that will come; those that ADIF cannot know are declared as user-defined
     */
    public void header(Instant created, Collection<String> names) throws IOException {
        out.append("Log of amateur radio contacts written by Yokebar\n");
        field("ADIF_VER", "3.1.4");
        field("PROGRAMID", "Yokebar");
        field("CREATED_TIMESTAMP", CREATED.format(created));
        int number = 0;
        for (String name : OddName.odd(names)) {
            number++;
            out.append("\n<USERDEF" + number + ':' + utf8Length(name) + ":S>" + name);
        }
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
                .append(OddName.written(name))
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
