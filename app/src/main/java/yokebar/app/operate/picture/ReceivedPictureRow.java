package yokebar.app.operate.picture;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import yokebar.links.sources.followed.FoundFile;

/** A received picture. What it shows is in {@link PictureContentRow}. */
@Entity
@Table(name = "received_picture")
class ReceivedPictureRow {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "received_picture")
    @SequenceGenerator(name = "received_picture", sequenceName = "received_picture_seq", allocationSize = 1)
    @Nullable
    Long id;

    @Version
    int version;

    String path = "";

    long sizeBytes;

    Instant modifiedAt = Instant.EPOCH;

    String sha256 = "";

    String mediaType = "";

    int width;

    int height;

    Instant receivedAt = Instant.EPOCH;

    @Nullable
    Long frequencyHz;

    @Nullable
    String mode;

    @Enumerated(EnumType.STRING)
    PictureState state = PictureState.WAITING;

    /** Stays when the contact is deleted, so that bringing it back brings its pictures back. */
    @Nullable
    Long contactId;

    /** Of the contact. */
    @Nullable
    String callSign;

    /** The call of a contact that is under way. */
    @Nullable
    String waitsFor;

    String note = "";

    long number() {
        return Objects.requireNonNull(id, "not stored yet");
    }

    /** The file as it was when it was read. */
    FoundFile file() {
        return new FoundFile(Path.of(path), sizeBytes, modifiedAt, false);
    }

    void file(FoundFile file) {
        path = file.path().toString();
        sizeBytes = file.size();
        modifiedAt = file.modified();
    }

    String fileName() {
        return String.valueOf(Path.of(path).getFileName());
    }
}
