package yokebar.app.sources.intake.journal;

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
import yokebar.app.sources.intake.Arrivals;
import yokebar.app.sources.intake.Decision;

/** One arriving record: its text as it came, and what was decided. Written once, never changed. */
@Entity
@Table(name = "intake_journal")
public class JournalEntry {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "intake_journal")
    @SequenceGenerator(name = "intake_journal", sequenceName = "intake_journal_seq", allocationSize = 500)
    @Nullable
    public Long id;

    public Instant arrivedAt = Instant.EPOCH;
    public String source = "";
    public String sender = "";
    /** The text as it came, in UTF-8. */
    public byte[] raw = {};

    @Enumerated(EnumType.STRING)
    @JdbcTypeCode(SqlTypes.VARCHAR)
    public Decision decision = Decision.REFUSED;

    public String sentence = "";

    @Nullable
    public Long contactId;

    /** A record's text as it is kept, shortened when it is far too long to be one. */
    public static byte[] bytes(String raw) {
        return shortened(raw, Arrivals.MAX_RECORD_CHARACTERS).getBytes(StandardCharsets.UTF_8);
    }

    public static final int MAX_SENDER_CHARACTERS = 80;

    public static String shortened(String text, int longest) {
        return text.length() <= longest ? text : text.substring(0, longest - 1) + "…";
    }

    String rawText() {
        return new String(raw, StandardCharsets.UTF_8);
    }
}
