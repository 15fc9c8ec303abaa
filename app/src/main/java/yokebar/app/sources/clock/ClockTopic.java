package yokebar.app.sources.clock;

import java.util.List;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.LiveTopic;

/** Tells open pages how far this computer's clock is off. */
@Component
class ClockTopic implements LiveTopic {
    private static final LiveMessage<ClockView> CLOCK = LiveMessage.of("clock", ClockView.class);

    private final LivePages pages;
    private final ClockCheck clock;

    ClockTopic(LivePages pages, ClockCheck clock) {
        this.pages = pages;
        this.clock = clock;
    }

    @EventListener
    void changed(ClockChecked event) {
        pages.due(this);
    }

    @Override
    public List<LiveMessage<?>> messages() {
        return List.of(CLOCK);
    }

    @Override
    public void send(LivePages to) {
        to.send(CLOCK, clock.view());
    }
}
