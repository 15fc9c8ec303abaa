package yokebar.app.operate.contest.team;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;

/** A band that one position works alone. */
@Entity
@Table(name = "contest_band")
class BandRow {
    /** @param band as in ADIF, such as {@code 20m} */
    @Embeddable
    record Key(long bookId, String band) implements Serializable {}

    @EmbeddedId
    Key key = new Key(0, "");

    long positionId;
}
