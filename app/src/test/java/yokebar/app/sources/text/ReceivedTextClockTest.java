package yokebar.app.sources.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import yokebar.links.sources.text.TextFeedMessage;

/** What decoders print while the clock of the computer is set, and when a program goes. */
class ReceivedTextClockTest {
    private static final Duration A_CHARACTER = Duration.ofMillis(165);

    private Instant now = Instant.parse("2026-10-24T18:00:00Z");
    private final ReceivedText text = new ReceivedText(
            new Clock() {
                @Override
                public ZoneId getZone() {
                    return ZoneOffset.UTC;
                }

                @Override
                public Clock withZone(ZoneId zone) {
                    throw new UnsupportedOperationException();
                }

                @Override
                public Instant instant() {
                    return now;
                }
            },
            event -> {});

    private void print(String program, String printed) {
        for (char character : printed.toCharArray()) {
            now = now.plus(A_CHARACTER);
            text.heard(program, new TextFeedMessage.Character("Wide", now.toEpochMilli(), character, 0.95));
            text.settle();
        }
    }

    private String agreed() {
        now = now.plusSeconds(1);
        text.settle();
        return text.view().agreed().stream()
                .map(ReceivedTextView.AgreedPiece::text)
                .collect(Collectors.joining());
    }

    @Test
    void itGoesOnWhenTheClockIsSetBack() {
        print("Sandpiper", "CQ ");
        now = now.minus(Duration.ofHours(1));
        print("Sandpiper", "TEST ");
        now = now.minus(Duration.ofMillis(900));
        print("Sandpiper", "ZP5QXA");
        assertThat(agreed()).isEqualTo("CQ TEST ZP5QXA");
    }

    @Test
    void itGoesOnWhenTheClockIsSetForward() {
        print("Sandpiper", "CQ ");
        now = now.plus(Duration.ofHours(1));
        print("Sandpiper", "TEST");
        assertThat(agreed()).isEqualTo("CQ TEST");
    }

    @Test
    void whatAProgramPrintedGoesWithItAndNothingElse() {
        print("Sandpiper", "CQ");
        print("Sandpiper Two", "DE");
        text.forget("Sandpiper");
        assertThat(text.view().decoders())
                .extracting(ReceivedTextView.DecoderText::text)
                .containsExactly("DE");
    }
}
