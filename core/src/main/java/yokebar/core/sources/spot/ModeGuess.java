package yokebar.core.sources.spot;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.StringTokenizer;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.band.BandPlan;
import yokebar.core.basics.band.Segment;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.basics.mode.Modes;
import yokebar.core.sources.radio.ModeMapping;
import yokebar.core.sources.radio.RadioMode;

/** The mode of a spot, which cluster lines do not say: what the comment names, else what is usual at the frequency. */
public final class ModeGuess {
    private static final ModeMapping MAPPING = new ModeMapping(false);

    private static final Set<Segment.Use> DATA = Set.of(Segment.Use.NARROW, Segment.Use.DIGITAL);
    private static final Set<String> NEGATIONS = Set.of("NO", "NOT");
    /** The mode behind one of these is not the one that was heard. */
    private static final Set<String> ANOTHER_BEFORE = Set.of(
            "NEED", "WANT", "PSE", "QSY", "NEXT", "THEN", "TO", "FROM", "ANY", "FOR", "AFTER", "THAN", "OR", "LIVE");

    private static final Set<String> ANOTHER_BEHIND = Set.of("LATER", "OR", "NEXT", "SOON", "IS");
    /** Modes whose names are words or names of people. */
    private static final Set<String> WORDS_TOO = Set.of(
            "AM",
            "FM",
            "OLIVIA",
            "THOR",
            "CHIP",
            "HELL",
            "DOMINO",
            "PAC",
            "PAX",
            "ROS",
            "OPERA",
            "VOI",
            "TOR",
            "FAX",
            "CLO",
            "ATV",
            "DATA",
            "CONTESTI");

    private ModeGuess() {}

    /**
     * @param frequencyHz where it was heard, Hz
     * @param plan of the region the operator is in
     * @return null when neither tells, such as outside all bands
     */
    public static @Nullable Mode of(long frequencyHz, String comment, BandPlan plan) {
        Mode named = named(frequencyHz, comment, plan);
        if (named != null) {
            return named;
        }
        if (Band.of(frequencyHz) == null) {
            return null;
        }
        Mode gathering = MAPPING.toLog(RadioMode.DATA_U, frequencyHz);
        if (gathering != null) {
            return gathering;
        }
        Segment segment = plan.at(frequencyHz);
        if (segment == null) {
            return null;
        }
        return switch (segment.use()) {
            case CW, BEACONS -> new Mode("CW", null);
            case ALL -> MAPPING.toLog(ModeMapping.phoneSideband(frequencyHz), frequencyHz);
            case FM, REPEATERS_IN, REPEATERS_OUT -> new Mode("FM", null);
            // Narrow digital modes are many; to guess one of them would be to invent it.
            default -> null;
        };
    }

    /**
     * The mode a comment names. Names that are words or people, too, count only where nothing else is said and the mode is at home;
     * a comment that names two modes, or speaks of another one ("need cw", "not ft8"), names none.
     */
    static @Nullable Mode named(long frequencyHz, String comment, BandPlan plan) {
        List<String> words = words(comment);
        Mode found = null;
        for (int i = 0; i < words.size(); i++) {
            String word = words.get(i);
            Mode mode = word.length() < 2 ? null : Modes.read(word, null);
            if (mode == null || i > 0 && NEGATIONS.contains(words.get(i - 1))) {
                continue;
            }
            boolean another = i > 0 && ANOTHER_BEFORE.contains(words.get(i - 1))
                    || i + 1 < words.size() && ANOTHER_BEHIND.contains(words.get(i + 1))
                    || WORDS_TOO.contains(mode.name()) && !atHome(mode, frequencyHz, words, plan);
            if (another) {
                continue;
            }
            if (found != null && !found.equals(mode)) {
                return null;
            }
            found = mode;
        }
        return found;
    }

    private static boolean atHome(Mode mode, long frequencyHz, List<String> words, BandPlan plan) {
        boolean alone = words.stream().allMatch(CommentWords::isNeutral);
        if (!alone || mode.group() == ModeGroup.PHONE) {
            // A report, but no other word, may stand beside "am" and "fm".
            return alone && words.stream().noneMatch("QRP"::equals);
        }
        Segment segment = plan.at(frequencyHz);
        return segment != null && DATA.contains(segment.use());
    }

    private static List<String> words(String comment) {
        List<String> words = new ArrayList<>();
        StringTokenizer all = new StringTokenizer(comment.toUpperCase(Locale.ROOT), " ,;.:()[]<>/!?");
        while (all.hasMoreTokens()) {
            words.add(all.nextToken());
        }
        return words;
    }
}
