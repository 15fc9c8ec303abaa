package yokebar.app.operate.contest.team;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.WholeTopic;
import yokebar.app.sources.radio.RadioUpdated;
import yokebar.app.sources.radio.Radios;
import yokebar.core.basics.band.Band;
import yokebar.core.sources.radio.RadioState;

/** Tells open pages that they have to read again who works a contest book, and what was said. */
@Component
class TeamTopic extends WholeTopic<LiveMessage.Signal> {
    private final Radios radios;
    private final TeamMembers members;
    /** Band and mode of each radio; a page follows a frequency by itself. */
    private final Map<Long, String> places = new ConcurrentHashMap<>();

    TeamTopic(LivePages pages, Radios radios, TeamMembers members) {
        super(pages, LiveMessage.signal("team"), LiveMessage.Signal::new);
        this.radios = radios;
        this.members = members;
    }

    @EventListener
    void updated(TeamUpdated event) {
        due();
    }

    @EventListener
    void radioUpdated(RadioUpdated event) {
        if (members.areNone()) {
            return;
        }
        RadioState state = radios.state(event.radioId()).orElse(RadioState.UNKNOWN);
        Long hz = state.transmitHz();
        String place = (hz == null ? "" : Band.of(hz)) + " " + state.mode();
        if (!place.equals(places.put(event.radioId(), place))) {
            dueIfWatched();
        }
    }
}
