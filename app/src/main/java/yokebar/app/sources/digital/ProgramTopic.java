package yokebar.app.sources.digital;

import java.util.List;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.LiveTopic;

/** Tells open pages what the digital-mode programs do. */
@Component
class ProgramTopic implements LiveTopic {
    private static final LiveMessage<List<ProgramView>> PROGRAMS = LiveMessage.listOf("programs", ProgramView.class);

    private final LivePages pages;
    private final DigitalPrograms programs;

    ProgramTopic(LivePages pages, DigitalPrograms programs) {
        this.pages = pages;
        this.programs = programs;
    }

    @EventListener
    void changed(ProgramUpdated event) {
        pages.due(this);
    }

    @Override
    public List<LiveMessage<?>> messages() {
        return List.of(PROGRAMS);
    }

    @Override
    public void send(LivePages to) {
        to.send(PROGRAMS, programs.views());
    }
}
