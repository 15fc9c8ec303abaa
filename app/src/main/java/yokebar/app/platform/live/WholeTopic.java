package yokebar.app.platform.live;

import java.util.List;
import java.util.function.Supplier;

/** A topic of one kind of message, which is sent whole whenever something of it is different. */
public abstract class WholeTopic<T> implements LiveTopic {
    private final LivePages pages;
    private final LiveMessage<T> message;
    private final Supplier<? extends T> content;

    /** @param content read afresh for each message */
    protected WholeTopic(LivePages pages, LiveMessage<T> message, Supplier<? extends T> content) {
        this.pages = pages;
        this.message = message;
        this.content = content;
    }

    /** Something is different. */
    protected final void due() {
        pages.due(this);
    }

    /** Something is different that changes many times a second; see {@link LivePages#dueIfWatched}. */
    protected final void dueIfWatched() {
        pages.dueIfWatched(this);
    }

    @Override
    public final List<LiveMessage<?>> messages() {
        return List.of(message);
    }

    @Override
    public final void send(LivePages to) {
        to.send(message, content.get());
    }
}
