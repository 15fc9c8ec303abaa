package yokebar.app.sources.search;

import java.util.List;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.LiveTopic;

/** Tells open pages which devices were found. */
@Component
class SearchTopic implements LiveTopic {
    private static final LiveMessage<SearchView> SEARCH = LiveMessage.of("search", SearchView.class);

    private final LivePages pages;
    private final DeviceSearches searches;

    SearchTopic(LivePages pages, DeviceSearches searches) {
        this.pages = pages;
        this.searches = searches;
    }

    @EventListener
    void changed(SearchUpdated event) {
        pages.due(this);
    }

    @Override
    public List<LiveMessage<?>> messages() {
        return List.of(SEARCH);
    }

    @Override
    public void send(LivePages to) {
        to.send(SEARCH, searches.view());
    }
}
