package yokebar.app.services.delivery.handover;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/**
 * One delivery of contacts to a service. It is stored with its content and its key before the first byte is sent, so that
 * after a crash the very same batch is sent with the very same key, and the service takes it once.
 */
@Entity
public class Handover {

    /** How far a handover has come. */
    public enum State {
        /** Made ready; may or may not have reached the service. */
        PREPARED,
        /** The service gave a receipt. */
        GIVEN,
        /** The service reported what became of each contact. */
        REPORTED,
        /** The service would not have the batch. */
        REFUSED
    }

    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "handover")
    @SequenceGenerator(name = "handover", sequenceName = "handover_seq", allocationSize = 1)
    @Nullable
    Long id;

    @Version
    int version;

    int serviceId;

    /** How it goes there. */
    public enum Via {
        NETWORK,
        /** By radio mail. */
        MAIL,
        /** In the hands of the operator. */
        HAND
    }

    @Enumerated(EnumType.STRING)
    @JdbcTypeCode(SqlTypes.VARCHAR)
    Via via = Via.NETWORK;

    /** It is no longer to be sent as it is; whether it arrived is asked first. */
    boolean askFirst;

    @Enumerated(EnumType.STRING)
    @JdbcTypeCode(SqlTypes.VARCHAR)
    State state = State.PREPARED;

    /** Who asked for it, in words; null when it went automatically. */
    @Nullable
    String askedBy;

    String idempotencyKey = "";

    /** The contacts in the order they stand in the content. */
    @JdbcTypeCode(SqlTypes.ARRAY)
    long[] contactIds = new long[0];

    Instant preparedAt = Instant.EPOCH;

    /** Tries in the present state. */
    int attempts;

    @Nullable
    Instant nextTryAt;

    @Nullable
    String trouble;

    @Nullable
    public Instant givenAt;

    @Nullable
    public String receiptNumber;

    @Nullable
    public String receiptWords;

    @Nullable
    public Instant reportedAt;

    /** How many the service took. */
    @Nullable
    Integer taken;

    /** How many it refused. */
    @Nullable
    Integer refused;

    long number() {
        if (id == null) {
            throw new IllegalStateException("not stored yet");
        }
        return id;
    }

    /** The ids of its contacts, in the order of its batch. */
    List<Long> contacts() {
        return Arrays.stream(contactIds).boxed().toList();
    }
}
