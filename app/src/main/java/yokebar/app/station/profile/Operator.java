package yokebar.app.station.profile;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;

/** A person who operates the station. */
@Entity
class Operator {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "operator")
    @SequenceGenerator(name = "operator", sequenceName = "operator_seq", allocationSize = 1)
    @Nullable
    Long id;

    @Version
    int version;

    String callSign = "";

    @Nullable
    String name;

    /** Which licence's limits hold; null when none are watched. */
    @Nullable
    String licence;
}
