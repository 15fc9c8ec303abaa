package yokebar.app.log.change;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Version;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import yokebar.app.log.ChangeKind;

/** One thing somebody did to the log, to one contact or to thousands. */
@Entity
public class LogChange {
    private static final int LONGEST_SENTENCE = 400;

    /** How far it is. */
    enum State {
        RUNNING,
        DONE,
        /** Cancelled, failed, or ended with the application; what it changed until then stays and can be undone. */
        STOPPED
    }

    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "log_change")
    @SequenceGenerator(name = "log_change", sequenceName = "log_change_seq", allocationSize = 1)
    @Nullable
    Long id;

    @Version
    int version;

    Instant madeAt = Instant.EPOCH;

    @Enumerated(EnumType.STRING)
    @JdbcTypeCode(SqlTypes.VARCHAR)
    ChangeKind kind = ChangeKind.EDITED;

    String sentence = "";
    int planned;
    int done;

    @Enumerated(EnumType.STRING)
    @JdbcTypeCode(SqlTypes.VARCHAR)
    State state = State.DONE;

    /** Who made it, in words; null for the station itself. */
    @Nullable
    String madeBy;

    /** What an edit of many contacts writes, JSON; null for others. */
    @Nullable
    String edit;

    @Nullable
    Long undoes;

    @Nullable
    Long undoneBy;

    long number() {
        if (id == null) {
            throw new IllegalStateException("not stored yet");
        }
        return id;
    }

    void say(String text) {
        sentence = text.length() <= LONGEST_SENTENCE ? text : text.substring(0, LONGEST_SENTENCE - 1) + "…";
    }
}
