package yokebar.app.callbook;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import yokebar.app.safety.StoredSecret;

/** The settings of the callbooks; one row. */
@Entity
@Table(name = "callbook")
class CallbookRow {
    static final int ID = 1;

    @Id
    int id = ID;

    @Version
    int version;

    @Nullable
    String address;

    @Nullable
    String account;

    @JdbcTypeCode(SqlTypes.VARBINARY)
    byte @Nullable [] sealedPassword;

    /** Why there is no password any more; null when there is nothing to say. */
    @Nullable
    String secretNote;

    StoredSecret secret() {
        return new StoredSecret(sealedPassword, secretNote);
    }

    void secret(StoredSecret secret) {
        sealedPassword = secret.sealed();
        secretNote = secret.note();
    }

    int freshDays;

    @Nullable
    String fileName;

    int fileEntries;

    @Nullable
    Instant fileReadAt;
}
