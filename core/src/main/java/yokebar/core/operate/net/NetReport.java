package yokebar.core.operate.net;

import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** The report of a net session, as text to paste. */
public final class NetReport {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ISO_LOCAL_DATE.withZone(ZoneOffset.UTC);
    private static final DateTimeFormatter MINUTE =
            DateTimeFormatter.ofPattern("HH:mm").withZone(ZoneOffset.UTC);

    private NetReport() {}

    /**
     * A session.
     *
     * @param control the call of net control; null when it is not known
     * @param channel frequency and mode in words, such as {@code 145.700 MHz FM, repeater Pico}
     * @param missing regulars who did not check in
     */
    public record Session(
            String net,
            @Nullable String control,
            String channel,
            Instant started,
            @Nullable Instant ended,
            List<Row> rows,
            List<String> missing) {}

    /**
     * A check-in.
     *
     * @param call the call, or the part of it that was heard
     * @param sessions in how many earlier sessions of the net it was
     */
    public record Row(
            String call,
            @Nullable String name,
            @Nullable String via,
            Set<CheckInMark> marks,
            @Nullable String note,
            Instant at,
            int sessions) {

        private String words() {
            List<String> words = new ArrayList<>();
            if (name != null) {
                words.add(name);
            }
            if (via != null) {
                words.add("relayed by " + via);
            }
            marks.stream().sorted().map(CheckInMark::word).forEach(words::add);
            if (sessions == 0) {
                words.add("first time");
            }
            if (note != null) {
                words.add(note);
            }
            return String.join(", ", words);
        }
    }

    /** Plain text, one check-in a line. */
    public static String text(Session session) {
        List<String> lines = new ArrayList<>();
        lines.add(session.net() + ", " + DAY.format(session.started()) + ", " + MINUTE.format(session.started())
                + (session.ended() == null ? "" : " to " + MINUTE.format(session.ended())) + " UTC");
        lines.add(session.channel());
        if (session.control() != null) {
            lines.add("Net control: " + session.control());
        }
        lines.add("");
        int number = 1;
        for (Row row : session.rows()) {
            lines.add("%2d. %s  %-10s %s"
                    .formatted(number++, MINUTE.format(row.at()), row.call(), row.words())
                    .stripTrailing());
        }
        lines.add("");
        lines.add(counts(session.rows()));
        if (!session.missing().isEmpty()) {
            lines.add("Regulars not heard: " + String.join(", ", session.missing()) + ".");
        }
        return String.join("\n", lines) + "\n";
    }

    private static String counts(List<Row> rows) {
        long fresh = rows.stream().filter(row -> row.sessions() == 0).count();
        long traffic = rows.stream()
                .filter(row -> row.marks().contains(CheckInMark.TRAFFIC))
                .count();
        return rows.size() + (rows.size() == 1 ? " check-in, " : " check-ins, ") + fresh + " for the first time, "
                + traffic + " with traffic.";
    }
}
