package yokebar.core.log.contact;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.log.adif.AdifFields;

/** Changing fields of a contact by their ADIF names. */
public final class ContactEdit {
    private ContactEdit() {}

    /**
     * @param changes ADIF names, upper case, to new values; null or empty takes the field away
     * @return the changed contact, or what is wrong with the new values
     */
    public static Reading apply(Contact contact, Map<String, @Nullable String> changes) {
        List<Problem> problems = new ArrayList<>();
        for (Map.Entry<String, @Nullable String> change : changes.entrySet()) {
            String value = change.getValue();
            Problem problem = value == null || value.isEmpty() ? null : check(change.getKey(), value);
            if (problem != null) {
                problems.add(problem);
            }
        }
        if (!problems.isEmpty()) {
            return new Reading.Unreadable(problems);
        }
        return applyUnchecked(contact, changes);
    }

    private static @Nullable Problem check(String field, String value) {
        if (field.equals("PROP_MODE") && PropagationMode.read(value) == null) {
            return Problem.of(field, value, "is not a propagation mode of the ADIF list, such as SAT or RPT.");
        }
        return FieldCheck.ofEdit(field, value);
    }

    private static Reading applyUnchecked(Contact contact, Map<String, @Nullable String> changes) {
        AdifFields fields = ContactAdif.write(contact);
        for (Map.Entry<String, @Nullable String> change : changes.entrySet()) {
            fields = fields.with(change.getKey(), change.getValue());
        }
        if (changes.containsKey("BAND") && !changes.containsKey("FREQ") && movedOffBand(contact, fields.get("BAND"))) {
            fields = fields.with("FREQ", null);
        }
        if (changes.containsKey("FREQ") && !changes.containsKey("BAND") && fields.get("FREQ") != null) {
            fields = fields.with("BAND", null);
        }
        if (changes.containsKey("MODE") && !changes.containsKey("SUBMODE")) {
            fields = fields.with("SUBMODE", null);
        }
        if (changes.containsKey("QSO_DATE") && !changes.containsKey("QSO_DATE_OFF")) {
            fields = fields.with("QSO_DATE_OFF", null);
        }
        return ContactAdif.read(fields, null);
    }

    private static boolean movedOffBand(Contact contact, @Nullable String band) {
        return contact.frequencyHz() != null && (band == null || Band.named(band) != contact.band());
    }
}
