package yokebar.app.sources.hookup;

import java.util.List;
import java.util.Optional;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.LiveTopic;
import yokebar.app.platform.live.Pending;

/** Tells open pages how each hookup is, and which were removed. */
@Component
class HookupTopic implements LiveTopic {
    private static final LiveMessage<HookupView> HOOKUP = LiveMessage.of("hookup", HookupView.class);
    private static final LiveMessage<RemovedHookup> GONE = LiveMessage.of("hookup-gone", RemovedHookup.class);

    private final LivePages pages;
    private final Hookups hookups;
    private final Pending<String> changed = new Pending<>();

    HookupTopic(LivePages pages, Hookups hookups) {
        this.pages = pages;
        this.hookups = hookups;
    }

    /** A hookup that was removed for good. */
    record RemovedHookup(String id) {}

    @EventListener
    void changed(HookupChanged event) {
        changed.add(event.id());
        pages.due(this);
    }

    @Override
    public List<LiveMessage<?>> messages() {
        return List.of(HOOKUP, GONE);
    }

    @Override
    public void send(LivePages to) {
        for (String id : changed.take()) {
            Optional<Hookup> hookup = hookups.find(id);
            if (hookup.isPresent()) {
                to.send(HOOKUP, HookupView.of(hookup.get()));
            } else {
                to.send(GONE, new RemovedHookup(id));
            }
        }
    }
}
