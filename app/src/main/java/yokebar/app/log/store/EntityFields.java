package yokebar.app.log.store;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import org.springframework.stereotype.Component;
import yokebar.app.station.reference.ReferenceData;
import yokebar.core.basics.entity.Situation;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.ContactAdif;
import yokebar.core.log.contact.FilledFields;

/**
 * What the call tells of where the other station is, for contacts whose record does not say it: entity, continent and zones. It is
 * worked out when a contact is shown or exported, not stored, so that a newer list of entities puts all of them right.
 */
@Component
public class EntityFields {
    private final ReferenceData reference;

    EntityFields(ReferenceData reference) {
        this.reference = reference;
    }

    /** All fields of a contact, with those that its call tells, marked as such. */
    public AdifFields complete(Contact contact) {
        return FilledFields.add(ContactAdif.write(contact), missing(contact));
    }

    /** The fields that only the call tells; empty when the record names its entity. */
    AdifFields missing(Contact contact) {
        if (contact.detail("DXCC") != null) {
            return AdifFields.EMPTY;
        }
        AdifFields derived = reference
                .entities()
                .of(contact.call(), LocalDate.ofInstant(contact.start(), ZoneOffset.UTC))
                .map(Situation::fields)
                .orElse(AdifFields.EMPTY);
        List<String> known = contact.details().names();
        return derived.without(known::contains);
    }
}
