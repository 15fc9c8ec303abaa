package yokebar.core.services.delivery;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.call.CallParts;
import yokebar.core.log.contact.Contact;

/**
 * The calls a station may use, with the days of those issued for an occasion. A contact made as another call, or on another day,
 * is most likely a slip, and goes to no service until that is put right.
 *
 * @param calls empty when the station has none yet; then nothing is held
 */
public record OwnCalls(List<OwnCall> calls) {

    /**
     * @param from the first day it may be used, UTC; null for any
     * @param until the last day it may be used, UTC; null for any
     */
    public record OwnCall(Call call, @Nullable LocalDate from, @Nullable LocalDate until) {
        private boolean mayBeUsed(LocalDate day) {
            return (from == null || !day.isBefore(from)) && (until == null || !day.isAfter(until));
        }

        private boolean isOf(Call used) {
            return call.equals(used)
                    || CallParts.of(call).base().equals(CallParts.of(used).base());
        }
    }

    public OwnCalls {
        calls = List.copyOf(calls);
    }

    /** Whether a call is one of the station's on any day. */
    public boolean includes(Call used) {
        return calls.stream().anyMatch(own -> own.isOf(used));
    }

    /** Why a contact is held; empty when its own call is one of the station's on its day. */
    public Optional<Hold> check(Contact contact) {
        List<OwnCall> same =
                calls.stream().filter(own -> own.isOf(contact.ownCall())).toList();
        if (calls.isEmpty()) {
            return Optional.empty();
        }
        if (same.isEmpty()) {
            return Optional.of(
                    Hold.by(Eligibility.Rule.NOT_OWN_CALL).of(contact.ownCall().toString()));
        }
        LocalDate day = contact.start().atZone(ZoneOffset.UTC).toLocalDate();
        return same.stream().anyMatch(own -> own.mayBeUsed(day))
                ? Optional.empty()
                : Optional.of(Hold.by(Eligibility.Rule.OWN_CALL_NOT_VALID)
                        .of(contact.ownCall().toString())
                        .saying(day + ": it is valid " + days(same.get(0))));
    }

    private static String days(OwnCall own) {
        if (own.from() == null) {
            return "until " + own.until();
        }
        return "from " + own.from() + (own.until() == null ? " on" : " to " + own.until());
    }
}
