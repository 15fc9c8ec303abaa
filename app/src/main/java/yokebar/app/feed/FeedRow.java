package yokebar.app.feed;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.Objects;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import yokebar.app.safety.StoredSecret;

/** A feed as it is set up. */
@Entity
@Table(name = "feed")
class FeedRow {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "feed")
    @SequenceGenerator(name = "feed", sequenceName = "feed_seq", allocationSize = 1)
    @Nullable
    Long id;

    @Version
    int version;

    String name = "";
    String host = "";
    int port;
    String login = "";

    @JdbcTypeCode(SqlTypes.VARBINARY)
    byte @Nullable [] sealedPassword;

    /** Why there is no password any more; null when there is nothing to say. */
    @Nullable
    String secretNote;

    StoredSecret secret() {
        return new StoredSecret(sealedPassword, secretNote);
    }

    void secret(StoredSecret secret) {
        sealedPassword = secret.sealed();
        secretNote = secret.note();
    }

    /** A line each. */
    String commands = "";

    int keepAliveSeconds;
    boolean skimmer;

    long number() {
        return Objects.requireNonNull(id);
    }
}
