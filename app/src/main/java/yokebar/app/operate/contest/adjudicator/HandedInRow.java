package yokebar.app.operate.contest.adjudicator;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.Lob;
import jakarta.persistence.OrderColumn;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What became of the log of a book at the adjudicator. */
@Entity
@Table(name = "handed_in_log")
class HandedInRow {
    @Id
    long bookId;

    @Version
    int version;

    /** The log that was taken; null while none was. */
    @Lob
    @Nullable
    String logText;

    /** Of its contacts in the order of its lines, with commas. */
    @Lob
    @Nullable
    String contactIds;

    @Nullable
    String receipt;

    String words = "";

    @Nullable
    Instant takenAt;

    long claimed;

    /** When to ask for the report; null when nobody asks any more. */
    @Nullable
    Instant askAt;

    /** After the check; null before. */
    @Nullable
    Long checkedScore;

    @Nullable
    Instant refusedAt;

    /** Why the last log was refused; null when it was taken. */
    @Nullable
    String refusal;

    @ElementCollection
    @CollectionTable(name = "handed_in_refused_line", joinColumns = @JoinColumn(name = "book_id"))
    @OrderColumn(name = "place")
    List<RemarkPart> refusedLines = new ArrayList<>();

    @ElementCollection
    @CollectionTable(name = "handed_in_finding", joinColumns = @JoinColumn(name = "book_id"))
    @OrderColumn(name = "place")
    List<RemarkPart> findings = new ArrayList<>();
}
