package yokebar.app.operate.net.mark;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import yokebar.core.operate.net.CheckInMark;

/** The operator's own word for what a station says of itself. */
@Entity
@Table(name = "net_word")
class NetWordRow {
    @Id
    @Enumerated(EnumType.STRING)
    CheckInMark mark = CheckInMark.TRAFFIC;

    String word = "";
}
