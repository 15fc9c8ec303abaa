package yokebar.app.operate.net.roster;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;

/** What the operator says of a station of a net. */
@Entity
@Table(name = "net_member")
class MemberRow {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "net_member")
    @SequenceGenerator(name = "net_member", sequenceName = "net_member_seq", allocationSize = 1)
    @Nullable
    Long id;

    @Version
    int version;

    long netId;

    String callSign = "";

    /** Null where the name of the last check-in stands. */
    @Nullable
    String name;

    /** Taken off the roster: neither offered nor missed. */
    boolean removed;
}
