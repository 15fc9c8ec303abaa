package yokebar.core.contact;

import java.time.Duration;
import java.util.Collection;
import java.util.Comparator;
import java.util.Objects;
import java.util.Optional;

/**
 * When two records are one contact: same own call, same partner, same band, compatible mode, starts within three minutes;
 * or within thirty minutes if one of them has no seconds, as what is typed in later by hand, and the reports agree.
 */
public final class SameContact {
    /** Starts this close are one contact whatever else. */
    public static final Duration CLOSE = Duration.ofMinutes(3);
    /** Starts this close are one contact when one time is vague and the reports agree. */
    public static final Duration VAGUE = Duration.ofMinutes(30);

    private SameContact() {}

    public static boolean same(Contact a, Contact b) {
        if (!a.call().equals(b.call())
                || !a.ownCall().equals(b.ownCall())
                || a.band() != b.band()
                || !a.mode().compatibleWith(b.mode())) {
            return false;
        }
        Duration apart = apart(a, b);
        if (apart.compareTo(CLOSE) <= 0) {
            return true;
        }
        boolean vague = !a.secondsKnown() || !b.secondsKnown();
        return vague && apart.compareTo(VAGUE) <= 0 && reportsAgree(a, b);
    }

    /** The one among the logged contacts that the incoming one is, the nearest in time when several could be. */
    public static Optional<LoggedContact> find(Contact incoming, Collection<LoggedContact> logged) {
        return logged.stream()
                .filter(known -> same(incoming, known.contact()))
                .min(Comparator.comparing((LoggedContact known) -> apart(incoming, known.contact()))
                        .thenComparing(LoggedContact::id));
    }

    private static Duration apart(Contact a, Contact b) {
        return Duration.between(a.start(), b.start()).abs();
    }

    private static boolean reportsAgree(Contact a, Contact b) {
        return agree(a, b, "RST_SENT") && agree(a, b, "RST_RCVD");
    }

    private static boolean agree(Contact a, Contact b, String field) {
        return a.detail(field) != null && Objects.equals(a.detail(field), b.detail(field));
    }
}
