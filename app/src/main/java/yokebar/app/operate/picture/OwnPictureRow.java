package yokebar.app.operate.picture;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** A picture of the operator's own, for replies. */
@Entity
@Table(name = "own_picture")
class OwnPictureRow {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "own_picture")
    @SequenceGenerator(name = "own_picture", sequenceName = "own_picture_seq", allocationSize = 1)
    @Nullable
    Long id;

    @Version
    int version;

    String name = "";

    /** PNG or JPEG. */
    @Lob
    byte[] content = {};

    long number() {
        return Objects.requireNonNull(id, "not stored yet");
    }
}
