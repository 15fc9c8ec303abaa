package yokebar.app.station.backup;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** How the log is kept safe; one row. */
@Entity
@Table(name = "safety")
class SafetyRow {
    static final int ID = 1;

    @Id
    int id = ID;

    @Version
    int version;

    @Nullable
    String copyFolder;

    @Nullable
    String backupFolder;

    boolean backupDaily;
    boolean backupOnExit;
    int backupsKept;

    /** Whether a file in the folder of the second copy, if there is one, was written by another log than this. */
    boolean copyOfAnotherLog = true;

    /** The key of the stored passwords, sealed with a passphrase; see {@link KeyCopy}. */
    @JdbcTypeCode(SqlTypes.VARBINARY)
    byte @Nullable [] keyCopy;

    /** Sealed with the key itself: it opens where that key is known. */
    @JdbcTypeCode(SqlTypes.VARBINARY)
    byte @Nullable [] keyCopyMark;
}
