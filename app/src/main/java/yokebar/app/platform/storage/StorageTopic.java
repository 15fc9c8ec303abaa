package yokebar.app.platform.storage;

import java.util.List;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.LiveTopic;

/** Tells open pages whether contacts can be stored. */
@Component
class StorageTopic implements LiveTopic {
    private static final LiveMessage<Storage.StorageState> STORAGE =
            LiveMessage.of("storage", Storage.StorageState.class);

    private final LivePages pages;
    private final Storage storage;

    StorageTopic(LivePages pages, Storage storage) {
        this.pages = pages;
        this.storage = storage;
    }

    @EventListener
    void changed(Storage.Changed event) {
        pages.due(this);
    }

    @Override
    public List<LiveMessage<?>> messages() {
        return List.of(STORAGE);
    }

    @Override
    public void send(LivePages to) {
        to.send(STORAGE, storage.state());
    }
}
