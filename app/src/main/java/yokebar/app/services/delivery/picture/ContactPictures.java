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

/** Pictures put to contacts. They follow a contact to services that show pictures, once its contact is there. */
@Service
public class ContactPictures {
    private static final int MAX_BYTES = 1_000_000;

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
     */
    record Standing(boolean there, @Nullable String service, @Nullable Instant sentAt, @Nullable String trouble) {}

    /**
     * A picture that is to go, or to be taken away there.
     *
     * @param number what the service calls the contact
     * @param content null for one to be taken away
     */
    public record Due(long contactId, int version, String number, String contentType, byte @Nullable [] content) {}

    @Transactional(readOnly = true)
    public Standing standing(long contactId) {
        String service = services.forPictures().map(ServiceAccount::name).orElse(null);
        ContactPicture picture = db.find(ContactPicture.class, contactId);
        return picture == null || picture.content == null
                ? new Standing(false, service, null, null)
                : new Standing(true, service, picture.sentAt, picture.trouble);
    }

    @Transactional(readOnly = true)
    public ContactPicture get(long contactId) {
        ContactPicture picture = db.find(ContactPicture.class, contactId);
        if (picture == null || picture.content == null) {
            throw new Rejection("picture", "This contact has no picture.");
        }
        return picture;
    }

    /** Puts a picture to a contact, in the place of the one before. */
    @Transactional
    public void put(long contactId, byte[] content) {
        String type = type(content);
        if (type == null) {
            throw new Rejection("picture", "This is neither a PNG nor a JPEG picture.");
        }
        if (content.length > MAX_BYTES) {
            throw new Rejection(
                    "picture",
                    "The picture has " + content.length / 1000 + " kB; make it smaller than " + MAX_BYTES / 1000
                            + " kB.");
        }
        if (log.find(contactId).isEmpty()) {
            throw new Rejection("picture", "This contact is not in the log any more.");
        }
        ContactPicture picture = db.find(ContactPicture.class, contactId);
        if (picture == null) {
            picture = new ContactPicture();
            picture.contactId = contactId;
            db.persist(picture);
        }
        picture.contentType = type;
        picture.content = content;
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
        return picture == null
                ? null
                : new Due(contactId, picture.version, number, picture.contentType, picture.content);
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
        return new Due(due.contactId(), picture.version, due.number(), due.contentType(), due.content());
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

    /** By its first bytes: PNG (ISO/IEC 15948, 5.2) or JPEG (ITU-T T.81, SOI and a marker); null for anything else. */
    private static @Nullable String type(byte[] content) {
        if (content.length > 8 && content[0] == (byte) 0x89 && content[1] == 'P' && content[2] == 'N') {
            return "image/png";
        }
        boolean jpeg = content.length > 3
                && content[0] == (byte) 0xFF
                && content[1] == (byte) 0xD8
                && content[2] == (byte) 0xFF;
        return jpeg ? "image/jpeg" : null;
    }
}
