package yokebar.app.operate.contest.adjudicator;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import yokebar.app.platform.secret.AccountRow;

/** Where logs are handed in; one row. */
@Entity
@Table(name = "adjudicator")
class AdjudicatorRow extends AccountRow {
    static final int ID = 1;

    @Id
    int id = ID;

    @Version
    int version;
}
