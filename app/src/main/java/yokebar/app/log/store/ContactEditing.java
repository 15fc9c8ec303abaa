package yokebar.app.log.store;

import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.ChangeKind;
import yokebar.app.log.JourneyStep;
import yokebar.app.log.change.LogChanges;
import yokebar.app.platform.actor.CurrentActor;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.station.reference.ReferenceData;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.AdifTime;
import yokebar.core.log.contact.CallCorrection;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.ContactAdif;
import yokebar.core.log.contact.ContactEdit;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.log.contact.Reading;
import yokebar.core.log.contact.Source;

/** The operator's own changes to a contact. */
@Service
public class ContactEditing {
    /** A clock that is set by hand may be a little fast. */
    private static final Duration CLOCKS_DIFFER = Duration.ofMinutes(5);

    private final ContactLog log;
    private final LogChanges made;
    private final Journey journey;
    private final CurrentActor actor;
    private final ReferenceData reference;
    private final Clock clock;

    ContactEditing(
            ContactLog log,
            LogChanges made,
            Journey journey,
            CurrentActor actor,
            ReferenceData reference,
            Clock clock) {
        this.log = log;
        this.made = made;
        this.journey = journey;
        this.actor = actor;
        this.reference = reference;
        this.clock = clock;
    }

    /**
     * @param version the version the operator saw; when the contact was changed since, nothing happens
     * @param changes ADIF names to new values; null or empty takes a field away
     */
    @Transactional
    public void edit(long id, int version, Map<String, @Nullable String> changes) {
        ContactRow row =
                log.row(id).orElseThrow(() -> Rejection.notThere("There is no contact " + id + " in the log."));
        if (row.version != version) {
            throw Rejection.changedMeanwhile(
                    "The contact was changed meanwhile. Look at it as it is now, then change it.");
        }
        Map<String, @Nullable String> upperCase = new TreeMap<>();
        changes.forEach((name, value) -> upperCase.put(name.toUpperCase(Locale.ROOT), value));
        LoggedContact before = row.logged();
        Reading reading =
                ContactEdit.apply(before.contact(), CallCorrection.complete(before, upperCase, reference.entities()));
        if (reading instanceof Reading.Unreadable unreadable) {
            throw new Rejection(unreadable.problems().stream()
                    .map(p -> new Rejection.Field(p.field(), p.sentence()))
                    .toList());
        }
        Contact after = ((Reading.Readable) reading).contact();
        checkStart(before.contact(), after);
        Map<String, String> differences = differences(before.contact(), after);
        if (differences.isEmpty()) {
            return;
        }
        String sentence = "Edited: " + String.join("; ", differences.values()) + ".";
        long change = made.make(ChangeKind.EDITED, after.call() + ": " + sentence, 1);
        log.replace(
                List.of(new LoggedContact(id, after, before.provenance().with(differences.keySet(), Source.OPERATOR))),
                change);
        journey.note(id, JourneyStep.Kind.EDITED, sentence, actor.words());
    }

    /**
     * Corrects a contact with what was corrected elsewhere, such as on a net sheet, whatever version it has now.
     *
     * @param changes as in {@link #edit}
     */
    @Transactional
    public void correct(long id, Map<String, @Nullable String> changes) {
        log.row(id).ifPresent(row -> edit(id, row.version, changes));
    }

    private void checkStart(Contact before, Contact after) {
        if (!after.start().equals(before.start())
                && after.start().isAfter(clock.instant().plus(CLOCKS_DIFFER))) {
            boolean otherDay = !AdifTime.date(after.start()).equals(AdifTime.date(before.start()));
            throw new Rejection(
                    otherDay ? "QSO_DATE" : "TIME_ON",
                    after.call() + " would start in the future, on "
                            + after.start().toString().substring(0, 16).replace('T', ' ')
                            + " UTC. Check date and time; they are UTC.");
        }
    }

    /** By ADIF name, what is different, in words. */
    public static Map<String, String> differences(Contact before, Contact after) {
        AdifFields old = ContactAdif.write(before);
        AdifFields edited = ContactAdif.write(after);
        List<String> names = new ArrayList<>(old.names());
        edited.names().stream().filter(name -> !names.contains(name)).forEach(names::add);
        Map<String, String> differences = new TreeMap<>();
        for (String name : names) {
            String from = old.get(name);
            String to = edited.get(name);
            if (!Objects.equals(from, to)) {
                differences.put(
                        name,
                        name + " " + (from == null ? "set to " + to : to == null ? "removed" : from + " → " + to));
            }
        }
        return differences;
    }
}
