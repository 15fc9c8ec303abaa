package yokebar.app.services.confirm;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.LiveTopic;
import yokebar.app.platform.live.Pending;

/** Tells open pages what was confirmed for the first time. */
@Component
class FirstsTopic implements LiveTopic {
    private static final LiveMessage<FirstsUpdate> FIRSTS = LiveMessage.of("firsts", FirstsUpdate.class);
    private static final int MAX_FIRSTS = 3;

    private final LivePages pages;
    private final Pending<ConfirmationReceived.First> firsts = new Pending<>();

    FirstsTopic(LivePages pages) {
        this.pages = pages;
    }

    /**
     * What was confirmed for the first time.
     *
     * @param firsts some of it
     * @param more how many there are besides
     */
    record FirstsUpdate(List<ConfirmationReceived.First> firsts, int more) {}

    @TransactionalEventListener(fallbackExecution = true)
    void confirmed(ConfirmationReceived event) {
        if (!event.firsts().isEmpty()) {
            firsts.addAll(event.firsts());
            pages.due(this);
        }
    }

    @Override
    public List<LiveMessage<?>> messages() {
        return List.of(FIRSTS);
    }

    @Override
    public void send(LivePages to) {
        List<ConfirmationReceived.First> all = new ArrayList<>(firsts.take());
        if (all.isEmpty()) {
            // What came while the last message was made went with it.
            return;
        }
        int shown = Math.min(MAX_FIRSTS, all.size());
        to.send(FIRSTS, new FirstsUpdate(List.copyOf(all.subList(0, shown)), all.size() - shown));
    }
}
