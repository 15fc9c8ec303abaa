package yokebar.core.log.contact;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import yokebar.core.log.adif.AdifFields;

/**
 * Taking a change of a contact back. What the change set is set back; fields that were changed again since stay, because they
 * are somebody's later decision. What an earlier change had set counts only if that was not taken back before: each field returns
 * to the newest value that still stands.
 */
public final class Undo {

    /**
     * @param restored ADIF names of the fields that were set back
     * @param kept ADIF names of those that were changed again since
     */
    public record Result(LoggedContact contact, List<String> restored, List<String> kept) {}

    /** An earlier change of the contact that was taken back already. */
    public record Undone(LoggedContact before, LoggedContact after) {}

    private Undo() {}

    /**
     * @param before the contact as it was before the change
     * @param after as the change left it
     * @param now as it is
     */
    public static Result restore(LoggedContact before, LoggedContact after, LoggedContact now) {
        return restore(before, after, now, List.of());
    }

    /** @param undone earlier changes of the contact that were taken back, the newest first */
    public static Result restore(LoggedContact before, LoggedContact after, LoggedContact now, List<Undone> undone) {
        Map<String, LoggedContact> from = new TreeMap<>();
        AdifFields was = standing(before, ContactAdif.write(after.contact()), undone, from);
        AdifFields became = ContactAdif.write(after.contact());
        AdifFields is = ContactAdif.write(now.contact());
        Set<String> names = new LinkedHashSet<>(was.names());
        names.addAll(became.names());
        List<String> restored = new ArrayList<>();
        List<String> kept = new ArrayList<>();
        AdifFields fields = is;
        for (String name : names) {
            if (Objects.equals(was.get(name), became.get(name))) {
                continue;
            }
            if (Objects.equals(is.get(name), became.get(name))) {
                fields = fields.with(name, was.get(name));
                restored.add(name);
            } else {
                kept.add(name);
            }
        }
        // Half of a pair set back, such as a band without its frequency, may not come to be; then it counts as kept.
        if (!restored.isEmpty() && ContactAdif.read(fields, null) instanceof Reading.Readable readable) {
            AdifFields result = ContactAdif.write(readable.contact());
            restored.removeIf(name -> !Objects.equals(result.get(name), was.get(name)) && kept.add(name));
            if (!restored.isEmpty()) {
                return new Result(
                        new LoggedContact(now.id(), readable.contact(), provenance(before, from, now, restored)),
                        List.copyOf(restored),
                        List.copyOf(kept));
            }
        }
        kept.addAll(restored);
        return new Result(now, List.of(), List.copyOf(kept));
    }

    /** The fields as they were before the change, without what changes had set that were taken back since. */
    private static AdifFields standing(
            LoggedContact before, AdifFields became, List<Undone> undone, Map<String, LoggedContact> from) {
        AdifFields was = ContactAdif.write(before.contact());
        for (Undone step : undone) {
            AdifFields stepBefore = ContactAdif.write(step.before().contact());
            AdifFields stepAfter = ContactAdif.write(step.after().contact());
            Set<String> names = new LinkedHashSet<>(stepBefore.names());
            names.addAll(stepAfter.names());
            for (String name : names) {
                boolean ofThisChange = !Objects.equals(was.get(name), became.get(name));
                if (ofThisChange
                        && Objects.equals(stepAfter.get(name), was.get(name))
                        && !Objects.equals(stepBefore.get(name), was.get(name))) {
                    was = was.with(name, stepBefore.get(name));
                    from.put(name, step.before());
                }
            }
        }
        return was;
    }

    private static Provenance provenance(
            LoggedContact before, Map<String, LoggedContact> from, LoggedContact now, List<String> restored) {
        Provenance provenance = now.provenance();
        Map<Source, List<String>> bySource = new TreeMap<>();
        for (String name : restored) {
            bySource.computeIfAbsent(
                            from.getOrDefault(name, before).provenance().of(name), s -> new ArrayList<>())
                    .add(name);
        }
        for (Map.Entry<Source, List<String>> entry : bySource.entrySet()) {
            provenance = provenance.with(entry.getValue(), entry.getKey());
        }
        return provenance;
    }
}
