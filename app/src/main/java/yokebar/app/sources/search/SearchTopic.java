package yokebar.app.sources.search;

import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.WholeTopic;

/** Tells open pages which devices were found. */
@Component
class SearchTopic extends WholeTopic<SearchView> {

    SearchTopic(LivePages pages, DeviceSearches searches) {
        super(pages, LiveMessage.of("search", SearchView.class), searches::view);
    }

    @EventListener
    void changed(SearchUpdated event) {
        due();
    }
}
