package yokebar.app.sources.rotor;

import java.util.List;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.WholeTopic;

/** Tells open pages where the antennas point. */
@Component
class RotorTopic extends WholeTopic<List<RotorView>> {

    RotorTopic(LivePages pages, Rotors rotors) {
        super(pages, LiveMessage.listOf("rotors", RotorView.class), rotors::views);
    }

    @EventListener
    void changed(RotorTurned event) {
        dueIfWatched();
    }
}
