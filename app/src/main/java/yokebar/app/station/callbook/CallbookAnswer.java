package yokebar.app.station.callbook;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** What the callbook on the network answered about a call; also that it does not know it. */
@Entity
@Table(name = "callbook_answer")
class CallbookAnswer {
    @Id
    String callSign = "";

    boolean known;

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

    @Nullable
    String confirms;

    boolean hasPicture;

    Instant answeredAt = Instant.EPOCH;
}
