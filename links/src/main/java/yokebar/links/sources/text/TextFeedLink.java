package yokebar.links.sources.text;

import java.time.Clock;
import java.util.function.Consumer;
import yokebar.links.platform.status.LinkStatus;
import yokebar.links.platform.wire.DeviceAddress;
import yokebar.links.sources.device.DeviceLink;
import yokebar.links.sources.device.ManagedLink;

/** A program with decoders, kept connected. Thread-safe. */
public final class TextFeedLink implements ManagedLink {
    private final TextOutbox outbox = new TextOutbox();
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
        this.link = new DeviceLink(
                name, address, () -> new TextFeedConversation(listener, outbox), outbox::close, clock, watcher);
    }

    /**
     * Has a text sent, behind those that are being sent; the listener hears what became of it.
     *
     * @param id not that of another text
     * @param text of up to {@link TextFeedLine#LONGEST_TEXT} characters
     * @return false when the program is not connected, sends no texts or has too many already
     */
    public boolean send(long id, String text) {
        return outbox.add(id, text);
    }

    /** Ends what the program sends; of the texts it had, nothing more is heard. */
    public void stopSending() {
        outbox.stop();
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
