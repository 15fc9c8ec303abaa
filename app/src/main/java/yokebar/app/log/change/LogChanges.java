package yokebar.app.log.change;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.ChangeKind;
import yokebar.app.log.ChangeUndone;
import yokebar.app.log.ChangeUpdated;
import yokebar.app.log.store.PastContact;
import yokebar.app.platform.actor.CurrentActor;
import yokebar.app.platform.rejection.Rejection;

/** What was done to the log, and each contact as it was before. */
@Service
public class LogChanges {
    private static final int MAX_LISTED = 200;

    private final EntityManager db;
    private final Clock clock;
    private final CurrentActor actor;
    private final ApplicationEventPublisher events;

    LogChanges(EntityManager db, Clock clock, CurrentActor actor, ApplicationEventPublisher events) {
        this.db = db;
        this.clock = clock;
        this.actor = actor;
        this.events = events;
    }

    /**
     * Opens a change that is done within the running transaction.
     *
     * @return its number
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public long make(ChangeKind kind, String sentence, int contacts) {
        LogChange change = open(kind, sentence, contacts, null);
        change.done = contacts;
        change.state = LogChange.State.DONE;
        return change.number();
    }

    /**
     * Opens a change that goes on through several transactions.
     *
     * @return its number
     */
    @Transactional
    public long begin(ChangeKind kind, String sentence) {
        return open(kind, sentence, 0, null).number();
    }

    /** @param whole whether it went through to its end */
    @Transactional
    public void end(long changeId, boolean whole) {
        ended(changeId, whole ? LogChange.State.DONE : LogChange.State.STOPPED, null);
    }

    /** Notes which contacts a change brought, so that taking it back takes them out. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void brought(long changeId, Collection<Long> contactIds) {
        db.createNativeQuery("insert into contact_added (change_id, contact_id) select :change, w.id"
                        + " from unnest(:ids) as w(id)")
                .setParameter("change", changeId)
                .setParameter("ids", contactIds.toArray(Long[]::new))
                .executeUpdate();
    }

    private List<Long> broughtBy(long changeId) {
        return db.createNativeQuery("select contact_id from contact_added where change_id = :change", Long.class)
                .setParameter("change", changeId)
                .getResultList();
    }

    @Transactional(readOnly = true)
    public List<ChangeView> latest() {
        return db.createQuery("from LogChange order by id desc", LogChange.class)
                .setMaxResults(MAX_LISTED)
                .getResultStream()
                .map(ChangeView::of)
                .toList();
    }

    @Transactional(readOnly = true)
    public Optional<ChangeView> find(long id) {
        return Optional.ofNullable(db.find(LogChange.class, id)).map(ChangeView::of);
    }

    /**
     * A contact that was taken out of the log and is not back.
     *
     * @param at when it was taken out, UTC
     */
    public record Deleted(long changeId, Instant at) {}

    /** Contacts with a call that began within the span and were deleted, the latest first. */
    @Transactional(readOnly = true)
    public List<Deleted> deleted(String call, Instant from, Instant until) {
        List<Long> ids = db.createNativeQuery(
                        "select distinct p.change_id from contact_past p where p.call_sign = :call"
                                + " and p.fate = 'DELETED' and p.started_at between :from and :until"
                                + " and not exists (select 1 from contact c where c.id = p.id) order by p.change_id desc",
                        Long.class)
                .setParameter("call", call)
                .setParameter("from", from)
                .setParameter("until", until)
                .getResultList();
        return ids.stream().map(id -> new Deleted(id, present(id).madeAt)).toList();
    }

    /** Opens a change that goes on through several transactions. */
    @Transactional
    LogChange open(ChangeKind kind, String sentence, int planned, @Nullable Long undoes) {
        LogChange change = new LogChange();
        change.madeAt = clock.instant();
        change.madeBy = actor.words();
        change.kind = kind;
        change.say(sentence);
        change.planned = planned;
        change.state = LogChange.State.RUNNING;
        change.undoes = undoes;
        db.persist(change);
        db.flush();
        if (undoes != null) {
            LogChange undone = present(undoes);
            if (undone.undoneBy != null) {
                throw new Rejection("change", "That was undone already.");
            }
            undone.undoneBy = change.number();
            events.publishEvent(new ChangeUndone(undoes, broughtBy(undoes)));
        }
        events.publishEvent(new ChangeUpdated(change.number()));
        return change;
    }

    /** Keeps contacts as they are now, before the running transaction changes them. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void keep(long changeId, PastContact.Fate fate, Collection<Long> contactIds) {
        db.createNativeQuery("insert into contact_past select :change, :fate, c.*"
                        + " from unnest(:ids) as w(id) join contact c on c.id = w.id")
                .setParameter("change", changeId)
                .setParameter("fate", fate.name())
                .setParameter("ids", contactIds.toArray(Long[]::new))
                .executeUpdate();
    }

    /** Notes that a change that goes on came so much further. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void moved(long changeId, int contacts) {
        LogChange change = db.find(LogChange.class, changeId, LockModeType.PESSIMISTIC_WRITE);
        change.done += contacts;
        events.publishEvent(new ChangeUpdated(changeId));
    }

    @Transactional
    void ended(long changeId, LogChange.State state, @Nullable String sentence) {
        LogChange change = present(changeId);
        change.state = state;
        if (sentence != null) {
            change.say(sentence);
        }
        if (state == LogChange.State.STOPPED && change.undoes != null && change.done == 0) {
            present(change.undoes).undoneBy = null;
        }
        events.publishEvent(new ChangeUpdated(changeId));
    }

    /** The number of the newest change; 0 when there was none. */
    @Transactional(readOnly = true)
    public long newest() {
        Long newest =
                db.createQuery("select max(id) from LogChange", Long.class).getSingleResult();
        return newest == null ? 0 : newest;
    }

    /** The contacts that changes after this one had to do with. */
    @Transactional(readOnly = true)
    public List<Long> touchedSince(long changeId) {
        return db.createNativeQuery(
                        "select id from contact_past where change_id > :change"
                                + " union select contact_id from contact_added where change_id > :change",
                        Long.class)
                .setParameter("change", changeId)
                .getResultList();
    }

    /**
     * What was under way when the application ended, and does not go on, ended there. A change of many contacts of which nothing is
     * left to do was carried out whole.
     *
     * @param goingOn those that go on
     */
    @Transactional
    void stopAbandoned(Collection<Long> goingOn) {
        db.createQuery("from LogChange where state = :running", LogChange.class)
                .setParameter("running", LogChange.State.RUNNING)
                .getResultStream()
                .filter(change -> !goingOn.contains(change.number()))
                .forEach(change -> change.state = change.planned > 0 ? LogChange.State.DONE : LogChange.State.STOPPED);
    }

    @Transactional(readOnly = true)
    LogChange present(long id) {
        LogChange change = db.find(LogChange.class, id);
        if (change == null) {
            throw Rejection.notThere("There is no change " + id + ".");
        }
        return change;
    }
}
