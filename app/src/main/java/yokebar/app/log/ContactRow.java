package yokebar.app.log;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A contact as it is stored. {@link ContactColumns} turns it into the core's {@code Contact} and back. */
@Entity
@Table(name = "contact")
class ContactRow {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "contact")
    @SequenceGenerator(name = "contact", sequenceName = "contact_seq", allocationSize = 500)
    @Nullable
    Long id;

    @Version
    int version;

    String ownCall = "";
    String callSign = "";
    Instant startedAt = Instant.EPOCH;
    boolean secondsKnown;

    @Nullable
    Instant endedAt;

    String band = "";

    @Nullable
    Long frequencyHz;

    String mode = "";

    @Nullable
    String submode;

    @Nullable
    String propagation;

    @Nullable
    String satellite;

    @Nullable
    String reportSent;

    @Nullable
    String reportReceived;

    @Nullable
    String name;

    @Nullable
    String qth;

    @Nullable
    String locator;

    @Nullable
    String country;

    @Nullable
    String state;

    @Nullable
    String continent;

    @Nullable
    Integer entityCode;

    @Nullable
    Integer cqZone;

    @Nullable
    Integer ituZone;

    @Nullable
    String operatorCall;

    @Nullable
    String ownLocator;

    @Column(name = "power_w")
    @Nullable
    String powerW;

    @Nullable
    String comment;

    @Nullable
    Long placeId;

    @Nullable
    String otherFields;

    String provenance = "";
    Instant loggedAt = Instant.EPOCH;
}
