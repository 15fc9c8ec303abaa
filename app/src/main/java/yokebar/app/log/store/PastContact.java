package yokebar.app.log.store;

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
import yokebar.app.log.change.LogChanges;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.log.contact.Provenance;

/** A contact as it was before a change. Written by {@link LogChanges} alone. */
@Entity
@Immutable
@Table(name = "contact_past")
@IdClass(PastContact.Key.class)
public class PastContact extends StoredContact {

    record Key(long changeId, long id) implements Serializable {}

    /** What the change did to it. */
    public enum Fate {
        EDITED,
        DELETED
    }

    @Id
    long changeId;

    @Id
    public long id;

    public int version;

    @Enumerated(EnumType.STRING)
    @JdbcTypeCode(SqlTypes.VARCHAR)
    public Fate fate = Fate.EDITED;

    public LoggedContact logged() {
        return new LoggedContact(id, ContactColumns.contact(this), Provenance.parse(provenance));
    }
}
