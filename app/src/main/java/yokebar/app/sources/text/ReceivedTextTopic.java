package yokebar.app.sources.text;

import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.WholeTopic;

/** Tells open pages what is received. */
@Component
class ReceivedTextTopic extends WholeTopic<ReceivedTextView> {

    ReceivedTextTopic(LivePages pages, ReceivedText text) {
        super(pages, LiveMessage.of("received-text", ReceivedTextView.class), text::view);
    }

    @EventListener
    void changed(ReceivedTextChanged event) {
        dueIfWatched();
    }
}
