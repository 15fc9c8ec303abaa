package yokebar.app.operate.onair;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;

/** A filter somebody gave a name, as JSON. */
@Entity
@Table(name = "on_air_view")
class AirViewRow {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "on_air_view")
    @SequenceGenerator(name = "on_air_view", sequenceName = "on_air_view_seq", allocationSize = 1)
    @Nullable
    Long id;

    @Version
    int version;

    String name = "";
    String content = "";
}
