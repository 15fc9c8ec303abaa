package yokebar.app.platform.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import io.swagger.v3.oas.models.Components;
import io.swagger.v3.oas.models.OpenAPI;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.scheduling.TaskScheduler;
import tools.jackson.databind.json.JsonMapper;

class LivePagesTest {
    private final Deque<Runnable> planned = new ArrayDeque<>();
    private LivePages pages;

    @BeforeEach
    void planByHand() {
        TaskScheduler scheduler = mock();
        when(scheduler.schedule(any(), any(Instant.class))).thenAnswer(call -> {
            planned.add(call.getArgument(0));
            return null;
        });
        pages = new LivePages(new LiveStream(JsonMapper.shared()), scheduler);
    }

    private void sendPlanned() {
        Objects.requireNonNull(planned.poll()).run();
    }

    /** Counts how often it was asked to send, and may do something while it does. */
    private static final class Topic implements LiveTopic {
        private final Pending<Integer> pending = new Pending<>();
        private final List<Integer> sent = new ArrayList<>();
        private Runnable meanwhile = () -> {};
        private int times;

        @Override
        public List<LiveMessage<?>> messages() {
            return List.of(LiveMessage.signal("topic"));
        }

        @Override
        public void send(LivePages to) {
            times++;
            meanwhile.run();
            sent.addAll(pending.take());
        }
    }

    @Test
    void aBurstIsSentOnce() {
        Topic topic = new Topic();
        for (int i = 0; i < 1000; i++) {
            topic.pending.add(i % 10);
            pages.due(topic);
        }
        assertThat(planned).hasSize(1);
        sendPlanned();
        assertThat(topic.times).isEqualTo(1);
        assertThat(topic.sent).hasSize(10).doesNotHaveDuplicates();
        assertThat(planned).isEmpty();
    }

    @Test
    void whatChangesWhileItIsSentIsSentNext() {
        Topic topic = new Topic();
        topic.meanwhile = () -> {
            topic.meanwhile = () -> {};
            pages.due(topic);
        };
        pages.due(topic);
        sendPlanned();
        assertThat(planned).hasSize(1);
        sendPlanned();
        assertThat(topic.times).isEqualTo(2);
    }

    @Test
    void aTopicThatFailsKeepsNoOtherFromBeingSent() {
        Topic bad = new Topic();
        bad.meanwhile = () -> {
            throw new IllegalStateException("the database is away");
        };
        Topic good = new Topic();
        pages.due(bad);
        pages.due(good);
        sendPlanned();
        assertThat(good.times).isEqualTo(1);
    }

    @Test
    void withNoPageOpenNobodyIsWokenForWhatChangesAllTheTime() {
        pages.dueIfWatched(new Topic());
        assertThat(planned).isEmpty();
        assertThat(pages.areOpen()).isFalse();
    }

    @Test
    void whatIsTakenBackIsNotSent() {
        Pending<String> pending = new Pending<>();
        pending.addAll(List.of("a", "b", "c"));
        pending.removeAll(List.of("b", "d"));
        assertThat(pending.take()).containsExactly("a", "c");
        assertThat(pending.take()).isEmpty();
    }

    @Test
    void twoMessagesOfOneNameAreFound() {
        OpenAPI api = new OpenAPI().components(new Components().schemas(new HashMap<>()));
        LiveDescription description = new LiveDescription();
        description.liveMessages(List.of(new Topic())).customise(api);
        assertThat(api.getComponents().getSchemas().get("LiveMessages").getProperties())
                .containsOnlyKeys("topic");
        assertThatThrownBy(() -> description
                        .liveMessages(List.of(new Topic(), new Topic()))
                        .customise(api))
                .isInstanceOf(IllegalStateException.class)
                .hasMessageContaining("one name");
    }
}
