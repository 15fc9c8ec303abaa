package yokebar.links.sources.text;

import java.time.Clock;
import java.util.function.Consumer;
import yokebar.links.platform.status.LinkStatus;
import yokebar.links.platform.wire.DeviceAddress;
import yokebar.links.sources.device.DeviceLink;
import yokebar.links.sources.device.ManagedLink;

/** A program with decoders, kept connected. Thread-safe. */
public final class TextFeedLink implements ManagedLink {
    private final DeviceLink link;

    /**
     * @param listener told of every line, in the link's own thread
     * @param watcher told about every change of the link's state
     */
    public TextFeedLink(
            String name,
            DeviceAddress address,
            Clock clock,
            Consumer<TextFeedMessage> listener,
            Consumer<LinkStatus> watcher) {
        this.link = new DeviceLink(name, address, () -> new TextFeedConversation(listener), () -> {}, clock, watcher);
    }

    @Override
    public void start() {
        link.start();
    }

    @Override
    public LinkStatus status() {
        return link.status();
    }

    @Override
    public void hurry() {
        link.hurry();
    }

    @Override
    public void close() {
        link.close();
    }
}
