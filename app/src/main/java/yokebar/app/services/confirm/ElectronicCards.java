package yokebar.app.services.confirm;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.services.delivery.ServiceLines;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;

/** What confirmations came lately, and the pictures of those that are cards. */
@Service
class ElectronicCards {
    private static final int SHOWN = 60;
    private static final int LARGEST_PICTURE = 4_000_000;

    private final EntityManager db;
    private final ServiceLines lines;
    private final TransactionTemplate transaction;

    ElectronicCards(EntityManager db, ServiceLines lines, TransactionTemplate transaction) {
        this.db = db;
        this.lines = lines;
        this.transaction = transaction;
    }

    /**
     * A confirmation that came.
     *
     * @param contactId the contact it is of; null when it fits none
     * @param brings what was new with it; null when nothing was
     * @param picture whether there is a picture of a card
     */
    record Received(
            long id,
            String call,
            String band,
            String mode,
            Instant start,
            Instant fetchedAt,
            @Nullable String locator,
            @Nullable String remark,
            @Nullable Long contactId,
            @Nullable String brings,
            boolean picture) {}

    /** @param picturesOnly whether only cards are wanted */
    @Transactional(readOnly = true)
    public List<Received> latest(int serviceId, boolean picturesOnly) {
        return db.createQuery(
                        "from ConfirmationRow where serviceId = :service"
                                + (picturesOnly ? " and picture is not null" : "") + " order by id desc",
                        ConfirmationRow.class)
                .setParameter("service", serviceId)
                .setMaxResults(SHOWN)
                .getResultStream()
                .map(ElectronicCards::view)
                .toList();
    }

    /** The picture, from here if it was looked at before, else from the service. */
    byte[] picture(long confirmationId) {
        CardPicture kept = db.find(CardPicture.class, confirmationId);
        if (kept != null) {
            return kept.content;
        }
        ConfirmationRow row = db.find(ConfirmationRow.class, confirmationId);
        if (row == null || row.picture == null) {
            throw new Rejection("picture", "There is no picture of this card.");
        }
        byte[] content;
        try {
            content = lines.picture(row.serviceId, row.picture);
        } catch (ServiceRefused | ServiceUnreachable e) {
            throw new Rejection("picture", String.valueOf(e.getMessage()));
        }
        if (content.length > LARGEST_PICTURE || !isPng(content)) {
            throw new Rejection("picture", "What the service sent is not a picture that can be shown.");
        }
        CardPicture picture = new CardPicture();
        picture.confirmationId = confirmationId;
        picture.content = content;
        transaction.executeWithoutResult(status -> db.merge(picture));
        return content;
    }

    private static boolean isPng(byte[] content) {
        return content.length > 8 && content[0] == (byte) 0x89 && content[1] == 'P' && content[2] == 'N';
    }

    private static Received view(ConfirmationRow row) {
        return new Received(
                row.number(),
                row.callSign,
                row.band,
                row.submode == null ? row.mode : row.submode,
                row.startedAt,
                row.fetchedAt,
                row.locator,
                row.remark,
                row.contactId,
                row.brings,
                row.picture != null);
    }
}
