package yokebar.links.services.countersign;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;
import yokebar.links.services.delivery.BatchReport;
import yokebar.links.services.delivery.ConfirmationPage;
import yokebar.links.services.delivery.Receipt;

class CountersignClientTest {
    private record Reply(int status, String body) {}

    private final Deque<Reply> replies = new ArrayDeque<>();
    private final List<String> requests = new ArrayList<>();
    private HttpServer server;
    private CountersignClient client;

    @BeforeEach
    void start() throws IOException {
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext("/", exchange -> {
            requests.add(exchange.getRequestMethod() + " " + exchange.getRequestURI() + " "
                    + exchange.getRequestHeaders().getFirst("Idempotency-Key") + " "
                    + exchange.getRequestHeaders().getFirst("Authorization"));
            exchange.getRequestBody().readAllBytes();
            Reply reply = replies.removeFirst();
            byte[] body = reply.body().getBytes(StandardCharsets.UTF_8);
            exchange.sendResponseHeaders(reply.status(), body.length == 0 ? -1 : body.length);
            exchange.getResponseBody().write(body);
            exchange.close();
        });
        server.start();
        URI address = URI.create("http://127.0.0.1:" + server.getAddress().getPort() + "/countersign");
        client = new CountersignClient(new CountersignAccount(address, "CU9QYB", "pass"));
    }

    @AfterEach
    void stop() {
        server.stop(0);
    }

    @Test
    void aBatchIsSubmittedWithItsKeyAndTheAccount() throws Exception {
        replies.add(new Reply(202, "{\"receipt\":\"CS-1\",\"words\":\"Queued\"}"));
        assertThat(client.submit(new byte[] {1}, "key-1")).isEqualTo(new Receipt("CS-1", "Queued"));
        assertThat(requests).containsExactly("POST /countersign/api/batches key-1 Basic Q1U5UVlCOnBhc3M=");
    }

    @Test
    void aReportIsQueuedOrTellsOfEachContact() throws Exception {
        replies.add(new Reply(200, "{\"state\":\"queued\"}"));
        assertThat(client.report("CS-1").processed()).isFalse();
        replies.add(new Reply(
                200,
                "{\"state\":\"processed\",\"records\":[{\"result\":\"accepted\"},{\"record\":2,\"result\":\"duplicate\"},"
                        + "{\"record\":3,\"result\":\"refused\",\"words\":\"no\"}]}"));
        assertThat(client.report("CS-1").results())
                .containsExactly(
                        BatchReport.Result.taken(null),
                        BatchReport.Result.taken(null),
                        BatchReport.Result.refused("no"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"result\":\"something new\"}|which its protocol does not know",
                "{\"result\":\"refused\",\"words\":\"no\"}|without saying which",
                "{\"record\":2,\"result\":\"refused\"}|in the place of record 1",
                "{\"record\":2,\"result\":\"accepted\"}|in the place of record 1",
            })
    void aReportThatIsNotAsAgreedProvesNothingAndRefusesNothing(String entry, String says) {
        replies.add(new Reply(200, "{\"state\":\"processed\",\"records\":[" + entry + "]}"));
        assertThatThrownBy(() -> client.report("CS-1"))
                .isInstanceOf(ServiceUnreachable.class)
                .hasMessageContaining(says);
    }

    /** A page of a proxy, or of another server at a wrong address, says nothing about the contacts. */
    @ParameterizedTest(name = "{0} {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "404|<html>Not found</html>",
                "404|{\"words\":\"no such page\"}",
                "405|{\"words\":\"not so\"}",
                "407|",
                "410|gone",
                "400|<html>Bad request</html>",
                "422|{}",
            })
    void onlyTheProtocolsOwnRefusalIsOne(int status, String body) {
        String text = body == null ? "" : body;
        replies.add(new Reply(status, text));
        assertThatThrownBy(() -> client.submit(new byte[0], "k"))
                .isInstanceOf(ServiceUnreachable.class)
                .hasMessageContaining("answered " + status);
        replies.add(new Reply(status, text));
        assertThatThrownBy(() -> client.report("CS-1"))
                .isInstanceOf(ServiceUnreachable.class)
                .hasMessageContaining("answered " + status);
        replies.add(new Reply(status, text));
        assertThatThrownBy(() -> client.receiptFor("k"))
                .as("never taken for: it has not arrived")
                .isInstanceOf(ServiceUnreachable.class);
    }

    @Test
    void onlyTheProtocolsOwnNoneIsNone() throws Exception {
        replies.add(new Reply(200, "{\"found\":false,\"words\":\"not here\"}"));
        assertThat(client.receiptFor("k")).isNull();
        replies.add(new Reply(200, "{\"words\":\"not here\"}"));
        assertThatThrownBy(() -> client.receiptFor("k")).isInstanceOf(ServiceUnreachable.class);
        replies.add(new Reply(404, "{\"found\":false,\"words\":\"no batch has this number\"}"));
        assertThatThrownBy(() -> client.report("CS-1")).isInstanceOf(ServiceRefused.class);
    }

    @Test
    void confirmationsThatMakeNoSenseAreCountedAndLeftOut() throws Exception {
        String good = "{\"number\":\"7\",\"receivedAt\":\"2026-05-02T00:00:00Z\",\"ownCall\":\"CU9QYB\","
                + "\"call\":\"zp5qxa\",\"band\":\"20m\",\"mode\":\"FT8\",\"start\":\"2026-05-01T14:07:00Z\"}";
        replies.add(new Reply(
                200,
                "{\"confirmations\":[" + good + "," + good.replace("20m", "21m") + ","
                        + good.replace("2026-05-01T14:07:00Z", "yesterday") + ",{},17],\"next\":\"7\"}"));
        ConfirmationPage page = client.confirmations(
                Instant.parse("2026-05-01T00:00:00Z"), Instant.parse("2026-05-02T00:00:00Z"), null);
        assertThat(page.entries()).hasSize(1);
        assertThat(page.entries().get(0).record().call()).hasToString("ZP5QXA");
        assertThat(page.unreadable()).isEqualTo(4);
        assertThat(page.next()).isEqualTo("7");
        assertThat(requests.get(0)).contains("since=2026-05-01T00%3A00%3A00Z&until=2026-05-02T00%3A00%3A00Z");
    }

    @ParameterizedTest(name = "{0} {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "200|<html>Welcome</html>|not JSON",
                "200|{\"receipt\":|not JSON",
                "200|[]|not what was asked for",
                "200|{\"receipt\":5,\"words\":\"x\"}|left \"receipt\" out",
                "500|{}|reports a fault (500)",
                "503||reports a fault (503)",
                "429||reports a fault (429)",
            })
    void nonsenseIsWorthAnotherTryAndProvesNothing(int status, String body, String says) {
        replies.add(new Reply(status, body == null ? "" : body));
        assertThatThrownBy(() -> client.submit(new byte[0], "k"))
                .isInstanceOf(ServiceUnreachable.class)
                .hasMessageContaining(says);
    }

    @Test
    void aRefusalIsAboutTheAccountAPermissionOrTheContent() {
        replies.add(new Reply(401, "{\"words\":\"wrong password.\"}"));
        assertThatThrownBy(() -> client.test()).isInstanceOfSatisfying(ServiceRefused.class, e -> {
            assertThat(e.about()).isEqualTo(ServiceRefused.About.ACCOUNT);
            assertThat(e).hasMessage("Countersign refuses the account CU9QYB: wrong password.");
            assertThat(e.fix()).contains("not the passphrase");
        });
        replies.add(new Reply(403, "{\"words\":\"the certificate was revoked\"}"));
        assertThatThrownBy(() -> client.submit(new byte[0], "k")).isInstanceOfSatisfying(ServiceRefused.class, e -> {
            assertThat(e.about()).isEqualTo(ServiceRefused.About.PERMISSION);
            assertThat(e).hasMessage("Countersign does not allow it: the certificate was revoked.");
        });
        replies.add(new Reply(400, "{\"words\":\"not signed\"}"));
        assertThatThrownBy(() -> client.submit(new byte[0], "k")).isInstanceOfSatisfying(ServiceRefused.class, e -> {
            assertThat(e.about()).isEqualTo(ServiceRefused.About.CONTENT);
            assertThat(e).hasMessage("Countersign says: not signed.");
        });
    }

    @Test
    void nobodyThereIsSaid() {
        server.stop(0);
        assertThatThrownBy(() -> client.test())
                .isInstanceOfSatisfying(
                        ServiceUnreachable.class, e -> assertThat(e.brief()).isEqualTo("cannot be reached"));
    }
}
