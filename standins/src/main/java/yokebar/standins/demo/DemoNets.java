package yokebar.standins.demo;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import yokebar.standins.net.NetVoices;
import yokebar.standins.world.Station;
import yokebar.standins.world.World;

/** The club's two nets, with earlier sessions, so that those who come often are known. */
final class DemoNets {
    private static final int EARLIER_SESSIONS = 3;
    private static final int REGULARS = 12;

    private final DemoApi api;
    private final World world;

    DemoNets(DemoApi api, World world) {
        this.api = api;
        this.world = world;
    }

    void add() throws IOException, InterruptedException {
        net(NetVoices.Net.HF, "Saturdays 17:00 UTC", "14.285", "SSB");
        net(NetVoices.Net.REPEATER, "Sundays 18:00 UTC", "145.600", "FM");
    }

    private void net(NetVoices.Net net, String times, String frequency, String mode)
            throws IOException, InterruptedException {
        String name = net.title();
        long id = api.post("api/nets", settings(name, times, frequency, mode, false))
                .valueStream()
                .filter(one -> one.path("name").asString().equals(name))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asLong();
        for (int session = 0; session < EARLIER_SESSIONS; session++) {
            session(id, net.stations(world), session);
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
    private void session(long netId, List<Station> stations, int session) throws IOException, InterruptedException {
        String path = "api/net-sessions/"
                + api.post("api/nets/" + netId + "/sessions?positionId=1", Map.of())
                        .path("id")
                        .asLong();
        for (int i = 0; i < REGULARS; i++) {
            if (i % (EARLIER_SESSIONS + 1) != session) {
                Station station = stations.get(i);
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
