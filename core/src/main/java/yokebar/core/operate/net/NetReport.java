package yokebar.core.operate.net;

import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The report of a net session.
 *
 * @param title the net, its day and its time
 * @param head where it was, and who led it
 * @param lines the check-ins in their order
 * @param summary counts, and who was missed
 */
public record NetReport(String title, List<String> head, List<Line> lines, List<String> summary) {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ISO_LOCAL_DATE.withZone(ZoneOffset.UTC);
    private static final DateTimeFormatter MINUTE =
            DateTimeFormatter.ofPattern("HH:mm").withZone(ZoneOffset.UTC);

    /**
     * A session.
     *
     * @param control the call of net control; null when it is not known
     * @param channel frequency and mode in words, such as {@code 145.700 MHz FM, repeater Pico}
     * @param words the words for what stations say of themselves
     * @param missing regulars who did not check in
     */
    public record Session(
            String net,
            @Nullable String control,
            String channel,
            Instant started,
            @Nullable Instant ended,
            MarkWords words,
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

        private String remarks(MarkWords words) {
            List<String> remarks = new ArrayList<>();
            if (name != null) {
                remarks.add(name);
            }
            if (via != null) {
                remarks.add("relayed by " + via);
            }
            marks.stream().sorted().map(words::of).forEach(remarks::add);
            if (sessions == 0) {
                remarks.add("first time");
            }
            if (note != null) {
                remarks.add(note);
            }
            return String.join(", ", remarks);
        }
    }

    /**
     * A check-in as it is read.
     *
     * @param number from 1
     * @param time hour and minute, UTC
     */
    public record Line(int number, String time, String call, String remarks) {}

    public static NetReport of(Session session) {
        List<String> head = new ArrayList<>();
        head.add(session.channel());
        if (session.control() != null) {
            head.add("Net control: " + session.control());
        }
        List<Line> lines = new ArrayList<>();
        for (Row row : session.rows()) {
            lines.add(new Line(lines.size() + 1, MINUTE.format(row.at()), row.call(), row.remarks(session.words())));
        }
        List<String> summary = new ArrayList<>();
        summary.add(counts(session.rows()));
        if (!session.missing().isEmpty()) {
            summary.add("Regulars not heard: " + String.join(", ", session.missing()) + ".");
        }
        String title = session.net() + ", " + DAY.format(session.started()) + ", " + MINUTE.format(session.started())
                + (session.ended() == null ? "" : " to " + MINUTE.format(session.ended())) + " UTC";
        return new NetReport(title, head, lines, summary);
    }

    /** Plain text to paste, one check-in a line. */
    public String text() {
        List<String> text = new ArrayList<>();
        text.add(title);
        text.addAll(head);
        text.add("");
        for (Line line : lines) {
            text.add("%2d. %s  %-10s %s"
                    .formatted(line.number(), line.time(), line.call(), line.remarks())
                    .stripTrailing());
        }
        text.add("");
        text.addAll(summary);
        return String.join("\n", text) + "\n";
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
