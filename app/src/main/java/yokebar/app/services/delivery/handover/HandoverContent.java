package yokebar.app.services.delivery.handover;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** The batch of a handover as it is sent, apart from where it stands: that is read all the time, this when it is sent. */
@Entity
@Immutable
class HandoverContent {
    @Id
    long handoverId;

    @JdbcTypeCode(SqlTypes.VARBINARY)
    byte[] content = new byte[0];

    static HandoverContent of(long handoverId, byte[] content) {
        HandoverContent made = new HandoverContent();
        made.handoverId = handoverId;
        made.content = content;
        return made;
    }
}
