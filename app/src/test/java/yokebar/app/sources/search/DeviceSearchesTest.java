package yokebar.app.sources.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;
import yokebar.standins.device.HfRadio;
import yokebar.standins.device.Rotator;
import yokebar.standins.device.VhfRadio;

class DeviceSearchesTest extends AppTest {

    private JsonNode view() {
        try {
            return get("/api/device-search");
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private void search(String... addresses) throws Exception {
        sendJson("POST", "/api/device-search", Map.of("addresses", List.of(addresses)));
        await("the end of the search", () -> !view().path("running").asBoolean());
    }

    @Test
    void saysWhatIsOnEachPort() throws Exception {
        try (HfRadio hf = new HfRadio(0);
                VhfRadio vhf = new VhfRadio(0);
                Rotator rotator = new Rotator(0)) {
            search(
                    "127.0.0.1:" + hf.port(),
                    "127.0.0.1:" + vhf.port(),
                    "127.0.0.1:" + rotator.port(),
                    "/dev/no-such-port");
            JsonNode findings = view().path("findings");
            assertThat(findings).hasSize(4);
            assertThat(findings.get(0).path("dialect").asString()).isEqualTo("semicolon");
            assertThat(findings.get(1).path("bus").asInt()).isEqualTo(VhfRadio.BUS);
            assertThat(findings.get(2).path("kind").asString()).isEqualTo("ROTATOR");
            assertThat(findings.get(3).path("kind").asString()).isEqualTo("NOTHING");
            assertThat(findings.get(3).path("sentence").asString()).contains("/dev/no-such-port");
        }
    }

    @Test
    void aDeviceOfOursLetsGoOfItsPortAndTakesItAgain() throws Exception {
        try (HfRadio hf = new HfRadio(0)) {
            String address = "127.0.0.1:" + hf.port();
            long id = JSON.readTree(sendJson(
                                    "POST",
                                    "/api/radios",
                                    Map.of("name", "Searched", "dialect", "framed", "bus", 9, "address", address))
                            .body())
                    .get(0)
                    .path("id")
                    .asLong();
            search(address);
            assertThat(view().path("findings").get(0).path("dialect").asString())
                    .isEqualTo("semicolon");
            sendJson(
                    "PUT", "/api/radios/" + id, Map.of("name", "Searched", "dialect", "semicolon", "address", address));
            await("the radio", () -> frequency() == 14_074_000);
            search(address);
            await("the radio again", () -> frequency() == 14_074_000);
            sendJson("DELETE", "/api/radios/" + id, Map.of());
        }
    }

    private long frequency() {
        try {
            return get("/api/radios").get(0).path("now").path("frequencyHz").asLong();
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void isStoppedOnRequest() throws Exception {
        try (HfRadio hf = new HfRadio(0)) {
            hf.setPowered(false);
            sendJson("POST", "/api/device-search", Map.of("addresses", List.of("127.0.0.1:" + hf.port())));
            await("the search", () -> view().path("tried").asInt() > 0 || view().has("now"));
            sendJson("DELETE", "/api/device-search", Map.of());
            assertThat(view().path("running").asBoolean()).isFalse();
        }
    }
}
