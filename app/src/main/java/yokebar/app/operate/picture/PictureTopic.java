package yokebar.app.operate.picture;

import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.WholeTopic;

/** Tells open pages that received pictures are new or different. */
@Component
class PictureTopic extends WholeTopic<PictureUpdates.PictureUpdate> {
    private static final LiveMessage<PictureUpdates.PictureUpdate> PICTURES =
            LiveMessage.of("pictures", PictureUpdates.PictureUpdate.class);

    PictureTopic(LivePages pages, PictureUpdates updates) {
        super(pages, PICTURES, updates::now);
    }

    @TransactionalEventListener(fallbackExecution = true)
    void changed(PicturesChanged event) {
        due();
    }
}
