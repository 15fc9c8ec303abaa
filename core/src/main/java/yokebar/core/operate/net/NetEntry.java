package yokebar.core.operate.net;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.call.Call;
import yokebar.core.operate.line.LineText;

/**
 * A line of the net sheet as far as it is typed.
 *
 * <ul>
 *   <li>{@code cu9qyb zp5qxa} whole calls, {@code qlz} a part of one or a name: each is a check-in
 *   <li>{@code via ct1qzz} the station that relays them
 *   <li>{@code traffic}, {@code early}, {@code listening}, or the operator's own words for them: what they say of themselves
 *   <li>{@code 59 57} reports, sent then received; everything behind {@code ;} is the note
 * </ul>
 *
 * @param stations those that check in; none when the line is about a station that has checked in already
 * @param via the relaying station; null when nothing is relayed
 * @param sent the report sent; null when none is typed
 * @param received the report received; null when none is typed
 * @param note null when none is typed
 * @param problems what cannot be taken so, in sentences
 */
public record NetEntry(
        List<Heard> stations,
        @Nullable Heard via,
        Set<CheckInMark> marks,
        @Nullable String sent,
        @Nullable String received,
        @Nullable String note,
        List<String> problems) {

    private static final Pattern REPORT = Pattern.compile("[1-5][1-9][1-9]?");
    private static final Pattern CALL_OR_PART = Pattern.compile("[\\p{L}0-9/]{2,20}");

    /**
     * A station as it was heard.
     *
     * @param text as typed, upper case
     * @param call null when it is only a part of a call, or a name
     */
    public record Heard(String text, @Nullable Call call) {
        static Heard of(String typed) {
            String text = typed.toUpperCase(Locale.ROOT);
            return new Heard(text, LineText.wholeCall(text));
        }
    }

    /** Whether a word is a report as it is given in a net: {@code 59} or {@code 599}. */
    public static boolean isReport(String word) {
        return REPORT.matcher(word).matches();
    }

    /** Never fails: what cannot be understood is among the problems. */
    public static NetEntry read(String text, MarkWords words) {
        int noteAt = text.indexOf(';');
        String note = noteAt < 0 ? "" : text.substring(noteAt + 1).strip();
        Maker maker = new Maker(words);
        for (String word : (noteAt < 0 ? text : text.substring(0, noteAt)).split("\\s+")) {
            if (!word.isEmpty()) {
                maker.take(word);
            }
        }
        return maker.entry(note.isEmpty() ? null : note);
    }

    private static final class Maker {
        private final MarkWords words;
        private final List<Heard> stations = new ArrayList<>();
        private final Set<CheckInMark> marks = EnumSet.noneOf(CheckInMark.class);
        private final List<String> reports = new ArrayList<>();
        private final List<String> problems = new ArrayList<>();
        private @Nullable Heard via;
        private boolean viaNext;

        Maker(MarkWords words) {
            this.words = words;
        }

        void take(String word) {
            if (viaNext) {
                viaNext = false;
                via = station(word);
            } else if (word.equalsIgnoreCase("via")) {
                viaNext = true;
            } else if (words.named(word).isPresent()) {
                marks.add(words.named(word).get());
            } else if (isReport(word)) {
                reports.add(word);
            } else {
                Heard heard = station(word);
                if (heard != null
                        && stations.stream().noneMatch(other -> other.text().equals(heard.text()))) {
                    stations.add(heard);
                }
            }
        }

        private @Nullable Heard station(String word) {
            if (!CALL_OR_PART.matcher(word).matches()) {
                problems.add("\"" + word + "\" cannot be a call or a part of one.");
                return null;
            }
            return Heard.of(word);
        }

        NetEntry entry(@Nullable String note) {
            if (viaNext) {
                problems.add("Relayed by which station? Write its call after via.");
            }
            if (reports.size() > 2) {
                problems.add("Two reports are enough: the one sent, then the one received.");
            }
            if (!reports.isEmpty() && stations.size() > 1) {
                problems.add("Type the report of one station at a time.");
            }
            return new NetEntry(
                    List.copyOf(stations),
                    via,
                    marks,
                    reports.isEmpty() ? null : reports.get(0),
                    reports.size() < 2 ? null : reports.get(1),
                    note,
                    List.copyOf(problems));
        }
    }
}
