package yokebar.app.operate.onair;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;

/** The operators' choices, as JSON; one row. */
@Entity
@Table(name = "on_air_choices")
class AirChoicesRow {
    static final int ONLY = 1;

    @Id
    int id = ONLY;

    @Version
    int version;

    String content = "";
}
