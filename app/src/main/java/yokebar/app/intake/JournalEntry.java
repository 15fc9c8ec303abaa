package yokebar.app.intake;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** One arriving record: its text as it came, and what was decided. Written once, never changed. */
@Entity
@Table(name = "intake_journal")
class JournalEntry {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "intake_journal")
    @SequenceGenerator(name = "intake_journal", sequenceName = "intake_journal_seq", allocationSize = 500)
    @Nullable
    Long id;

    Instant arrivedAt = Instant.EPOCH;
    String source = "";
    String sender = "";
    /** The text as it came, in UTF-8. */
    byte[] raw = {};

    @Enumerated(EnumType.STRING)
    @JdbcTypeCode(SqlTypes.VARCHAR)
    Decision decision = Decision.REFUSED;

    String sentence = "";

    @Nullable
    Long contactId;

    /** A record's text as it is kept, shortened when it is far too long to be one. */
    static byte[] bytes(String raw) {
        return shortened(raw, Arrivals.MAX_RECORD_CHARACTERS).getBytes(StandardCharsets.UTF_8);
    }

    static final int MAX_SENDER_CHARACTERS = 80;

    static String shortened(String text, int longest) {
        return text.length() <= longest ? text : text.substring(0, longest - 1) + "…";
    }

    String rawText() {
        return new String(raw, StandardCharsets.UTF_8);
    }
}
