package yokebar.app.platform.secret;

import jakarta.persistence.MappedSuperclass;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** A row of settings that holds the password for the address beside it. */
@MappedSuperclass
public abstract class RowWithSecret {
    @JdbcTypeCode(SqlTypes.VARBINARY)
    private byte @Nullable [] sealedPassword;

    private @Nullable String secretNote;

    public StoredSecret secret() {
        return new StoredSecret(sealedPassword, secretNote);
    }

    public void secret(StoredSecret secret) {
        sealedPassword = secret.sealed();
        secretNote = secret.note();
    }
}
