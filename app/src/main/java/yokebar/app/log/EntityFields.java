package yokebar.app.log;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import org.springframework.stereotype.Component;
import yokebar.app.reference.ReferenceData;
import yokebar.core.adif.AdifFields;
import yokebar.core.contact.Contact;
import yokebar.core.contact.ContactAdif;
import yokebar.core.contact.FilledFields;
import yokebar.core.entity.Situation;

/**
 * What the call tells of where the other station is, for contacts whose record does not say it: entity, continent and zones. It is
 * worked out when a contact is shown or exported, not stored, so that a newer list of entities puts all of them right.
 */
@Component
class EntityFields {
    private final ReferenceData reference;

    EntityFields(ReferenceData reference) {
        this.reference = reference;
    }

    /** All fields of a contact, with those that its call tells, marked as such. */
    AdifFields complete(Contact contact) {
        return FilledFields.add(ContactAdif.write(contact), missing(contact));
    }

    /** The fields that only the call tells; empty when the record names its entity. */
    AdifFields missing(Contact contact) {
        if (contact.detail("DXCC") != null) {
            return AdifFields.EMPTY;
        }
        AdifFields told = reference
                .entities()
                .of(contact.call(), LocalDate.ofInstant(contact.start(), ZoneOffset.UTC))
                .map(Situation::fields)
                .orElse(AdifFields.EMPTY);
        List<String> known = contact.details().names();
        return told.without(known::contains);
    }
}
