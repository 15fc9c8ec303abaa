package yokebar.app.log;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import yokebar.core.contact.LoggedContact;
import yokebar.core.contact.Provenance;

/** A contact as it was before a change. Written by {@link LogChanges} alone. */
@Entity
@Immutable
@Table(name = "contact_past")
@IdClass(PastContact.Key.class)
class PastContact extends StoredContact {

    record Key(long changeId, long id) implements Serializable {}

    /** What the change did to it. */
    enum Fate {
        EDITED,
        DELETED
    }

    @Id
    long changeId;

    @Id
    long id;

    int version;

    @Enumerated(EnumType.STRING)
    @JdbcTypeCode(SqlTypes.VARCHAR)
    Fate fate = Fate.EDITED;

    LoggedContact logged() {
        return new LoggedContact(id, ContactColumns.contact(this), Provenance.parse(provenance));
    }
}
