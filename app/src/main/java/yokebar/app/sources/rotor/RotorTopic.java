package yokebar.app.sources.rotor;

import java.util.List;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.LiveTopic;

/** Tells open pages where the antennas point. */
@Component
class RotorTopic implements LiveTopic {
    private static final LiveMessage<List<RotorView>> ROTORS = LiveMessage.listOf("rotors", RotorView.class);

    private final LivePages pages;
    private final Rotors rotors;

    RotorTopic(LivePages pages, Rotors rotors) {
        this.pages = pages;
        this.rotors = rotors;
    }

    @EventListener
    void changed(RotorTurned event) {
        pages.dueIfWatched(this);
    }

    @Override
    public List<LiveMessage<?>> messages() {
        return List.of(ROTORS);
    }

    @Override
    public void send(LivePages to) {
        to.send(ROTORS, rotors.views());
    }
}
