package yokebar.standins.net;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import yokebar.standins.world.World;

class NetVoicesTest {
    private final World world = new World(9);
    private final NetVoices voices = new NetVoices(world, Clock.systemUTC(), 9);

    @AfterEach
    void end() {
        voices.close();
    }

    private List<String> all(NetVoices.Net net) {
        voices.setSecondsBetween(0);
        voices.meet(net);
        List<String> said = new ArrayList<>();
        for (String voice = voices.next(); !voice.isEmpty(); voice = voices.next()) {
            said.add(voice);
        }
        return said;
    }

    @Test
    void thirtyStationsCheckInWithAllThatMakesANetHard() {
        String said = String.join("\n", all(NetVoices.Net.REPEATER));
        assertThat(voices.summary()).containsEntry("checkedIn", 30).containsEntry("waiting", 0);
        assertThat(said)
                .contains(" relays ")
                .contains("two at once")
                .contains("Correction: ")
                .contains("leave early")
                .contains("with traffic")
                .contains("only listening");
    }

    @Test
    void whoIsHeardWronglyCorrectsItNext() {
        List<String> said = all(NetVoices.Net.HF);
        String correction = said.stream()
                .filter(voice -> voice.startsWith("Correction: "))
                .findFirst()
                .orElseThrow();
        String right = correction.replaceAll("Correction: (\\S+), not .*", "$1");
        String wrong = correction.replaceAll(".*, not (\\S+)\\.", "$1");
        assertThat(world.station(right)).isPresent();
        assertThat(said.get(said.indexOf(correction) - 1)).startsWith(wrong);
    }

    @Test
    void theySpeakByThemselvesAtTheSetPaceUntilTheNetEnds() {
        voices.setSecondsBetween(0.02);
        voices.meet(NetVoices.Net.REPEATER);
        await().until(() -> (int) voices.summary().get("checkedIn") > 2);
        voices.end();
        assertThat(voices.summary()).containsEntry("net", "none").containsEntry("heard", List.of());
    }
}
