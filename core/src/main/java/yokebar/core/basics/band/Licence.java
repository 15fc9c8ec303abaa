package yokebar.core.basics.band;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.platform.data.DataLines;
import yokebar.core.platform.data.DataLines.BadLine;

/**
 * What an operator may transmit. From the data file {@code licences.txt}, which says where its limits are from.
 *
 * @param id short and stable
 * @param name as a person knows it
 */
public record Licence(String id, String name, List<Limit> limits) {
    private static final Pattern HEAD = Pattern.compile("\\[\\s*([a-z0-9-]+)\\s*\\|\\s*(.+?)\\s*]");

    public Licence {
        limits = List.copyOf(limits);
    }

    /**
     * What is allowed in a piece of a band.
     *
     * @param lowHz inclusive
     * @param highHz inclusive
     * @param maxW most power, W
     */
    public record Limit(long lowHz, long highHz, Set<ModeGroup> groups, int maxW) {}

    private static final class Shipped {
        private static final List<Licence> LICENCES = read(DataLines.textBeside(Licence.class, "licences.txt"));
    }

    /** Those that ship with the application. */
    public static List<Licence> shipped() {
        return Shipped.LICENCES;
    }

    /** Whether anything at all is allowed on a frequency in Hz. */
    public boolean covers(long frequencyHz) {
        return limits.stream().anyMatch(l -> frequencyHz >= l.lowHz() && frequencyHz <= l.highHz());
    }

    /** Why a signal is beyond this licence, as a sentence; empty when it is within. */
    public Optional<String> objection(Signal signal) {
        List<Limit> touched = limits.stream()
                .filter(l -> signal.lowHz() < l.highHz() && signal.highHz() > l.lowHz())
                .toList();
        if (!filled(signal, touched)) {
            return Optional.of(
                    touched.isEmpty()
                            ? name + " has nothing at " + Kilohertz.words(signal.lowHz()) + " kHz."
                            : "The signal fills " + Kilohertz.words(signal.lowHz()) + " to "
                                    + Kilohertz.words(signal.highHz()) + " kHz, beyond an edge of " + name + ".");
        }
        ModeGroup group = signal.group();
        if (group != null && touched.stream().anyMatch(l -> !l.groups().contains(group))) {
            return Optional.of(name + " has no " + words(group) + " at " + Kilohertz.words(signal.lowHz()) + " kHz.");
        }
        int maxW = touched.stream().mapToInt(Limit::maxW).min().orElse(0);
        if (signal.powerW() != null && signal.powerW() > maxW) {
            return Optional.of(name + " allows " + maxW + " W here; the radio is set to " + signal.powerW() + " W.");
        }
        return Optional.empty();
    }

    /** Whether limits, which may meet but have no gap between them, hold the whole signal. */
    private static boolean filled(Signal signal, List<Limit> touched) {
        long from = signal.lowHz();
        for (Limit limit : touched) {
            if (limit.lowHz() <= from && limit.highHz() >= from) {
                from = limit.highHz();
            }
        }
        return !touched.isEmpty() && from >= signal.highHz();
    }

    private static String words(ModeGroup group) {
        return group == ModeGroup.CW ? "CW" : group.name().toLowerCase(Locale.ROOT);
    }

    /**
     * Reads a file of licences and checks every line.
     *
     * @throws BadLine naming the first line that is wrong
     */
    public static List<Licence> read(String text) {
        List<Licence> licences = new ArrayList<>();
        for (DataLines.Line line : DataLines.of(text)) {
            Matcher head = HEAD.matcher(line.text().strip());
            if (head.matches()) {
                licences.add(new Licence(head.group(1), head.group(2), List.of()));
            } else if (licences.isEmpty()) {
                throw new BadLine(line, "a licence begins with [short name | name]");
            } else {
                Licence last = licences.remove(licences.size() - 1);
                List<Limit> limits = new ArrayList<>(last.limits());
                limits.add(limit(line, limits));
                licences.add(new Licence(last.id(), last.name(), limits));
            }
        }
        return List.copyOf(licences);
    }

    private static Limit limit(DataLines.Line line, List<Limit> before) {
        String[] words = line.words();
        if (words.length != 4) {
            throw new BadLine(line, "a limit has two frequencies, mode groups and a power");
        }
        try {
            Set<ModeGroup> groups = EnumSet.noneOf(ModeGroup.class);
            for (String group : words[2].split(",")) {
                groups.addAll(
                        group.equals("ALL") ? EnumSet.allOf(ModeGroup.class) : EnumSet.of(ModeGroup.valueOf(group)));
            }
            Limit limit = new Limit(
                    Kilohertz.read(words[0]), Kilohertz.read(words[1]), Set.copyOf(groups), Integer.parseInt(words[3]));
            long end = before.isEmpty() ? 0 : before.get(before.size() - 1).highHz();
            if (limit.lowHz() >= limit.highHz() || limit.lowHz() < end || limit.maxW() <= 0) {
                throw new BadLine(line, "limits run upward, one after the other, with some power");
            }
            return limit;
        } catch (BadLine e) {
            throw e;
        } catch (IllegalArgumentException e) {
            throw new BadLine(line, "it is not a limit (" + e.getMessage() + ")");
        }
    }
}
