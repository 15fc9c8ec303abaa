package yokebar.app.sources.hookup;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentSkipListMap;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** All couplings, and which of them the operator wants connected. */
@Service
public class Hookups {
    private final Map<String, Hookup> byId = new ConcurrentSkipListMap<>();
    private final EntityManager db;
    private final ApplicationEventPublisher events;

    Hookups(EntityManager db, ApplicationEventPublisher events) {
        this.db = db;
        this.events = events;
    }

    public void register(Hookup hookup) {
        byId.put(hookup.id(), hookup);
        changed(hookup.id());
    }

    /** Forgets a coupling that was taken down for good. */
    @Transactional
    public void remove(Hookup hookup) {
        byId.remove(hookup.id(), hookup);
        HookupSwitch stored = db.find(HookupSwitch.class, hookup.id());
        if (stored != null) {
            db.remove(stored);
        }
        changed(hookup.id());
    }

    /** Forgets a coupling that is set up anew; the operator's wish stays. */
    public void forget(Hookup hookup) {
        byId.remove(hookup.id(), hookup);
    }

    /** To be called by a coupling whenever what it shows is different. */
    public void changed(String id) {
        events.publishEvent(new HookupChanged(id));
    }

    public List<Hookup> all() {
        return List.copyOf(byId.values());
    }

    public Optional<Hookup> find(String id) {
        return Optional.ofNullable(byId.get(id));
    }

    /** Whether the operator wants it connected; so unless switched off. */
    @Transactional(readOnly = true)
    public boolean wanted(String id) {
        HookupSwitch stored = db.find(HookupSwitch.class, id);
        return stored == null || stored.connected;
    }

    /** Carries the operator's wish out and remembers it; a full disk keeps nobody from disconnecting. */
    @Transactional
    public void want(Hookup hookup, boolean connected) {
        if (connected) {
            hookup.connect();
        } else {
            hookup.disconnect();
        }
        HookupSwitch stored = db.find(HookupSwitch.class, hookup.id());
        if (stored == null) {
            stored = new HookupSwitch();
            stored.hookupId = hookup.id();
            stored.connected = connected;
            db.persist(stored);
        }
        stored.connected = connected;
    }
}
