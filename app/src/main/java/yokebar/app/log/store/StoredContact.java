package yokebar.app.log.store;

import jakarta.persistence.Column;
import jakarta.persistence.MappedSuperclass;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** The columns of a contact. {@link ContactColumns} turns them into the core's {@code Contact} and back. */
@MappedSuperclass
public abstract class StoredContact {
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
