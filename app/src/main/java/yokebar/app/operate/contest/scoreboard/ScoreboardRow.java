package yokebar.app.operate.contest.scoreboard;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import yokebar.app.platform.secret.AccountRow;

/** How scores are posted; one row. */
@Entity
@Table(name = "scoreboard")
class ScoreboardRow extends AccountRow {
    static final int ID = 1;

    @Id
    int id = ID;

    @Version
    int version;

    String team = "";

    int everyMinutes;

    /** What the scoreboard allows at most, s. */
    @Column(name = "allowed_every_s")
    int allowedEveryS;
}
