package yokebar.app.sources.digital;

import java.util.List;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.WholeTopic;

/** Tells open pages what the digital-mode programs do. */
@Component
class ProgramTopic extends WholeTopic<List<ProgramView>> {

    ProgramTopic(LivePages pages, DigitalPrograms programs) {
        super(pages, LiveMessage.listOf("programs", ProgramView.class), programs::views);
    }

    @EventListener
    void changed(ProgramUpdated event) {
        due();
    }
}
