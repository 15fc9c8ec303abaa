package yokebar.links.sources.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is said to a program that sends texts, and when. */
class TextOutboxTest {
    private static final long SECOND = 1_000_000_000L;

    private final TextOutbox outbox = new TextOutbox();
    private final List<TextFeedMessage> heard = new ArrayList<>();
    private final TextFeedConversation conversation = new TextFeedConversation(heard::add, outbox);
    private long now;

    private void receive(String line) {
        byte[] bytes = (line + "\n").getBytes(StandardCharsets.UTF_8);
        conversation.received(bytes, bytes.length, now);
    }

    private void connect() {
        receive("{\"text\":1,\"program\":\"P\",\"decoders\":[\"one\"],\"sends\":true}");
    }

    private List<String> turn() throws IOException {
        List<String> said = new ArrayList<>();
        conversation.turn(now, bytes -> said.add(new String(bytes, StandardCharsets.UTF_8)));
        return said;
    }

    @Test
    void aProgramThatOnlyReceivesIsToldNothing() throws IOException {
        receive("{\"text\":1,\"program\":\"P\",\"decoders\":[\"one\"]}");
        assertThat(outbox.add(1, "TEST")).isFalse();
        assertThat(turn()).isEmpty();
    }

    @Test
    void aTextGoesOutOnceAndItsProgramIsToldEverySecondThatWeAreThere() throws IOException {
        connect();
        assertThat(outbox.add(7, "CQ \"TEST\"")).isTrue();
        assertThat(turn()).containsExactly("{\"text\":1,\"send\":\"CQ \\\"TEST\\\"\",\"id\":7}\n");
        now += SECOND / 2;
        assertThat(turn()).isEmpty();
        now += SECOND / 2;
        assertThat(turn()).containsExactly("{\"text\":1,\"alive\":true}\n");
        receive("{\"text\":1,\"sent\":7}");
        now += 2 * SECOND;
        assertThat(turn()).as("nothing is on its way").isEmpty();
        assertThat(heard).endsWith(new TextFeedMessage.Sent(7));
    }

    @Test
    void stopComesBeforeWhatIsSentAfterIt() throws IOException {
        connect();
        outbox.add(1, "ONE");
        outbox.stop();
        outbox.add(2, "TWO");
        assertThat(turn()).containsExactly("{\"text\":1,\"stop\":true}\n", "{\"text\":1,\"send\":\"TWO\",\"id\":2}\n");
    }

    @Test
    void nothingOfOneConnectionGoesOverTheNext() throws IOException {
        connect();
        outbox.add(1, "ONE");
        outbox.stop();
        outbox.add(2, "TWO");
        outbox.close();
        assertThat(outbox.add(3, "THREE"))
                .as("the program has not said who it is")
                .isFalse();
        connect();
        assertThat(turn()).isEmpty();
    }

    @Test
    void onlySoManyTextsWait() {
        connect();
        for (int id = 0; id < TextOutbox.MAX_TEXTS; id++) {
            assertThat(outbox.add(id, "TEST")).isTrue();
        }
        assertThat(outbox.add(99, "TEST")).isFalse();
        receive("{\"text\":1,\"refused\":0,\"because\":\"no \\u0007 sound\"}");
        assertThat(outbox.add(99, "TEST")).isTrue();
        assertThat(heard).endsWith(new TextFeedMessage.Refused(0, "no   sound"));
    }
}
