package yokebar.app.sources.feed;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import yokebar.app.platform.secret.RowWithSecret;

/** A feed as it is set up. */
@Entity
@Table(name = "feed")
class FeedRow extends RowWithSecret {
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

    /** A line each. */
    String commands = "";

    int keepAliveSeconds;
    boolean skimmer;

    long number() {
        return Objects.requireNonNull(id);
    }
}
