package yokebar.app.station.profile;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Version;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** A call used besides the station's own, such as one for an event. */
@Entity
class FurtherCall {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "further_call")
    @SequenceGenerator(name = "further_call", sequenceName = "further_call_seq", allocationSize = 1)
    @Nullable
    Long id;

    @Version
    int version;

    String callSign = "";

    /** First day, UTC; null for always. */
    @Nullable
    LocalDate validFrom;

    /** Last day, UTC; null for ever. */
    @Nullable
    LocalDate validUntil;

    @Nullable
    String note;

    boolean validOn(LocalDate day) {
        return (validFrom == null || !day.isBefore(validFrom)) && (validUntil == null || !day.isAfter(validUntil));
    }
}
