package yokebar.app.operate.picture;

import jakarta.persistence.EntityManager;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.platform.rejection.Rejection;
import yokebar.core.basics.picture.Picture;
import yokebar.core.basics.picture.PictureFormat;
import yokebar.core.basics.picture.PictureScaling;
import yokebar.core.basics.picture.UnreadablePictureException;

/** The operator's own pictures, which replies are drawn on. */
@Service
class OwnPictures {
    private static final int MAX_PICTURES = 50;
    private static final int MAX_NAME = 80;
    private static final int MAX_KEPT_BYTES = 2_000_000;
    private static final Set<PictureFormat> KEPT = EnumSet.of(PictureFormat.PNG, PictureFormat.JPEG);

    private final EntityManager db;

    OwnPictures(EntityManager db) {
        this.db = db;
    }

    /** @param name of the file it was */
    record OwnPicture(long id, String name) {}

    @Transactional(readOnly = true)
    public List<OwnPicture> all() {
        return db.createQuery("select id, name from OwnPictureRow order by id", Object[].class)
                .getResultStream()
                .map(row -> new OwnPicture((Long) row[0], (String) row[1]))
                .toList();
    }

    @Transactional
    public void add(String fileName, byte[] content) {
        if (all().size() >= MAX_PICTURES) {
            throw new Rejection("file", "There are " + MAX_PICTURES + " pictures already. Delete one first.");
        }
        try {
            Picture.read(content);
            OwnPictureRow row = new OwnPictureRow();
            row.name = fileName.length() <= MAX_NAME ? fileName : fileName.substring(0, MAX_NAME);
            row.content = PictureScaling.within(content, KEPT, MAX_KEPT_BYTES).content();
            db.persist(row);
        } catch (UnreadablePictureException e) {
            throw new Rejection("file", e.sentence());
        }
    }

    @Transactional
    public void remove(long id) {
        db.remove(find(id));
    }

    @Transactional(readOnly = true)
    public byte[] content(long id) {
        return find(id).content;
    }

    private OwnPictureRow find(long id) {
        OwnPictureRow row = db.find(OwnPictureRow.class, id);
        if (row == null) {
            throw Rejection.notThere("There is no picture of yours with the number " + id + ".");
        }
        return row;
    }
}
