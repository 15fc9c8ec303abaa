package yokebar.app.operate.contest.sending;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.io.Serializable;
import yokebar.core.operate.contest.sending.TextSlot;
import yokebar.core.operate.contest.sending.WayOfWorking;

/** A text that was written here. */
@Entity
@Table(name = "contest_text")
class TextRow {
    /** A row for each place a text can stand at. */
    @Embeddable
    record Place(@Enumerated(EnumType.STRING) WayOfWorking way, @Enumerated(EnumType.STRING) TextSlot slot)
            implements Serializable {}

    @EmbeddedId
    Place place = new Place(WayOfWorking.RUN, TextSlot.CALL);

    String wording = "";
}
