package yokebar.app.operate.net;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.search.LogSearch;
import yokebar.app.operate.net.roster.NetRoster;
import yokebar.core.operate.net.LikelyStations;
import yokebar.core.operate.net.NetEntry;

/** Which stations a part of a call may mean: those of the roster first, then those of the log. */
@Service
class NetCandidates {
    private static final int MAX_SHOWN = 8;
    private static final int MAX_OF_LOG = 40;

    private final NetRoster roster;
    private final NetSheets sheets;
    private final LogSearch search;

    NetCandidates(NetRoster roster, NetSheets sheets, LogSearch search) {
        this.roster = roster;
        this.sheets = sheets;
        this.search = search;
    }

    /**
     * A part of a call in a line.
     *
     * @param part as typed, upper case
     * @param candidates the stations it may mean, best first
     */
    record EntryPart(String part, List<LikelyStation> candidates) {}

    /**
     * A station that may be meant.
     *
     * @param name empty when not known
     * @param sessions in how many earlier sessions of the net it was; 0 for one that is known from the log only
     * @param checkedIn whether it has checked in already
     */
    record LikelyStation(String call, String name, int sessions, boolean checkedIn) {}

    @Transactional(readOnly = true)
    public List<EntryPart> of(long sessionId, NetEntry entry) {
        List<NetEntry.Heard> parts = new ArrayList<>(entry.stations());
        if (entry.via() != null) {
            parts.add(entry.via());
        }
        parts.removeIf(heard -> heard.call() != null);
        if (parts.isEmpty()) {
            return List.of();
        }
        NetSessionRow session = sheets.session(sessionId);
        Map<String, LikelyStations.Known> members =
                session.netId == null ? Map.of() : roster.of(session.netId, sessionId);
        Set<String> here = sheets.callsOn(sessionId);
        return parts.stream()
                .map(heard -> new EntryPart(
                        heard.text(),
                        known(heard.text(), members).stream()
                                .map(known -> new LikelyStation(
                                        known.call(),
                                        known.name() == null ? "" : known.name(),
                                        known.sessions(),
                                        here.contains(known.call())))
                                .toList()))
                .toList();
    }

    private List<LikelyStations.Known> known(String part, Map<String, LikelyStations.Known> members) {
        List<LikelyStations.Known> all = new ArrayList<>(members.values());
        if (LikelyStations.searches(part)) {
            search.workedBefore().callsWith(part, MAX_OF_LOG).stream()
                    .filter(call -> !members.containsKey(call))
                    .forEach(call -> all.add(new LikelyStations.Known(call, null, 0)));
        }
        return LikelyStations.of(part, all, MAX_SHOWN);
    }
}
