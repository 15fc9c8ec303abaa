package yokebar.links.sources.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yokebar.links.sources.device.Conversation.Heard;

class TextFeedLineTest {
    private final List<TextFeedMessage> heard = new ArrayList<>();
    private final TextFeedConversation conversation = new TextFeedConversation(heard::add, new TextOutbox());

    private Heard receive(String text) {
        byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
        return conversation.received(bytes, bytes.length, 0);
    }

    @Test
    void aProgramSaysWhoItIsAndWhatItReceives() {
        assertThat(receive("{\"text\":1,\"program\":\"Sandpiper\",\"decoders\":[\"narrow\",\"wide\"]}\n"
                        + "{\"text\":1,\"decoder\":\"narrow\",\"at\":1796110965123,\"character\":\"c\",\"certainty\":0.93}\r\n"
                        + "{\"text\":1,\"decoder\":\"wide\",\"at\":1796110965125,\"character\":\"\\n\"}\n"
                        + "{\"text\":1,\"alive\":true}\n"))
                .isEqualTo(Heard.ANSWER);
        assertThat(heard)
                .containsExactly(
                        new TextFeedMessage.Program("Sandpiper", List.of("narrow", "wide"), false),
                        new TextFeedMessage.Character("narrow", 1_796_110_965_123L, 'C', 0.93),
                        new TextFeedMessage.Character("wide", 1_796_110_965_125L, '\n', 0),
                        new TextFeedMessage.Alive());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "hello",
                "[]",
                "{}",
                "{\"text\":2,\"alive\":true}",
                "{\"text\":1,\"program\":\"\",\"decoders\":[\"narrow\"]}",
                "{\"text\":1,\"program\":\"Sandpiper\"}",
                "{\"text\":1,\"decoder\":\"narrow\",\"at\":1,\"character\":\"CQ\"}",
                "{\"text\":1,\"sent\":\"all\"}",
                "{\"text\":1,\"refused\":null}",
                "{\"text\":1,\"decoder\":\"narrow\",\"at\":\"now\",\"character\":\"C\"}",
                "{\"text\":1,\"decoder\":\"narrow\",\"at\":1,\"character\":\"\\u0007\"}",
                "{\"text\":1,\"decoder\":\"narrow\",\"at\":1,\"character\":\"C\",\"certainty\":7}"
            })
    void whatTheProtocolDoesNotKnowSaysNothing(String line) {
        assertThat(TextFeedLine.read(line)).isNull();
        assertThat(receive(line + "\n")).isEqualTo(Heard.GARBAGE);
    }

    @Test
    void aLineWithoutEndTakesNoMemoryAndTheNextIsRead() {
        for (int i = 0; i < 1_000; i++) {
            assertThat(receive("x".repeat(1_000))).isEqualTo(Heard.PART);
        }
        assertThat(receive("\n{\"text\":1,\"alive\":true}\n")).isEqualTo(Heard.ANSWER);
        assertThat(heard).containsExactly(new TextFeedMessage.Alive());
    }

    @Property
    void whateverComesIsEndured(@ForAll byte[] bytes) {
        new TextFeedConversation(message -> {}, new TextOutbox()).received(bytes, bytes.length, 0);
    }
}
