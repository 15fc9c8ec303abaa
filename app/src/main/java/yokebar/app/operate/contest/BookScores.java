package yokebar.app.operate.contest;

import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.log.ContactsChanged;
import yokebar.app.log.ContactsDeleted;
import yokebar.app.log.ContactsLogged;
import yokebar.app.log.ContactsRestored;
import yokebar.app.log.store.ContactLog;
import yokebar.app.station.position.Positions;
import yokebar.app.station.reference.ReferenceData;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.LoggedContact;

/**
 * Keeps the books that somebody looked at counted. A book is read from the log once; after that only contacts that changed are
 * read again, when the next question comes. Thread-safe.
 */
@Component
class BookScores {
    private static final int MAX_CONTACTS = 100_000;
    private static final int MAX_KEPT = 8;

    private final ContactLog log;
    private final Positions positions;
    private final ReferenceData reference;
    private final ApplicationEventPublisher events;
    private final Map<Long, Kept> kept = new HashMap<>();
    private final AtomicLong revision = new AtomicLong();

    BookScores(ContactLog log, Positions positions, ReferenceData reference, ApplicationEventPublisher events) {
        this.log = log;
        this.positions = positions;
        this.reference = reference;
        this.events = events;
    }

    /** @param touched ids of contacts that have to be read again before the next answer */
    private record Kept(int version, CountedBook counted, Set<Long> touched) {}

    /** Asks about a book as the log is now. */
    synchronized <T> T ask(BookRow book, Function<CountedBook, T> question) {
        Kept known = kept.get(book.number());
        if (known == null || known.version() != book.version) {
            if (kept.size() >= MAX_KEPT) {
                kept.clear();
            }
            known = new Kept(book.version, read(book), new HashSet<>());
            kept.put(book.number(), known);
        }
        if (!known.touched().isEmpty()) {
            Map<Long, LoggedContact> now = log.find(known.touched());
            for (long id : known.touched()) {
                known.counted().take(id, now.get(id));
            }
            known.touched().clear();
        }
        return question.apply(known.counted());
    }

    /** Counts up whenever a contact of a kept book is different. */
    long revision() {
        return revision.get();
    }

    synchronized void forget(long bookId) {
        kept.remove(bookId);
    }

    private CountedBook read(BookRow book) {
        CountedBook counted = new CountedBook(
                book, reference.entities(), positions.settingAt(null).locator());
        log.between(book.startsAt, book.endsAt, MAX_CONTACTS).forEach(contact -> counted.take(contact.id(), contact));
        return counted;
    }

    @TransactionalEventListener
    void logged(ContactsLogged event) {
        touch(event.contacts());
    }

    @TransactionalEventListener
    void restored(ContactsRestored event) {
        touch(event.contacts());
    }

    @TransactionalEventListener
    void changed(ContactsChanged event) {
        touch(event.changes().stream().map(ContactsChanged.Change::after).toList());
    }

    @TransactionalEventListener
    void deleted(ContactsDeleted event) {
        touch(event.ids(), Map.of());
    }

    private void touch(List<LoggedContact> contacts) {
        Map<Long, Contact> byId = new HashMap<>();
        contacts.forEach(logged -> byId.put(logged.id(), logged.contact()));
        touch(byId.keySet(), byId);
    }

    /** Contacts that have nothing to do with a book, as most of a large import, are not read for it. */
    private synchronized void touch(Collection<Long> ids, Map<Long, Contact> contacts) {
        boolean any = false;
        for (Kept book : kept.values()) {
            for (long id : ids) {
                @Nullable Contact contact = contacts.get(id);
                if (book.counted().has(id)
                        || book.touched().contains(id)
                        || contact != null && book.counted().takes(contact)) {
                    any |= book.touched().add(id);
                }
            }
        }
        if (any) {
            revision.incrementAndGet();
            events.publishEvent(new ContestUpdated(ContestUpdated.Part.CONTACTS));
        }
    }
}
