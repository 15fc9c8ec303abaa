package yokebar.app.services.confirm;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.clearInvocations;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentMatchers;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;

class FirstsTopicTest {
    private final LivePages pages = mock(LivePages.class);
    private final FirstsTopic topic = new FirstsTopic(pages);

    private static ConfirmationReceived received(int firsts) {
        return new ConfirmationReceived(
                1,
                List.of(),
                IntStream.range(0, firsts)
                        .mapToObj(i -> new ConfirmationReceived.First("Countersign", "D4" + i + "QAB", "a new band"))
                        .toList());
    }

    @Test
    void someAreNamedAndTheOthersCounted() {
        topic.confirmed(received(5));
        topic.send(pages);
        List<ConfirmationReceived.First> named = received(3).firsts();
        verify(pages).send(any(), eq(new FirstsTopic.FirstsUpdate(named, 2)));
    }

    @Test
    void whatWentWithTheMessageBeforeIsNotAnnouncedAsNothing() {
        topic.confirmed(received(1));
        topic.send(pages);
        clearInvocations(pages);
        topic.send(pages);
        verify(pages, never()).send(ArgumentMatchers.<LiveMessage<Object>>any(), any());
    }
}
