package yokebar.core.log.contact;

import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import yokebar.core.log.adif.AdifFields;

/** Taking records apart that were merged, and putting together what was not: which field goes where. */
public final class Rebuild {
    /** What says which contact it is. */
    private static final Set<String> IDENTITY = Set.of("BAND", "MODE", "SUBMODE", "FREQ");

    private Rebuild() {}

    /** A record with band and mode from what it was merged into, where it does not say them itself. */
    public static AdifFields completed(AdifFields whole, AdifFields record) {
        AdifFields complete = record;
        boolean placed = record.get("BAND") != null || record.get("FREQ") != null;
        for (String name : List.of("MODE", "SUBMODE", "BAND", "FREQ")) {
            boolean where = name.equals("BAND") || name.equals("FREQ");
            boolean missing = where ? !placed : record.get("MODE") == null;
            if (missing && whole.get(name) != null) {
                complete = complete.with(name, whole.get(name));
            }
        }
        return complete;
    }

    /** One contact's fields at another's call, band, mode and start, so that the two can be merged. */
    public static Contact at(Contact identity, Contact other) {
        boolean sameBand = identity.band() == other.band();
        return new Contact(
                identity.ownCall(),
                identity.call(),
                identity.start(),
                identity.secondsKnown(),
                other.end(),
                identity.band(),
                sameBand ? other.frequencyHz() : null,
                identity.mode().compatibleWith(other.mode()) ? other.mode() : identity.mode(),
                other.propagation(),
                other.details());
    }

    /**
     * A contact without what only the records that left it had said.
     *
     * @param rest what the records that stay say; null when none of them can be read by itself
     * @param apart what those that left say
     */
    public static LoggedContact without(LoggedContact whole, @Nullable LoggedContact rest, LoggedContact apart) {
        AdifFields now = ContactAdif.write(whole.contact());
        AdifFields left = ContactAdif.write(apart.contact());
        AdifFields stays = rest == null ? AdifFields.EMPTY : ContactAdif.write(rest.contact());
        AdifFields fields = now;
        Provenance provenance = whole.provenance();
        for (String name : now.names()) {
            Source source = whole.provenance().of(name);
            boolean fromARecord = source.program() || source == Source.FILE;
            boolean unchanged = fromARecord && Objects.equals(now.get(name), left.get(name));
            if (unchanged && !Objects.equals(now.get(name), stays.get(name)) && !IDENTITY.contains(name)) {
                fields = fields.with(name, stays.get(name));
                if (rest != null && stays.get(name) != null) {
                    provenance =
                            provenance.with(List.of(name), rest.provenance().of(name));
                }
            }
        }
        return ContactAdif.read(fields, whole.contact().ownCall()) instanceof Reading.Readable readable
                ? new LoggedContact(whole.id(), readable.contact(), provenance)
                : whole;
    }
}
