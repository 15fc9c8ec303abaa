package yokebar.core.operate.onair;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.OptionalLong;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import yokebar.core.basics.band.Band;
import yokebar.core.sources.spot.CommentWords;

/**
 * Where a station listens when its spot says that this is not where it sends: {@code up 2}, {@code dn 1-3}, {@code 5 up},
 * {@code qsx 14028.5}, {@code qsx 205}. Only forms that mean it: "picking up", "antenna up 20 m" and a bare "qsx" leave the
 * radio alone.
 */
public final class Split {
    private static final Pattern STEP = Pattern.compile(
            "(?<![A-Z0-9-])(UP|DN|DOWN)[ :]?(\\d{1,2}(?:\\.\\d{1,2})?)(?:(?:-|/| TO )\\d{1,2})?( ?KHZ)?(?!\\.?\\w)");
    private static final Pattern STEP_BEHIND =
            Pattern.compile("(?<![A-Z0-9.-])(\\d{1,2}(?:\\.\\d{1,2})?)(?:-\\d{1,2})? ?(UP|DN|DOWN)(?![A-Z0-9])");
    private static final Pattern BARE = Pattern.compile("(?<![A-Z0-9-])(UP|DN|DOWN)(?![A-Z0-9-])");
    private static final Pattern AT = Pattern.compile(
            "\\b(?:QSX|RX|LISTENING(?: ON)?|LSN|SPLIT)[ :]*(\\d{4,6}(?:\\.\\d{1,3})?|\\d{1,3}\\.\\d{3,4}|\\d{3}(?!\\d))");

    /** What stands behind a number that is not in kHz. */
    private static final Set<String> UNITS = Set.of(
            "M", "MTR", "METER", "METERS", "FT", "FEET", "DB", "W", "WATT", "WATTS", "H", "HR", "HRS", "HOUR", "HOURS",
            "MIN", "MINS", "MINUTES", "DAY", "DAYS", "WEEKS", "YEARS", "S", "S-UNITS", "SUNITS", "FLOORS", "EL", "ELE");
    /** What goes before an "up" that is about something else. */
    private static final Set<String> TALK_BEFORE = Set.of(
            "ANT",
            "ANTENNA",
            "BEAM",
            "DIPOLE",
            "TOWER",
            "YAGI",
            "VERTICAL",
            "WIRE",
            "MAST",
            "BEEN",
            "CAME",
            "COMING",
            "GOING",
            "PICKING",
            "WENT",
            "QSB",
            "BAND",
            "AM",
            "ARE",
            "WAS");
    /** Words that go with a bare "up" that is a step. */
    private static final Set<String> WITH_BARE = Set.of(
            "QSX",
            "SPLIT",
            "LSN",
            "LSTNG",
            "LISTENING",
            "LISTEN",
            "ONLY",
            "NOW",
            "NW",
            "STILL",
            "PSE",
            "STRONG",
            "LOUD",
            "WEAK");

    private static final long BY_KEY_HZ = 1_000;
    private static final long BY_VOICE_HZ = 5_000;
    private static final long FARTHEST_HZ = 100_000;
    private static final int REPORT_DIGITS = 3;
    /** Beyond it a number behind "up" is a report or a farewell. */
    private static final double MAX_KHZ = 50;

    private Split() {}

    /**
     * @param frequencyHz where it sends, Hz
     * @param byKey whether it sends code or data, where the usual step is smaller
     * @return where to call it, Hz; empty when it listens where it sends, or when that is in doubt
     */
    public static OptionalLong listensAt(long frequencyHz, String comment, boolean byKey) {
        String text = comment.toUpperCase(Locale.ROOT);
        Matcher at = AT.matcher(text);
        if (at.find()) {
            return sameBand(frequencyHz, hertz(at.group(1), frequencyHz));
        }
        OptionalLong step = step(frequencyHz, text);
        return step.isPresent() ? step : bare(frequencyHz, text, byKey);
    }

    private static OptionalLong step(long frequencyHz, String text) {
        Matcher step = STEP.matcher(text);
        while (step.find()) {
            if (meansKilohertz(text, step)) {
                return sameBand(frequencyHz, frequencyHz + away(step.group(1), step.group(2)));
            }
        }
        Matcher behind = STEP_BEHIND.matcher(text);
        return behind.find()
                        && Double.parseDouble(behind.group(1)) <= MAX_KHZ
                        && nothingElse(text.substring(behind.end()))
                ? sameBand(frequencyHz, frequencyHz + away(behind.group(2), behind.group(1)))
                : OptionalLong.empty();
    }

    private static boolean meansKilohertz(String text, Matcher step) {
        List<String> before = words(text.substring(0, step.start()));
        List<String> after = words(text.substring(step.end()));
        boolean unit = step.group(3) == null && !after.isEmpty() && UNITS.contains(after.get(0));
        boolean talk = !before.isEmpty() && TALK_BEFORE.contains(before.get(before.size() - 1));
        return !unit && !talk && Double.parseDouble(step.group(2)) <= MAX_KHZ;
    }

    private static boolean nothingElse(String rest) {
        return words(rest).stream().allMatch(word -> WITH_BARE.contains(word) || CommentWords.isNeutral(word));
    }

    /** A bare "up" counts only among words that say nothing else. */
    private static OptionalLong bare(long frequencyHz, String text, boolean byKey) {
        Matcher bare = BARE.matcher(text);
        if (!bare.find() || !nothingElse(text.substring(0, bare.start())) || !nothingElse(text.substring(bare.end()))) {
            return OptionalLong.empty();
        }
        List<String> behind = words(text.substring(bare.end()));
        if (!behind.isEmpty() && isAmount(behind.get(0))) {
            return OptionalLong.empty();
        }
        long away = byKey ? BY_KEY_HZ : BY_VOICE_HZ;
        return sameBand(frequencyHz, bare.group(1).equals("UP") ? frequencyHz + away : frequencyHz - away);
    }

    /** "up 10 dB": by how much of something else. */
    private static boolean isAmount(String word) {
        return Character.isDigit(word.charAt(0)) && !CommentWords.isReport(word) && !CommentWords.isFarewell(word);
    }

    private static long away(String direction, String kilohertz) {
        long hz = Math.round(Double.parseDouble(kilohertz) * 1_000);
        return direction.equals("UP") ? hz : -hz;
    }

    /** kHz, MHz, or the last three digits of the kHz; 0 when it can be none of them. */
    private static long hertz(String text, long frequencyHz) {
        if (text.length() == REPORT_DIGITS) {
            long megahertz = frequencyHz / 1_000_000 * 1_000_000;
            return CommentWords.isReport(text) ? 0 : megahertz + Long.parseLong(text) * 1_000;
        }
        double number = Double.parseDouble(text);
        return Math.round(number < 1_000 ? number * 1_000_000 : number * 1_000);
    }

    private static OptionalLong sameBand(long frequencyHz, long hertz) {
        boolean plausible = Math.abs(hertz - frequencyHz) <= FARTHEST_HZ
                && Band.of(hertz) != null
                && Band.of(hertz) == Band.of(frequencyHz);
        return plausible ? OptionalLong.of(hertz) : OptionalLong.empty();
    }

    private static List<String> words(String text) {
        return Arrays.stream(text.split("[\\s,;:!()\\[\\]]+|\\.(?=\\s|$)"))
                .filter(word -> !word.isEmpty())
                .toList();
    }
}
