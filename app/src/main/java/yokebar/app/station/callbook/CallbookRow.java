package yokebar.app.station.callbook;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import yokebar.app.platform.secret.AccountRow;

/** The settings of the callbooks; one row. */
@Entity
@Table(name = "callbook")
class CallbookRow extends AccountRow {
    static final int ID = 1;

    @Id
    int id = ID;

    @Version
    int version;

    int freshDays;

    @Nullable
    String fileName;

    int fileEntries;

    @Nullable
    Instant fileReadAt;
}
