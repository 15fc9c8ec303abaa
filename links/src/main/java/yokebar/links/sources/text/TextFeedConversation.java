package yokebar.links.sources.text;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.function.Consumer;
import yokebar.links.sources.device.Conversation;

/** Listens to a program, and has texts sent by one that can. */
final class TextFeedConversation implements Conversation {
    private final Consumer<TextFeedMessage> listener;
    private final TextOutbox outbox;
    private final ByteArrayOutputStream line = new ByteArrayOutputStream();
    private boolean tooLong;

    TextFeedConversation(Consumer<TextFeedMessage> listener, TextOutbox outbox) {
        this.listener = listener;
        this.outbox = outbox;
    }

    @Override
    public void turn(long nowNanos, Outlet out) throws IOException {
        for (String said : outbox.take(nowNanos)) {
            out.send((said + "\n").getBytes(StandardCharsets.UTF_8));
        }
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
        if (message instanceof TextFeedMessage.Program program && program.sends()) {
            outbox.open();
        } else if (message instanceof TextFeedMessage.Sent sent) {
            outbox.done(sent.id());
        } else if (message instanceof TextFeedMessage.Refused refused) {
            outbox.done(refused.id());
        }
        listener.accept(message);
        return Heard.ANSWER;
    }
}
