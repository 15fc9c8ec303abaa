package yokebar.core.services.confirm;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import yokebar.core.log.adif.AdifFields;

/**
 * What the fields of a record say of its confirmation elsewhere. Such fields are known by their pattern: {@code …QSL_RCVD} and
 * {@code …QSL_SENT}, and {@code …QSO_UPLOAD_STATUS}; what stands before is the service's name as ADIF writes it, and where
 * nothing does it is the paper card.
 */
public final class ConfirmationMarks {
    /** The origin of marks that name no service. */
    public static final String PAPER = "paper card";

    private static final String RECEIVED = "QSL_RCVD";
    private static final String SENT = "QSL_SENT";
    private static final String UPLOADED = "QSO_UPLOAD_STATUS";
    private static final String RECEIVED_ON = "QSLRDATE";
    /** Y: yes; V: yes, and counted for an award already. */
    private static final Set<String> YES = Set.of("Y", "V");

    private ConfirmationMarks() {}

    /** How far a contact came at a service. */
    public enum Kind {
        /** It was given there. */
        GIVEN,
        /** The other side confirmed it. */
        CONFIRMED
    }

    /**
     * A mark.
     *
     * @param origin the service's name as its fields begin, in lower case, or {@link #PAPER}
     * @param field the field that says so
     * @param day since when, UTC; null when it does not say
     */
    public record Mark(String origin, Kind kind, String field, @Nullable LocalDate day) {}

    /** At most one mark for each origin: a confirmed one says more than that it was given. */
    public static List<Mark> of(AdifFields fields) {
        Map<String, Mark> marks = new TreeMap<>();
        for (int i = 0; i < fields.size(); i++) {
            String name = fields.name(i);
            Kind kind = kind(name);
            if (kind != null && YES.contains(fields.value(i).strip().toUpperCase(Locale.ROOT))) {
                String origin = origin(name);
                Mark known = marks.get(origin);
                if (known == null || known.kind() == Kind.GIVEN) {
                    LocalDate day = kind == Kind.CONFIRMED ? day(fields, name) : null;
                    marks.put(origin, new Mark(origin, kind, name, day));
                }
            }
        }
        return List.copyOf(marks.values());
    }

    /** By whom it is confirmed, with commas between; null when by nobody. */
    public static @Nullable String confirmedBy(AdifFields fields) {
        List<String> origins = new ArrayList<>();
        for (int i = 0; i < fields.size(); i++) {
            if (fields.name(i).endsWith(RECEIVED)) {
                origins = of(fields).stream()
                        .filter(mark -> mark.kind() == Kind.CONFIRMED)
                        .map(Mark::origin)
                        .toList();
                break;
            }
        }
        return origins.isEmpty() ? null : String.join(",", origins);
    }

    private static @Nullable Kind kind(String name) {
        if (endsWithWord(name, RECEIVED)) {
            return Kind.CONFIRMED;
        }
        return endsWithWord(name, SENT) || endsWithWord(name, UPLOADED) ? Kind.GIVEN : null;
    }

    private static boolean endsWithWord(String name, String word) {
        return name.equals(word) || name.endsWith("_" + word);
    }

    private static String origin(String name) {
        for (String word : List.of(RECEIVED, SENT, UPLOADED)) {
            if (name.equals(word)) {
                return PAPER;
            }
            if (name.endsWith("_" + word)) {
                return name.substring(0, name.length() - word.length() - 1).toLowerCase(Locale.ROOT);
            }
        }
        throw new IllegalArgumentException(name);
    }

    private static @Nullable LocalDate day(AdifFields fields, String received) {
        String text = fields.get(received.substring(0, received.length() - RECEIVED.length()) + RECEIVED_ON);
        try {
            return text == null ? null : LocalDate.parse(text.strip(), DateTimeFormatter.BASIC_ISO_DATE);
        } catch (DateTimeParseException e) {
            return null;
        }
    }
}
