package yokebar.app.backup;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
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
}
