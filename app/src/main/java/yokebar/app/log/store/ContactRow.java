package yokebar.app.log.store;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.log.contact.Provenance;

/** A contact of the log as it is stored. */
@Entity
@Table(name = "contact")
public class ContactRow extends StoredContact {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "contact")
    @SequenceGenerator(name = "contact", sequenceName = "contact_seq", allocationSize = 500)
    @Nullable
    Long id;

    @Version
    int version;

    long number() {
        if (id == null) {
            throw new IllegalStateException("not stored yet");
        }
        return id;
    }

    public LoggedContact logged() {
        return new LoggedContact(number(), ContactColumns.contact(this), Provenance.parse(provenance));
    }
}
