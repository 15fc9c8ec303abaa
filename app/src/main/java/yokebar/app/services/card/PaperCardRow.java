package yokebar.app.services.card;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** A paper card for one contact, ours or theirs or both. */
@Entity
@Table(name = "paper_card")
class PaperCardRow {
    /** Which way it goes. */
    enum Via {
        BUREAU,
        DIRECT,
        /** To the manager who answers for the station. */
        MANAGER
    }

    @Id
    long contactId;

    @Version
    int version;

    @Enumerated(EnumType.STRING)
    @JdbcTypeCode(SqlTypes.VARCHAR)
    Via via = Via.BUREAU;

    /** The manager's call. */
    @Nullable
    String manager;

    @Nullable
    String note;

    @Nullable
    Instant sentAt;

    @Nullable
    Instant receivedAt;
}
