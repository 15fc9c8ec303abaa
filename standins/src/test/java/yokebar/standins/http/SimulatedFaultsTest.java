package yokebar.standins.http;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import yokebar.standins.Asking;
import yokebar.standins.http.HttpService.Answer;
import yokebar.standins.http.HttpService.Request;

/** What can go wrong at a simulated service, seen by who asks it: whether it was done, and what was answered. */
class SimulatedFaultsTest {
    private final AtomicInteger done = new AtomicInteger();
    private Lamp lamp;
    private Asking client;

    /** A service that counts how often it was told to light a lamp. */
    private final class Lamp extends SimulatedService {
        Lamp() throws IOException {
            super("lamp", 0);
            serve("lights", request -> {
                if (request.method().equals("POST")) {
                    done.incrementAndGet();
                }
                return Answer.json(200, Map.of("words", "it burns, and burns brightly"));
            });
            serve("broken", request -> {
                throw new IllegalStateException("the wick is gone");
            });
            serve("asked", request -> {
                throw new IllegalArgumentException("say which lamp");
            });
            setUp(true);
        }

        @Override
        protected @Nullable Answer turnAway(Request request) {
            return unlessKnown(request, "keeper", "oil", "the door stays shut");
        }
    }

    @BeforeEach
    void lightIt() throws IOException {
        lamp = new Lamp();
        client = Asking.at(lamp.address() + "api/").as("keeper", "oil");
    }

    @AfterEach
    void putItOut() {
        lamp.close();
    }

    @Test
    void whoIsNotKnownGetsNoFurtherThanTheDoor() throws Exception {
        assertThat(client.post("lights", "").status()).isEqualTo(200);
        var stranger = Asking.at(lamp.address() + "api/").as("keeper", "water").post("lights", "");
        assertThat(stranger.status()).isEqualTo(401);
        assertThat(stranger.words()).isEqualTo("the door stays shut");
        assertThat(Asking.at(lamp.address() + "api/").get("lights").status()).isEqualTo(401);
        assertThat(done).hasValue(1);
    }

    @Test
    void aFailureComesBeforeAnythingIsDone() throws Exception {
        lamp.faults().failNext(2);
        assertThat(client.post("lights", "").status()).isEqualTo(500);
        assertThat(client.post("lights", "").header("Content-Type")).isEqualTo("text/html");
        assertThat(done).hasValue(0);
        assertThat(client.post("lights", "").status()).isEqualTo(200);
        assertThat(lamp.faults().summary()).containsEntry("failuresLeft", 0);
    }

    @Test
    void anAnswerIsLostAfterItWasDoneAndOnlyWhereSomethingIsDone() throws Exception {
        lamp.faults().loseNextAnswer();
        assertThat(client.get("lights").status()).isEqualTo(200);
        assertThatThrownBy(() -> client.post("lights", "")).isInstanceOf(IOException.class);
        assertThat(done).hasPositiveValue();
        assertThat(client.post("lights", "").status()).isEqualTo(200);
    }

    @Test
    void anAnswerBreaksOff() throws Exception {
        lamp.faults().truncateNextAnswer();
        assertThatThrownBy(() -> client.get("lights")).isInstanceOf(IOException.class);
        assertThat(client.get("lights").words()).startsWith("it burns");
    }

    @Test
    void aPageForPeopleComesThoughItWasDone() throws Exception {
        lamp.faults().answerNextWithAPage();
        var page = client.post("lights", "");
        assertThat(page.status()).isEqualTo(200);
        assertThat(new String(page.body())).startsWith("<html>");
        assertThat(done).hasValue(1);
    }

    @Test
    void anAccountIsLockedOutAndLetInAgain() throws Exception {
        lamp.faults().setLockedOut(true);
        assertThat(client.post("lights", "").status()).isEqualTo(401);
        lamp.faults().setLockedOut(false);
        assertThat(client.post("lights", "").status()).isEqualTo(200);
        assertThat(done).hasValue(1);
    }

    @Test
    void itTakesItsTime() throws Exception {
        lamp.faults().setSlowMs(120);
        long before = System.nanoTime();
        client.get("lights");
        assertThat((System.nanoTime() - before) / 1_000_000).isGreaterThanOrEqualTo(120);
        assertThat(lamp.faults().summary()).containsEntry("slowMs", 120L);
    }

    @Test
    void downItCannotBeReachedAndUpItIsWhereItWas() throws Exception {
        String address = lamp.address();
        lamp.setUp(false);
        assertThat(lamp.up()).isFalse();
        assertThatThrownBy(() -> client.get("lights")).isInstanceOf(IOException.class);
        lamp.setUp(true);
        assertThat(lamp.address()).isEqualTo(address);
        assertThat(client.get("lights").status()).isEqualTo(200);
    }

    @Test
    void whatGoesWrongByItselfIsTheSameForTheSameSeed() throws Exception {
        List<String> first = outcomes(7);
        assertThat(outcomes(7)).isEqualTo(first);
        assertThat(outcomes(8)).isNotEqualTo(first);
        assertThat(Set.copyOf(first)).as("of several kinds").hasSizeGreaterThan(2);
        lamp.faults().often(0, 7);
        for (int i = 0; i < 20; i++) {
            assertThat(client.get("lights").status()).isEqualTo(200);
        }
    }

    private List<String> outcomes(long seed) {
        lamp.faults().often(0.7, seed);
        return IntStream.range(0, 16)
                .mapToObj(i -> {
                    try {
                        return String.valueOf(client.post("lights", "").status());
                    } catch (IOException e) {
                        return "none";
                    } catch (InterruptedException e) {
                        throw new IllegalStateException(e);
                    }
                })
                .toList();
    }

    @Test
    void everyKnobHasAName() throws Exception {
        assertThat(lamp.turn("fail", Map.of("requests", "1"))).isTrue();
        assertThat(client.get("lights").status()).isEqualTo(500);
        assertThat(lamp.turn("lock-out", Map.of())).isTrue();
        assertThat(client.get("lights").status()).isEqualTo(401);
        assertThat(lamp.turn("lock-out", Map.of("on", "false"))).isTrue();
        assertThat(lamp.turn("down", Map.of())).isTrue();
        assertThat(lamp.up()).isFalse();
        assertThat(lamp.turn("up", Map.of())).isTrue();
        assertThat(lamp.turn("up", Map.of("on", "no"))).isTrue();
        assertThat(lamp.up()).isFalse();
        assertThat(lamp.turn("refuse", Map.of("call", "ZP5QXA"))).isTrue();
        assertThat(lamp.refusedCalls()).containsExactly("ZP5QXA");
        assertThat(lamp.turn("allow", Map.of("call", "ZP5QXA"))).isTrue();
        assertThat(lamp.refusedCalls()).isEmpty();
        for (String knob : List.of("lose-answer", "truncate", "page", "slow", "often")) {
            assertThat(lamp.turn(knob, Map.of())).as(knob).isTrue();
        }
        assertThat(lamp.turn("polish", Map.of())).isFalse();
    }

    @Test
    void aFaultOfItsOwnIsToldFromABadQuestion() throws Exception {
        assertThat(client.get("broken").status()).isEqualTo(500);
        assertThat(client.get("broken").words()).contains("the wick is gone");
        assertThat(client.get("asked").status()).isEqualTo(400);
        assertThat(client.get("asked").words()).isEqualTo("say which lamp");
    }
}
