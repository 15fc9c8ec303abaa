package yokebar.app.sources.clock;

import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.WholeTopic;

/** Tells open pages how far this computer's clock is off. */
@Component
class ClockTopic extends WholeTopic<ClockView> {

    ClockTopic(LivePages pages, ClockCheck clock) {
        super(pages, LiveMessage.of("clock", ClockView.class), clock::view);
    }

    @EventListener
    void changed(ClockChecked event) {
        due();
    }
}
