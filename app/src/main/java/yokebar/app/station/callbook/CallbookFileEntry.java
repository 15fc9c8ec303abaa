package yokebar.app.station.callbook;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.jspecify.annotations.Nullable;

/** A line of the callbook that lies here as a file. */
@Entity
@Table(name = "callbook_file_entry")
class CallbookFileEntry {
    @Id
    String callSign = "";

    @Nullable
    String name;

    @Nullable
    String town;

    @Nullable
    String state;

    @Nullable
    String country;

    @Nullable
    String locator;
}
