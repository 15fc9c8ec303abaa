package yokebar.core.log.contact;

import java.time.Duration;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * When two records are one contact. Always: same own call, same partner, same band, compatible mode, and no different serials
 * or exchanges. Then it depends on how they came (see {@link Paths}).
 */
public final class SameContact {
    /** By different paths, starts this close are one contact. */
    public static final Duration CLOSE = Duration.ofMinutes(3);
    /** By different paths, starts this close are one contact when one time has no seconds and the reports agree. */
    public static final Duration VAGUE = Duration.ofMinutes(30);

    private static final List<String> EXCHANGES = List.of("STX", "SRX", "STX_STRING", "SRX_STRING");

    /** How two records came into the log. */
    public enum Paths {
        /** From two programs, files or people, whose clocks and care differ: see {@link #CLOSE} and {@link #VAGUE}. */
        DIFFERENT,
        /**
         * From one file, one stream or one keyboard. A program does not log one contact twice a few minutes apart, so the starts
         * must agree to the minute and the reports must not differ, unless the starts agree to the second: then it is a
         * correction.
         */
        SAME
    }

    private SameContact() {}

    public static boolean same(Contact a, Contact b, Paths paths) {
        if (!a.call().equals(b.call())
                || !a.ownCall().equals(b.ownCall())
                || a.band() != b.band()
                || !a.mode().compatibleWith(b.mode())
                || EXCHANGES.stream().anyMatch(field -> differ(a.detail(field), b.detail(field)))) {
            return false;
        }
        if (paths == Paths.SAME) {
            return sameSecond(a, b) || sameMinute(a, b) && !reportsDiffer(a, b);
        }
        Duration apart = apart(a, b);
        if (apart.compareTo(CLOSE) <= 0) {
            return true;
        }
        boolean vague = !a.secondsKnown() || !b.secondsKnown();
        return vague && apart.compareTo(VAGUE) <= 0 && reportsAgree(a, b);
    }

    public static boolean sameMinute(Contact a, Contact b) {
        return a.start().truncatedTo(ChronoUnit.MINUTES).equals(b.start().truncatedTo(ChronoUnit.MINUTES));
    }

    /** The one of these that is nearest in time. */
    public static Optional<LoggedContact> nearest(Contact incoming, Collection<LoggedContact> logged) {
        return logged.stream()
                .min(Comparator.comparing((LoggedContact known) -> apart(incoming, known.contact()))
                        .thenComparing(LoggedContact::id));
    }

    private static Duration apart(Contact a, Contact b) {
        return Duration.between(a.start(), b.start()).abs();
    }

    private static boolean sameSecond(Contact a, Contact b) {
        return a.secondsKnown() && b.secondsKnown() && a.start().equals(b.start());
    }

    private static boolean reportsAgree(Contact a, Contact b) {
        return agree(a, b, "RST_SENT") && agree(a, b, "RST_RCVD");
    }

    private static boolean agree(Contact a, Contact b, String field) {
        return a.detail(field) != null && Objects.equals(a.detail(field), b.detail(field));
    }

    private static boolean reportsDiffer(Contact a, Contact b) {
        return differ(a.detail("RST_SENT"), b.detail("RST_SENT")) || differ(a.detail("RST_RCVD"), b.detail("RST_RCVD"));
    }

    /** Neither of two exchanges is the other or a part of it; {@code 007} and {@code 7} are one. */
    private static boolean differ(@Nullable String a, @Nullable String b) {
        if (a == null || b == null || a.equals(b)) {
            return false;
        }
        List<String> first = parts(a);
        List<String> second = parts(b);
        return !first.containsAll(second) && !second.containsAll(first);
    }

    private static List<String> parts(String exchange) {
        return Arrays.stream(exchange.strip().toUpperCase(Locale.ROOT).split("[\\s,;]+"))
                .map(part -> part.replaceFirst("^0+(?=\\d)", ""))
                .toList();
    }
}
