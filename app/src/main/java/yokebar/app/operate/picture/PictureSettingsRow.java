package yokebar.app.operate.picture;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;

/** Which folders are used. There is one row. */
@Entity
@Table(name = "picture_settings")
class PictureSettingsRow {
    static final int ID = 1;

    @Id
    int id;

    @Version
    int version;

    /** Null while no folder was chosen. */
    @Nullable
    String folder;

    /** Where the transmitting program takes its pictures from; null while none was chosen. */
    @Nullable
    String replyFolder;

    /** Whose frequency is noted; null for the first radio. */
    @Nullable
    Long radioId;
}
