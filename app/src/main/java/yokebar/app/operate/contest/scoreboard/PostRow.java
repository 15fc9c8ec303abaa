package yokebar.app.operate.contest.scoreboard;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** The last score that was posted of a book. */
@Entity
@Table(name = "scoreboard_post")
class PostRow {
    /** For a score that was typed by hand. */
    static final long BY_HAND = 0;

    @Id
    long bookId;

    Instant postedAt = Instant.EPOCH;

    long score;

    int contacts;
}
