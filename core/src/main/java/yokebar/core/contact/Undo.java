package yokebar.core.contact;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import yokebar.core.adif.AdifFields;

/**
 * Taking a change of a contact back. What the change set is set back; fields that were changed again since stay, because they
 * are somebody's later decision.
 */
public final class Undo {

    /**
     * @param restored ADIF names of the fields that were set back
     * @param kept ADIF names of those that were changed again since
     */
    public record Result(LoggedContact contact, List<String> restored, List<String> kept) {}

    private Undo() {}

    /**
     * @param before the contact as it was before the change
     * @param after as the change left it
     * @param now as it is
     */
    public static Result restore(LoggedContact before, LoggedContact after, LoggedContact now) {
        AdifFields was = ContactAdif.write(before.contact());
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
                        new LoggedContact(now.id(), readable.contact(), provenance(before, now, restored)),
                        List.copyOf(restored),
                        List.copyOf(kept));
            }
        }
        kept.addAll(restored);
        return new Result(now, List.of(), List.copyOf(kept));
    }

    private static Provenance provenance(LoggedContact before, LoggedContact now, List<String> restored) {
        Provenance provenance = now.provenance();
        Map<Source, List<String>> bySource = new TreeMap<>();
        for (String name : restored) {
            bySource.computeIfAbsent(before.provenance().of(name), s -> new ArrayList<>())
                    .add(name);
        }
        for (Map.Entry<Source, List<String>> entry : bySource.entrySet()) {
            provenance = provenance.with(entry.getValue(), entry.getKey());
        }
        return provenance;
    }
}
