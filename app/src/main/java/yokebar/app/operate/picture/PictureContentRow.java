package yokebar.app.operate.picture;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;

/** What a received picture shows, apart so that lists never read it. */
@Entity
@Table(name = "received_picture_content")
class PictureContentRow {
    @Id
    long id;

    /** JPEG. */
    @Lob
    byte[] thumbnail = {};

    /** The file as it was received. */
    @Lob
    byte[] content = {};
}
