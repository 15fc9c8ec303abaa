package yokebar.links.sources.text;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.function.Consumer;
import yokebar.links.sources.device.Conversation;

/** Listens to a program and says nothing. */
final class TextFeedConversation implements Conversation {
    private final Consumer<TextFeedMessage> listener;
    private final ByteArrayOutputStream line = new ByteArrayOutputStream();
    private boolean tooLong;

    TextFeedConversation(Consumer<TextFeedMessage> listener) {
        this.listener = listener;
    }

    @Override
    public void turn(long nowNanos, Outlet out) {
        // nothing is asked
    }

    @Override
    public Heard received(byte[] bytes, int length, long nowNanos) {
        Heard heard = Heard.PART;
        for (int i = 0; i < length; i++) {
            if (bytes[i] == '\n') {
                Heard one = take();
                heard = heard == Heard.ANSWER ? heard : one;
            } else if (line.size() < TextFeedLine.LONGEST) {
                line.write(bytes[i]);
            } else {
                tooLong = true;
            }
        }
        return heard;
    }

    private Heard take() {
        TextFeedMessage message = tooLong ? null : TextFeedLine.read(line.toString(StandardCharsets.UTF_8));
        line.reset();
        tooLong = false;
        if (message == null) {
            return Heard.GARBAGE;
        }
        listener.accept(message);
        return Heard.ANSWER;
    }
}
