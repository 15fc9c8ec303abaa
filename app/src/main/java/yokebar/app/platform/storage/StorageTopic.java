package yokebar.app.platform.storage;

import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.WholeTopic;

/** Tells open pages whether contacts can be stored. */
@Component
class StorageTopic extends WholeTopic<Storage.StorageState> {

    StorageTopic(LivePages pages, Storage storage) {
        super(pages, LiveMessage.of("storage", Storage.StorageState.class), storage::state);
    }

    @EventListener
    void changed(Storage.Changed event) {
        due();
    }
}
