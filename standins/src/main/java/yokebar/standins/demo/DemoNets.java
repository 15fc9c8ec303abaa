package yokebar.standins.demo;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import yokebar.standins.world.Station;
import yokebar.standins.world.World;

/** The club's two nets, with earlier sessions, so that those who come often are known. */
final class DemoNets {
    private static final int EARLIER_SESSIONS = 3;
    private static final int REGULARS = 12;

    private final DemoApi api;
    private final List<Station> stations;

    DemoNets(DemoApi api, World world) {
        this.api = api;
        this.stations = world.stations().stream()
                .filter(station -> station.continent().equals("EU"))
                .toList();
    }

    void add() throws IOException, InterruptedException {
        net("Mid-Atlantic Lantern Net", "Saturdays 17:00 UTC", "14.285", "SSB", 0);
        net("Island Repeater Roundtable", "Sundays 18:00 UTC", "145.600", "FM", REGULARS);
    }

    /** @param from the first of its regulars among the stations of the world */
    private void net(String name, String times, String frequency, String mode, int from)
            throws IOException, InterruptedException {
        long id = api.post("api/nets", settings(name, times, frequency, mode, false))
                .valueStream()
                .filter(net -> net.path("name").asString().equals(name))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asLong();
        for (int session = 0; session < EARLIER_SESSIONS; session++) {
            session(id, from, session);
        }
        // The earlier sessions are for the roster only: the demo's log begins without their contacts.
        api.put("api/nets/" + id, settings(name, times, frequency, mode, true));
    }

    private static Map<String, Object> settings(
            String name, String times, String frequency, String mode, boolean logs) {
        return Map.of(
                "name",
                name,
                "usualTimes",
                times,
                "frequency",
                frequency,
                "mode",
                mode,
                "netControl",
                true,
                "logs",
                logs,
                "identifyMinutes",
                10);
    }

    /** Each session lacks other stations. */
    private void session(long netId, int from, int session) throws IOException, InterruptedException {
        String path = "api/net-sessions/"
                + api.post("api/nets/" + netId + "/sessions?positionId=1", Map.of())
                        .path("id")
                        .asLong();
        for (int i = 0; i < REGULARS; i++) {
            if (i % (EARLIER_SESSIONS + 1) != session) {
                Station station = stations.get((from + i) % stations.size());
                JsonNode sheet = api.post(path + "/entries", Map.of("text", station.call(), "key", "demo " + i))
                        .path("sheet");
                long checkIn = sheet.path("checkIns")
                        .get(sheet.path("checkIns").size() - 1)
                        .path("id")
                        .asLong();
                api.put(path + "/check-ins/" + checkIn, Map.of("name", station.name()));
            }
        }
        api.post(path + "/close", Map.of());
    }
}
