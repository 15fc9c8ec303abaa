package yokebar.app.log.search;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;

/** A way to look at the log that somebody gave a name: a search, an order and columns. */
@Entity
class SavedView {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "saved_view")
    @SequenceGenerator(name = "saved_view", sequenceName = "saved_view_seq", allocationSize = 1)
    @Nullable
    Long id;

    @Version
    int version;

    String name = "";
    String search = "";
    String sortField = "";
    boolean descending;

    /** ADIF names, parted by commas. */
    String logColumns = "";
}
