package yokebar.app.operate.picture;

import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.store.ContactLog;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.services.delivery.picture.ContactPictures;
import yokebar.core.basics.call.Call;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.operate.picture.LikelyContacts;

/** The received pictures, as they are looked at. */
@Service
public class ReceivedPictures {
    private static final int MAX_PAGE = 1000;
    private static final int MAX_LIKELY = 3;
    private static final int MAX_CANDIDATES = 2000;

    private final EntityManager db;
    private final ContactLog log;
    private final ContactPictures contactPictures;

    ReceivedPictures(EntityManager db, ContactLog log, ContactPictures contactPictures) {
        this.db = db;
        this.log = log;
        this.contactPictures = contactPictures;
    }

    /** In which order pictures are listed: the latest first, or by the other station's call. */
    enum PictureOrder {
        TIME,
        STATION
    }

    /**
     * Some of the pictures.
     *
     * @param pictures those asked for, in their order
     * @param counts how many there are in each state, whatever call is looked for
     * @param total how many there are in the state asked for, with the call asked for
     */
    record PicturePage(List<PictureView> pictures, Map<PictureState, Long> counts, long total) {}

    /**
     * A contact that a picture may belong to.
     *
     * @param start UTC
     */
    record LikelyContact(long id, String call, Instant start, String band, String mode) {}

    /**
     * A picture with what is known around it.
     *
     * @param likely contacts that it may belong to, the likeliest first
     * @param sent whether it is the one that goes to the services with its contact
     * @param sentAt when the service said that it has it, UTC
     * @param service where it goes; null when no service in use shows pictures
     * @param trouble why the service does not want it
     */
    record PictureDetails(
            PictureView picture,
            List<LikelyContact> likely,
            boolean sent,
            @Nullable Instant sentAt,
            @Nullable String service,
            @Nullable String trouble) {}

    /**
     * @param call only of stations whose call contains this; empty for all
     * @param offset how many to pass over
     */
    @Transactional(readOnly = true)
    PicturePage page(PictureState state, String call, PictureOrder order, int offset, int size) {
        String wanted = "%" + call.strip().toUpperCase(Locale.ROOT) + "%";
        String where = " from ReceivedPictureRow where state = :state"
                + (call.isBlank() ? "" : " and (callSign like :call or waitsFor like :call)");
        String by = order == PictureOrder.TIME
                ? " order by receivedAt desc, id desc"
                : " order by callSign nulls first, receivedAt desc, id desc";
        TypedQuery<ReceivedPictureRow> rows = db.createQuery(where + by, ReceivedPictureRow.class);
        TypedQuery<Long> total = db.createQuery("select count(*)" + where, Long.class);
        for (TypedQuery<?> query : List.of(rows, total)) {
            query.setParameter("state", state);
            if (!call.isBlank()) {
                query.setParameter("call", wanted);
            }
        }
        List<PictureView> views = rows.setFirstResult(Math.max(0, offset))
                .setMaxResults(Math.min(MAX_PAGE, Math.max(1, size)))
                .getResultStream()
                .map(PictureView::of)
                .toList();
        return new PicturePage(views, counts(), total.getSingleResult());
    }

    private Map<PictureState, Long> counts() {
        Map<PictureState, Long> counts = new EnumMap<>(PictureState.class);
        for (PictureState state : PictureState.values()) {
            counts.put(state, 0L);
        }
        db.createQuery("select state, count(*) from ReceivedPictureRow group by state", Object[].class)
                .getResultList()
                .forEach(row -> counts.put((PictureState) row[0], (Long) row[1]));
        return counts;
    }

    /** The latest picture about which nothing was decided yet; null for none. */
    @Transactional(readOnly = true)
    @Nullable
    PictureView latestWaiting() {
        return db.createQuery(
                        "from ReceivedPictureRow where state = :state and waitsFor is null"
                                + " order by receivedAt desc, id desc",
                        ReceivedPictureRow.class)
                .setParameter("state", PictureState.WAITING)
                .setMaxResults(1)
                .getResultStream()
                .findFirst()
                .map(PictureView::of)
                .orElse(null);
    }

    @Transactional(readOnly = true)
    PictureDetails details(long id) {
        ReceivedPictureRow row = find(id);
        PictureView view = PictureView.of(row);
        ContactPictures.Standing standing =
                view.contactId() == null ? ContactPictures.Standing.NONE : contactPictures.standing(view.contactId());
        boolean sent = standing.there() && Objects.equals(standing.receivedId(), id);
        return new PictureDetails(
                view,
                likely(row).stream().map(ReceivedPictures::likely).toList(),
                sent,
                sent ? standing.sentAt() : null,
                standing.service(),
                sent ? standing.trouble() : null);
    }

    /** The contacts in the log that a picture may belong to, the likeliest first. */
    private List<LoggedContact> likely(ReceivedPictureRow row) {
        return LikelyContacts.of(near(row), row.receivedAt, row.frequencyHz, MAX_LIKELY);
    }

    /** The contact with a station near in time, however it is logged; empty when there is none. */
    Optional<LoggedContact> withCall(ReceivedPictureRow row, Call call) {
        return LikelyContacts.with(call, near(row), row.receivedAt);
    }

    private List<LoggedContact> near(ReceivedPictureRow row) {
        // A contact that began earlier may have gone on until then.
        return log.between(
                row.receivedAt.minus(LikelyContacts.MAX_APART.multipliedBy(2)),
                row.receivedAt.plus(LikelyContacts.MAX_APART),
                MAX_CANDIDATES);
    }

    private static LikelyContact likely(LoggedContact logged) {
        return new LikelyContact(
                logged.id(),
                logged.contact().call().text(),
                logged.contact().start(),
                logged.contact().band().adifName(),
                logged.contact().mode().label());
    }

    /**
     * What a picture shows.
     *
     * @param mediaType as it is sent over HTTP
     * @param fileName of the file it was received as
     */
    record PictureContent(String mediaType, String fileName, byte[] bytes) {}

    @Transactional(readOnly = true)
    PictureContent content(long id) {
        ReceivedPictureRow row = find(id);
        return new PictureContent(row.mediaType, row.fileName(), bytes(id, "content"));
    }

    /** A JPEG picture of at most 240 pixels a side. */
    @Transactional(readOnly = true)
    PictureContent thumbnail(long id) {
        return new PictureContent("image/jpeg", find(id).fileName(), bytes(id, "thumbnail"));
    }

    private byte[] bytes(long id, String which) {
        return db.createQuery("select " + which + " from PictureContentRow where id = :id", byte[].class)
                .setParameter("id", id)
                .getSingleResult();
    }

    ReceivedPictureRow find(long id) {
        ReceivedPictureRow row = db.find(ReceivedPictureRow.class, id);
        if (row == null) {
            throw Rejection.notThere("There is no picture " + id + ".");
        }
        return row;
    }
}
