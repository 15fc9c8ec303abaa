package yokebar.app.operate.contest.team;

import jakarta.persistence.EntityManager;
import java.util.EnumMap;
import java.util.Map;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import yokebar.core.basics.band.Band;

/** The bands that one position works alone. */
@Repository
class TakenBands {
    private final EntityManager db;

    TakenBands(EntityManager db) {
        this.db = db;
    }

    /** The ids of the positions, by the bands, the longest waves first. */
    @Transactional(readOnly = true)
    Map<Band, Long> of(long bookId) {
        Map<Band, Long> taken = new EnumMap<>(Band.class);
        db.createQuery("from BandRow where key.bookId = :book", BandRow.class)
                .setParameter("book", bookId)
                .getResultStream()
                .forEach(row -> {
                    Band band = Band.named(row.key.band());
                    if (band != null) {
                        taken.put(band, row.positionId);
                    }
                });
        return taken;
    }

    @Transactional
    void take(long bookId, Band band, long positionId) {
        BandRow.Key key = new BandRow.Key(bookId, band.adifName());
        BandRow known = db.find(BandRow.class, key);
        BandRow row = known == null ? new BandRow() : known;
        row.key = key;
        row.positionId = positionId;
        db.persist(row);
    }

    @Transactional
    void giveBack(long bookId, Band band) {
        BandRow row = db.find(BandRow.class, new BandRow.Key(bookId, band.adifName()));
        if (row != null) {
            db.remove(row);
        }
    }
}
