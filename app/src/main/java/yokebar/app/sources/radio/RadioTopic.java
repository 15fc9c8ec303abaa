package yokebar.app.sources.radio;

import java.util.List;
import java.util.Set;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.LiveTopic;
import yokebar.app.platform.live.Pending;

/** Tells open pages what the radios report, and which radios there are. */
@Component
class RadioTopic implements LiveTopic {
    private static final LiveMessage<RadioView> RADIO = LiveMessage.of("radio", RadioView.class);
    private static final LiveMessage<List<RadioView>> RADIOS = LiveMessage.listOf("radios", RadioView.class);

    private final LivePages pages;
    private final Radios radios;
    private final Pending<Long> updated = new Pending<>();
    private volatile boolean setChanged;

    RadioTopic(LivePages pages, Radios radios) {
        this.pages = pages;
        this.radios = radios;
    }

    @EventListener
    void changed(RadiosChanged event) {
        setChanged = true;
        pages.due(this);
    }

    @EventListener
    void updated(RadioUpdated event) {
        updated.add(event.radioId());
        pages.dueIfWatched(this);
    }

    @Override
    public List<LiveMessage<?>> messages() {
        return List.of(RADIO, RADIOS);
    }

    @Override
    public void send(LivePages to) {
        Set<Long> ids = updated.take();
        if (setChanged) {
            setChanged = false;
            to.send(RADIOS, radios.views());
        } else {
            ids.forEach(id -> radios.view(id).ifPresent(radio -> to.send(RADIO, radio)));
        }
    }
}
