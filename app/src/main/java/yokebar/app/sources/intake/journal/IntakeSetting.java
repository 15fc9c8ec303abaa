package yokebar.app.sources.intake.journal;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;

/** The one row of the intake's settings. */
@Entity
@Table(name = "intake_setting")
public class IntakeSetting {
    static final int ONLY = 1;

    @Id
    int id;

    @Version
    int version;

    /** Null for ever. */
    @Nullable
    Integer keepRepeatsDays;
}
