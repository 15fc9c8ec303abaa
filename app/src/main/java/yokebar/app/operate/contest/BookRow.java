package yokebar.app.operate.contest;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.Lob;
import jakarta.persistence.MapKeyColumn;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** A contest book: one contest as one own call takes part in it. */
@Entity
@Table(name = "contest_book")
class BookRow {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "contest_book")
    @SequenceGenerator(name = "contest_book", sequenceName = "contest_book_seq", allocationSize = 1)
    @Nullable
    Long id;

    @Version
    int version;

    String contest = "";

    /** The rules as they were when the book was begun. */
    @Lob
    String definition = "";

    String ownCall = "";

    String power = "";

    Instant startsAt = Instant.EPOCH;

    /** The first moment after it. */
    Instant endsAt = Instant.EPOCH;

    /** What the own station sends, but for reports and serials, by the names of the exchange's fields. */
    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "contest_book_sent", joinColumns = @JoinColumn(name = "book_id"))
    @MapKeyColumn(name = "field")
    @Column(name = "sent")
    Map<String, String> sent = new HashMap<>();

    /** The choices of the participant, by the category's name, but for the power class where it counts. */
    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "contest_book_category", joinColumns = @JoinColumn(name = "book_id"))
    @MapKeyColumn(name = "category")
    @Column(name = "choice")
    Map<String, String> category = new HashMap<>();

    /** Further lines of the Cabrillo log by their names. */
    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "contest_book_header", joinColumns = @JoinColumn(name = "book_id"))
    @MapKeyColumn(name = "name")
    @Column(name = "written")
    Map<String, String> header = new HashMap<>();

    /** The score the operator wants to reach; 0 for none. */
    long goal;

    long number() {
        return Objects.requireNonNull(id, "not stored yet");
    }
}
