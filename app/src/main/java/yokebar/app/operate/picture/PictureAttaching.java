package yokebar.app.operate.picture;

import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.List;
import java.util.Objects;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.transaction.support.TransactionTemplate;
import yokebar.app.log.ContactsChanged;
import yokebar.app.log.ContactsDeleted;
import yokebar.app.log.ContactsLogged;
import yokebar.app.log.ContactsRestored;
import yokebar.app.log.store.ContactLog;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.services.delivery.picture.ContactPictures;
import yokebar.core.basics.call.Call;
import yokebar.core.log.contact.LoggedContact;

/**
 * Decides what becomes of received pictures: which contact each belongs to, and which of a contact's pictures follows it to the
 * services, which show one for each contact.
 */
@Service
public class PictureAttaching {
    private static final int MAX_NOTE = 500;

    private final EntityManager db;
    private final ReceivedPictures pictures;
    private final ContactPictures contactPictures;
    private final ContactLog log;
    private final ApplicationEventPublisher events;
    private final TransactionTemplate transaction;

    PictureAttaching(
            EntityManager db,
            ReceivedPictures pictures,
            ContactPictures contactPictures,
            ContactLog log,
            ApplicationEventPublisher events,
            PlatformTransactionManager transactions) {
        this.db = db;
        this.pictures = pictures;
        this.contactPictures = contactPictures;
        this.log = log;
        this.events = events;
        this.transaction = new TransactionTemplate(transactions);
        // What is stored after a commit needs a transaction of its own.
        this.transaction.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    }

    /** What was logged just before an end of the application. */
    @EventListener
    void ready(ApplicationReadyEvent event) {
        transaction.executeWithoutResult(status -> attachWaiting());
    }

    /** Attaches a picture to a contact in the log. It follows it to the services unless the contact has a picture already. */
    @Transactional
    void attach(long id, long contactId) {
        LoggedContact contact = log.find(contactId)
                .orElseThrow(() -> new Rejection("contactId", "This contact is not in the log any more."));
        attach(pictures.find(id), contact);
        changed();
    }

    private void attach(ReceivedPictureRow row, LoggedContact contact) {
        if (Objects.equals(row.contactId, contact.id()) && row.state == PictureState.ATTACHED) {
            return;
        }
        takeOff(row);
        row.state = PictureState.ATTACHED;
        row.contactId = contact.id();
        row.callSign = contact.contact().call().text();
        row.waitsFor = null;
        if (!contactPictures.standing(contact.id()).there()) {
            send(row);
        }
    }

    /**
     * Attaches a picture to the contact with a station that is under way: to the one in the log, where it is logged already, or
     * else to the one that will be.
     */
    @Transactional
    void attachToCall(long id, String typed) {
        Call call = Call.read(typed);
        if (call == null) {
            throw new Rejection("call", "\"" + typed + "\" is not a call.");
        }
        ReceivedPictureRow row = pictures.find(id);
        pictures.withCall(row, call).ifPresentOrElse(logged -> attach(row, logged), () -> {
            takeOff(row);
            row.state = PictureState.WAITING;
            row.waitsFor = call.text();
        });
        changed();
    }

    /** Takes a picture off its contact, here and at the services; it waits again. */
    @Transactional
    void detach(long id) {
        ReceivedPictureRow row = pictures.find(id);
        takeOff(row);
        row.state = PictureState.WAITING;
        row.waitsFor = null;
        changed();
    }

    /** Keeps a picture without a contact, or hides it. */
    @Transactional
    void putAside(long id, PictureState state) {
        ReceivedPictureRow row = pictures.find(id);
        if (state == PictureState.ATTACHED) {
            throw new Rejection("state", "Choose the contact that the picture belongs to.");
        }
        takeOff(row);
        row.state = state;
        row.waitsFor = null;
        changed();
    }

    /** Sends this picture to the services in the place of the one that its contact has. */
    @Transactional
    void sendThis(long id) {
        ReceivedPictureRow row = pictures.find(id);
        if (row.state != PictureState.ATTACHED) {
            throw new Rejection("id", "Attach the picture to a contact first.");
        }
        send(row);
        changed();
    }

    @Transactional
    void note(long id, String note) {
        String tidy = note.strip();
        if (tidy.length() > MAX_NOTE) {
            throw new Rejection("note", "A note has at most " + MAX_NOTE + " characters.");
        }
        pictures.find(id).note = tidy;
        changed();
    }

    private void takeOff(ReceivedPictureRow row) {
        Long contactId = row.contactId;
        boolean attached = row.state == PictureState.ATTACHED;
        row.contactId = null;
        row.callSign = null;
        if (contactId == null || !attached || !isSent(row, contactId)) {
            return;
        }
        List<ReceivedPictureRow> others = of(List.of(contactId)).stream()
                .filter(other -> other.number() != row.number() && other.state == PictureState.ATTACHED)
                .toList();
        if (others.isEmpty()) {
            contactPictures.takeAway(contactId);
        } else {
            send(others.get(0));
        }
    }

    private boolean isSent(ReceivedPictureRow row, long contactId) {
        return Objects.equals(contactPictures.standing(contactId).receivedId(), row.number());
    }

    private void send(ReceivedPictureRow row) {
        contactPictures.put(
                Objects.requireNonNull(row.contactId),
                pictures.content(row.number()).bytes(),
                row.number());
    }

    private List<ReceivedPictureRow> of(Collection<Long> contactIds) {
        return db.createQuery(
                        "from ReceivedPictureRow where contactId in :ids order by receivedAt, id",
                        ReceivedPictureRow.class)
                .setParameter("ids", contactIds)
                .getResultList();
    }

    /** Only once the contacts are stored: a picture never keeps a contact out of the log. */
    @TransactionalEventListener
    void logged(ContactsLogged event) {
        transaction.executeWithoutResult(status -> attachWaiting());
    }

    /** Attaches the pictures that wait for a call whose contact is in the log by now. */
    private void attachWaiting() {
        List<ReceivedPictureRow> waiting = db.createQuery(
                        "from ReceivedPictureRow where waitsFor is not null order by receivedAt, id",
                        ReceivedPictureRow.class)
                .getResultList();
        for (ReceivedPictureRow row : waiting) {
            Call call = Call.read(String.valueOf(row.waitsFor));
            LoggedContact logged =
                    call == null ? null : pictures.withCall(row, call).orElse(null);
            if (logged != null) {
                attach(row, logged);
                changed();
            }
        }
    }

    @EventListener
    void edited(ContactsChanged event) {
        for (ContactsChanged.Change change : event.changes()) {
            String call = change.after().contact().call().text();
            if (!call.equals(change.before().call().text())) {
                of(List.of(change.after().id())).forEach(row -> row.callSign = call);
                changed();
            }
        }
    }

    /** The service takes a picture away with its contact. */
    @EventListener
    void deleted(ContactsDeleted event) {
        setStates(event.ids(), PictureState.ATTACHED, PictureState.WAITING);
    }

    @EventListener
    void restored(ContactsRestored event) {
        List<Long> ids = event.contacts().stream().map(LoggedContact::id).toList();
        setStates(ids, PictureState.WAITING, PictureState.ATTACHED);
    }

    private void setStates(List<Long> contactIds, PictureState from, PictureState to) {
        int changed = db.createNativeQuery("update received_picture p set state = :to, version = version + 1"
                        + " where p.contact_id = any(:ids) and p.state = :from")
                .setParameter("to", to.name())
                .setParameter("ids", contactIds.toArray(Long[]::new))
                .setParameter("from", from.name())
                .executeUpdate();
        if (changed > 0) {
            changed();
        }
    }

    private void changed() {
        events.publishEvent(new PicturesChanged());
    }
}
