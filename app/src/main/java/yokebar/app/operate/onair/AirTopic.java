package yokebar.app.operate.onair;

import java.util.List;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.LiveTopic;
import yokebar.app.platform.live.Pending;

/** Tells open pages that somebody else is on the air now, and which alerts fired. */
@Component
class AirTopic implements LiveTopic {
    private static final LiveMessage<LiveMessage.Signal> AIR = LiveMessage.signal("air");
    private static final LiveMessage<List<Alert>> ALERTS = LiveMessage.listOf("alerts", Alert.class);

    private final LivePages pages;
    private final Pending<Alert> alerts = new Pending<>();
    private volatile boolean updated;

    AirTopic(LivePages pages) {
        this.pages = pages;
    }

    /** Many times a second in a storm. Without a page nothing is missed: whoever looks at the air reads it again by itself. */
    @EventListener
    void updated(AirUpdated event) {
        if (pages.areOpen()) {
            updated = true;
            pages.due(this);
        }
    }

    @EventListener
    void fired(AlertsFired event) {
        alerts.addAll(event.alerts());
        pages.due(this);
    }

    @Override
    public List<LiveMessage<?>> messages() {
        return List.of(AIR, ALERTS);
    }

    @Override
    public void send(LivePages to) {
        if (updated) {
            updated = false;
            to.send(AIR, new LiveMessage.Signal());
        }
        List<Alert> fired = List.copyOf(alerts.take());
        if (!fired.isEmpty()) {
            to.send(ALERTS, fired);
        }
    }
}
