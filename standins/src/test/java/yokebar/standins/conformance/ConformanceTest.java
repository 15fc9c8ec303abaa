package yokebar.standins.conformance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import yokebar.standins.callbook.WhosThere;
import yokebar.standins.countersign.Countersign;
import yokebar.standins.http.HttpService;
import yokebar.standins.postbag.Postbag;
import yokebar.standins.quayside.Quayside;
import yokebar.standins.world.World;

class ConformanceTest {
    @TempDir
    private Path folder;

    private final ByteArrayOutputStream out = new ByteArrayOutputStream();

    private int unmet(String protocol, String address, String account) {
        return Conformance.run(
                protocol, URI.create(address), account, new PrintStream(out, true, StandardCharsets.UTF_8));
    }

    private String said() {
        return out.toString(StandardCharsets.UTF_8);
    }

    @Test
    void quaysideKeepsToItsProtocol() throws Exception {
        try (Quayside quayside = new Quayside(Clock.systemUTC(), folder, 0)) {
            assertThat(unmet("quayside", quayside.address(), Quayside.KEY))
                    .as(said())
                    .isZero();
        }
    }

    @Test
    void postbagKeepsToItsProtocol() throws Exception {
        try (Postbag postbag = new Postbag(new World(5), Clock.systemUTC(), folder, 0)) {
            assertThat(unmet("postbag", postbag.address(), Postbag.NAME + ":" + Postbag.PASSWORD))
                    .as(said())
                    .isZero();
        }
    }

    @Test
    void countersignKeepsToItsProtocol() throws Exception {
        try (Countersign countersign = new Countersign(new World(5), Clock.systemUTC(), folder, 0)) {
            assertThat(unmet("countersign", countersign.address(), Countersign.ACCOUNT + ":" + Countersign.PASSWORD))
                    .as(said())
                    .isZero();
        }
    }

    @Test
    void theCallbookKeepsToItsProtocol() throws Exception {
        try (WhosThere callbook = new WhosThere(new World(5), Clock.systemUTC(), 0)) {
            assertThat(unmet("callbook", callbook.address(), WhosThere.ACCOUNT + ":" + WhosThere.PASSWORD))
                    .as(said())
                    .isZero();
        }
    }

    /** A server that answers all alike keeps to nothing. */
    @Test
    void whatIsNotMetIsSaid() throws Exception {
        try (HttpService server = new HttpService(0)
                .on("/", request -> HttpService.Answer.json(200, Map.of("words", "fine")))
                .start()) {
            for (String protocol : Conformance.PROTOCOLS) {
                out.reset();
                assertThat(unmet(protocol, "http://127.0.0.1:" + server.port() + "/", "a:b"))
                        .as(protocol)
                        .isGreaterThan(2);
                assertThat(said()).contains("UNMET").contains("demands are not met.");
            }
        }
        assertThatThrownBy(() -> unmet("morse", "http://127.0.0.1:1/", ""))
                .hasMessageContaining("countersign, quayside");
    }
}
