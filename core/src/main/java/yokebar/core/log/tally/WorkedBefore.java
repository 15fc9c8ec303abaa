package yokebar.core.log.tally;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.call.CallList;

/** What was worked before: a tally of the whole log, one for each scope somebody looks at, and the calls. Safe for several threads. */
public final class WorkedBefore {
    private final Tally whole = new Tally(Scope.WHOLE_LOG, EnumSet.allOf(CreditKind.class));
    private final Map<Scope, Tally> scoped = new HashMap<>();
    private final CallList calls = new CallList();
    /** The calls of stations that were worked under another than the one issued, by that. */
    private final Map<String, Set<String>> otherCalls = new HashMap<>();

    private volatile long version;

    public synchronized void add(Collection<ContactCredits> credits) {
        for (ContactCredits one : credits) {
            if (!whole.has(call(one))) {
                callAdded(one);
            }
            whole.add(one);
            scoped.values().forEach(tally -> tally.add(one));
        }
        version++;
    }

    /** Takes contacts out that were added before with the very same credits. */
    public synchronized void remove(Collection<ContactCredits> credits) {
        for (ContactCredits one : credits) {
            whole.remove(one);
            scoped.values().forEach(tally -> tally.remove(one));
            if (!whole.has(call(one))) {
                callRemoved(one);
            }
        }
        version++;
    }

    /** Forgets everything but the scopes, to be counted again. */
    public synchronized void clear() {
        whole.clear();
        scoped.values().forEach(Tally::clear);
        calls.clear();
        otherCalls.clear();
        version++;
    }

    /** Higher after each change, so that whoever remembers an answer knows whether it still holds. */
    public long version() {
        return version;
    }

    /** What was worked of something in the whole log; nothing when it never was. */
    public synchronized Worked of(CreditKey key) {
        return whole.of(key);
    }

    /** What was worked of something in a scope; nothing, too, when the scope is not counted. */
    public synchronized Worked of(Scope scope, CreditKey key) {
        Tally tally = scope.equals(Scope.WHOLE_LOG) ? whole : scoped.get(scope);
        return tally == null ? Worked.NOTHING : tally.of(key);
    }

    public synchronized boolean has(CreditKey key) {
        return whole.has(key);
    }

    /**
     * Which scopes are to be counted from now on, beside the whole log; all others are forgotten.
     *
     * @param kinds what is counted of each scope
     * @return those not counted yet, empty: to be filled from the log and then given to {@link #count}
     */
    public synchronized List<Tally> countOnly(Map<Scope, Set<CreditKind>> kinds) {
        scoped.entrySet().removeIf(known -> {
            Set<CreditKind> wanted = kinds.get(known.getKey());
            return wanted == null || !known.getValue().kinds().containsAll(wanted);
        });
        List<Tally> missing = new ArrayList<>();
        kinds.forEach((scope, wanted) -> {
            if (!scope.equals(Scope.WHOLE_LOG) && !scoped.containsKey(scope)) {
                missing.add(new Tally(scope, wanted));
            }
        });
        return missing;
    }

    /** Answers for these scopes, too, and counts for them what is added and removed. */
    public synchronized void count(Collection<Tally> filled) {
        filled.forEach(tally -> scoped.put(tally.scope(), tally));
        version++;
    }

    /** Calls that hold a part anywhere, at most as many as asked for; those that end with it before the others. */
    public synchronized List<String> callsWith(String part, int max) {
        return calls.with(part, max);
    }

    /** Calls that begin so, in alphabetical order, at most as many as asked for. */
    public synchronized List<String> callsFrom(String start, int max) {
        return calls.from(start, max);
    }

    /** Every call a station was worked under, and the one it was issued, whether that was worked or not. */
    public synchronized List<String> callsOf(String base) {
        List<String> all = new ArrayList<>();
        all.add(base);
        all.addAll(otherCalls.getOrDefault(base, Set.of()));
        return all;
    }

    private void callAdded(ContactCredits credits) {
        String call = call(credits).value();
        calls.add(call);
        String base = base(credits);
        if (base != null && !base.equals(call)) {
            otherCalls.computeIfAbsent(base, b -> new TreeSet<>()).add(call);
        }
    }

    private void callRemoved(ContactCredits credits) {
        String call = call(credits).value();
        calls.remove(call);
        Set<String> others = otherCalls.get(String.valueOf(base(credits)));
        if (others != null && others.remove(call) && others.isEmpty()) {
            otherCalls.remove(String.valueOf(base(credits)));
        }
    }

    private static CreditKey call(ContactCredits credits) {
        return Objects.requireNonNull(credits.first(CreditKind.CALL), "a contact without a call");
    }

    private static @Nullable String base(ContactCredits credits) {
        CreditKey base = credits.first(CreditKind.BASE_CALL);
        return base == null ? null : base.value();
    }
}
