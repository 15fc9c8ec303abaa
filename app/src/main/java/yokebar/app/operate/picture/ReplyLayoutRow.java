package yokebar.app.operate.picture;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;

/** A layout that the operator made, or changed from one of those to begin with. */
@Entity
@Table(name = "reply_layout")
class ReplyLayoutRow {
    @Id
    String name = "";

    @Version
    int version;

    /** As JSON. */
    String definition = "";
}
