package yokebar.app.services.delivery.picture;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.SealsChanged;
import yokebar.app.log.store.ContactLog;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.services.delivery.LaneChanged;
import yokebar.app.services.delivery.ServiceAccount;
import yokebar.app.services.delivery.Services;
import yokebar.app.services.delivery.Texts;
import yokebar.core.basics.picture.Picture;
import yokebar.core.basics.picture.PictureFormat;
import yokebar.core.basics.picture.UnreadablePictureException;

/** Pictures put to contacts. They follow a contact to services that show pictures, once its contact is there. */
@Service
public class ContactPictures {

    private final EntityManager db;
    private final ContactLog log;
    private final Services services;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    ContactPictures(
            EntityManager db, ContactLog log, Services services, Clock clock, ApplicationEventPublisher events) {
        this.db = db;
        this.log = log;
        this.services = services;
        this.clock = clock;
        this.events = events;
    }

    /**
     * How a contact's picture stands.
     *
     * @param there whether there is one
     * @param service where it goes; null when no service in use shows pictures
     * @param sentAt when it was taken there, UTC; null while it is not there
     * @param trouble why it was not taken
     * @param receivedId the received picture it is a copy of; null for one that was uploaded
     */
    public record Standing(
            boolean there,
            @Nullable String service,
            @Nullable Instant sentAt,
            @Nullable String trouble,
            @Nullable Long receivedId) {
        public static final Standing NONE = new Standing(false, null, null, null, null);
    }

    /**
     * A picture that is to go, or to be taken away there.
     *
     * @param number what the service calls the contact
     * @param content null for one to be taken away
     */
    public record Due(long contactId, int version, String number, byte @Nullable [] content) {}

    @Transactional(readOnly = true)
    public Standing standing(long contactId) {
        String service = services.forPictures().map(ServiceAccount::name).orElse(null);
        // Without its content, which may be many megabytes.
        return db.createQuery(
                        "select p.sentAt, p.trouble, p.receivedId from ContactPicture p"
                                + " where p.contactId = :id and p.content is not null",
                        Object[].class)
                .setParameter("id", contactId)
                .getResultStream()
                .findFirst()
                .map(row -> new Standing(true, service, (Instant) row[0], (String) row[1], (Long) row[2]))
                .orElseGet(() -> new Standing(false, service, null, null, null));
    }

    @Transactional(readOnly = true)
    public ContactPicture get(long contactId) {
        ContactPicture picture = db.find(ContactPicture.class, contactId);
        if (picture == null || picture.content == null) {
            throw new Rejection("picture", "This contact has no picture.");
        }
        return picture;
    }

    /**
     * Puts a picture to a contact, in the place of the one before.
     *
     * @param receivedId the received picture it is a copy of; null for one that was uploaded
     */
    @Transactional
    public void put(long contactId, byte[] content, @Nullable Long receivedId) {
        PictureFormat format = format(content);
        if (log.find(contactId).isEmpty()) {
            throw new Rejection("picture", "This contact is not in the log any more.");
        }
        ContactPicture picture = db.find(ContactPicture.class, contactId);
        if (picture == null) {
            picture = new ContactPicture();
            picture.contactId = contactId;
            db.persist(picture);
        }
        picture.contentType = format.mediaType();
        picture.content = content;
        picture.receivedId = receivedId;
        picture.addedAt = clock.instant();
        picture.sentAt = null;
        picture.trouble = null;
        publish(contactId);
    }

    /** Takes a picture away, here and where it went. */
    @Transactional
    public void takeAway(long contactId) {
        ContactPicture picture = db.find(ContactPicture.class, contactId);
        if (picture == null) {
            return;
        }
        if (picture.sentNumber == null) {
            db.remove(picture);
        } else {
            picture.content = null;
            picture.trouble = null;
        }
        publish(contactId);
    }

    /** The next pictures that a service has not got, of contacts it has. */
    @Transactional(readOnly = true)
    public List<Due> due(int serviceId, int max) {
        if (services.forPictures().filter(account -> account.id() == serviceId).isEmpty()) {
            return List.of();
        }
        List<Tuple> rows = db.createNativeQuery(
                        "select p.contact_id, r.number from contact_picture p"
                                + " join delivery d on d.contact_id = p.contact_id and d.service_id = :service"
                                + " join remote_contact r on r.contact_id = d.contact_id and r.service_id = d.service_id"
                                + " where d.state in ('ACCEPTED', 'CONFIRMED') and p.trouble is null"
                                + " and (p.content is null or p.sent_at is null or p.sent_number <> r.number)"
                                + " order by p.contact_id limit " + max,
                        Tuple.class)
                .setParameter("service", serviceId)
                .getResultList();
        return rows.stream()
                .map(row -> due(row.get(0, Number.class).longValue(), row.get(1, String.class)))
                .filter(Objects::nonNull)
                .toList();
    }

    private @Nullable Due due(long contactId, String number) {
        ContactPicture picture = db.find(ContactPicture.class, contactId);
        return picture == null ? null : new Due(contactId, picture.version, number, picture.content);
    }

    /**
     * Notes that a picture may be there from now on, so that it is taken away there should the operator take it away here.
     *
     * @return what is to be done; null when it is no longer so
     */
    @Transactional
    public @Nullable Due begin(Due due) {
        ContactPicture picture = db.find(ContactPicture.class, due.contactId());
        if (picture == null || picture.version != due.version()) {
            return null;
        }
        picture.sentNumber = due.number();
        db.flush();
        return new Due(due.contactId(), picture.version, due.number(), due.content());
    }

    /** The service did as it was told; should the operator have put another picture meanwhile, that one goes next. */
    @Transactional
    public void settled(Due due) {
        ContactPicture picture = db.find(ContactPicture.class, due.contactId());
        if (picture == null || picture.version != due.version()) {
            return;
        }
        if (due.content() == null) {
            db.remove(picture);
        } else {
            picture.sentAt = clock.instant();
        }
        events.publishEvent(new SealsChanged(List.of(due.contactId())));
    }

    @Transactional
    public void refused(Due due, String words) {
        ContactPicture picture = db.find(ContactPicture.class, due.contactId());
        if (picture != null && picture.version == due.version()) {
            picture.trouble = Texts.shortened(words);
            events.publishEvent(new SealsChanged(List.of(due.contactId())));
        }
    }

    private void publish(long contactId) {
        events.publishEvent(new SealsChanged(List.of(contactId)));
        services.ids().forEach(serviceId -> events.publishEvent(new LaneChanged(serviceId)));
    }

    private static PictureFormat format(byte[] content) {
        try {
            return Picture.read(content).format();
        } catch (UnreadablePictureException e) {
            throw new Rejection("picture", e.sentence());
        }
    }
}
