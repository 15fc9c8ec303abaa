package yokebar.links.platform.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yokebar.links.platform.status.ServiceUnreachable;

class WebServiceTest {
    private HttpServer server;
    private WebService service;
    private volatile int status = 200;
    private volatile String body = "{}";
    private volatile boolean silent;
    private volatile boolean drips;
    private volatile boolean late;

    @BeforeEach
    void start() throws IOException {
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext("/", exchange -> {
            if (silent) {
                return;
            }
            if (drips) {
                drip(exchange);
                return;
            }
            byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
            pauseIfLate();
            exchange.getResponseHeaders().set("Location", "http://127.0.0.2/elsewhere");
            exchange.sendResponseHeaders(status, bytes.length == 0 ? -1 : bytes.length);
            pauseIfLate();
            exchange.getResponseBody().write(bytes);
            exchange.close();
        });
        server.start();
        service = new WebService(
                "The service",
                URI.create("http://127.0.0.1:" + server.getAddress().getPort() + "/base"),
                new WebService.Limits(Duration.ofMillis(500), 100),
                "Try again.");
    }

    private void pauseIfLate() {
        if (late) {
            yokebar.links.LinkWatch.pause(400);
        }
    }

    private void drip(com.sun.net.httpserver.HttpExchange exchange) {
        try {
            exchange.sendResponseHeaders(200, 90);
            for (int i = 0; i < 90; i++) {
                exchange.getResponseBody().write(' ');
                exchange.getResponseBody().flush();
                yokebar.links.LinkWatch.pause(100);
            }
        } catch (IOException e) {
            // Given up, as it should be.
        }
    }

    @AfterEach
    void stop() {
        server.stop(0);
    }

    private WebService.Answer ask() throws ServiceUnreachable {
        return service.send(service.request("thing").build());
    }

    @Test
    void pathsGoBelowTheBaseAddress() throws Exception {
        assertThat(service.request("a/b?c=d").build().uri().getPath()).isEqualTo("/base/a/b");
    }

    @ParameterizedTest
    @CsvSource({"500, reports a fault (500)", "503, reports a fault (503)", "429, reports a fault (429)"})
    void difficultiesAreNoAnswer(int code, String words) {
        status = code;
        assertThatThrownBy(this::ask)
                .isInstanceOf(ServiceUnreachable.class)
                .hasMessageContaining("The service at 127.0.0.1:")
                .hasMessageContaining(words);
    }

    @Test
    void anAnswerThatNeverEndsIsNotReadToItsEnd() {
        body = "x".repeat(200_000);
        assertThatThrownBy(this::ask).hasMessageContaining("sent more than 100 bytes");
    }

    @Test
    void silenceIsToldWithItsTime() {
        silent = true;
        assertThatThrownBy(this::ask).hasMessageContaining("does not answer within");
    }

    /** Sends its headers, then a byte now and then, for ever. */
    @Test
    void answerThatDripsIsGivenUpInTime() {
        drips = true;
        long asked = System.nanoTime();
        assertThatThrownBy(this::ask).hasMessageContaining("does not answer within");
        assertThat((System.nanoTime() - asked) / 1_000_000).isLessThan(3000);
    }

    /** Its head and its body each come within the time for an answer; both together do not. */
    @Test
    void theTimeIsForTheWholeAnswer() {
        late = true;
        assertThatThrownBy(this::ask).hasMessageContaining("does not answer within");
    }

    @Test
    void aRedirectIsNotFollowed() throws Exception {
        status = 302;
        assertThat(ask().status()).isEqualTo(302);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {"'<html>'; not JSON", "'[1]'; not what was asked for", "''; not"})
    void whatIsNotAsAgreedIsNonsense(String text, String words) throws Exception {
        body = text;
        WebService.Answer answer = ask();
        assertThatThrownBy(() -> service.json(answer)).hasMessageContaining(words);
    }

    @Test
    void refusalsSpeakForThemselves() throws Exception {
        status = 404;
        body = "{\"words\":\"Nobody here.\"}";
        assertThat(WebService.words(ask())).isEqualTo("Nobody here");
        body = "gone";
        assertThat(WebService.words(ask())).isEqualTo("status 404");
    }
}
