package yokebar.app.platform.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.InetAddress;
import java.net.Socket;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yokebar.app.AppTest;

class RequestGuardTest extends AppTest {

    @ParameterizedTest
    @ValueSource(strings = {"http://elsewhere.example", "null", "http://127.0.0.1:1", "::not an address"})
    void pagesOfOtherSitesAreTurnedAway(String origin) throws Exception {
        assertThat(knock(origin).statusCode()).isEqualTo(403);
    }

    @Test
    void ourOwnPagesAndProgramsAreNot() throws Exception {
        String own = request("/").build().uri().toString().replaceAll("/$", "");
        assertThat(knock(own).statusCode()).isEqualTo(200);
        assertThat(sendJson("POST", "/api/services/1/test", "").statusCode()).isEqualTo(200);
    }

    /** By a plain socket, since clients do not let the name be chosen. */
    private String raw(String request) throws Exception {
        try (Socket socket = new Socket(
                InetAddress.getLoopbackAddress(), request("/").build().uri().getPort())) {
            socket.setSoTimeout(20_000);
            socket.getOutputStream().write(request.getBytes(StandardCharsets.ISO_8859_1));
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    private String get(String path, String host, String... headers) throws Exception {
        String more = headers.length == 0 ? "" : String.join("\r\n", headers) + "\r\n";
        return raw("GET " + path + " HTTP/1.1\r\nHost: " + host + "\r\n" + more + "Connection: close\r\n\r\n");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "evil.example",
                "evil.example:7370",
                "127.0.0.1.evil.example",
                "localhost.evil.example",
                "192.168.1.9",
                "127.evil",
                "[::2]"
            })
    void foreignNameGetsNothing(String host) throws Exception {
        for (String path : new String[] {"/", "/api/contacts", "/actuator/health", "/api/docs"}) {
            assertThat(get(path, host)).startsWith("HTTP/1.1 403").contains("does not answer under this name");
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"127.0.0.1", "localhost", "LOCALHOST:7370", "127.8.9.10", "[::1]:7370", "yokebar.localhost"})
    void namesOfThisComputerAreServed(String host) throws Exception {
        assertThat(get("/actuator/health", host)).startsWith("HTTP/1.1 200");
    }

    @Test
    void crossSiteReadsOfTheApiAreTurnedAway() throws Exception {
        assertThat(get("/api/contacts.adi", "127.0.0.1", "Sec-Fetch-Site: cross-site"))
                .startsWith("HTTP/1.1 403");
        assertThat(get("/", "127.0.0.1", "Sec-Fetch-Site: cross-site", "Sec-Fetch-Mode: navigate"))
                .startsWith("HTTP/1.1 200");
    }

    @Test
    void everyAnswerSaysWhatABrowserMayDoWithIt() throws Exception {
        for (String path : new String[] {"/", "/api/contacts", "/no-such-page", "/api/no-such-thing"}) {
            assertThat(get(path, "127.0.0.1"))
                    .contains("frame-ancestors 'none'")
                    .contains("script-src 'self';")
                    .contains("X-Content-Type-Options: nosniff")
                    .contains("Cross-Origin-Resource-Policy: same-origin")
                    .contains("Cross-Origin-Opener-Policy: same-origin")
                    .contains("Referrer-Policy: no-referrer");
        }
        assertThat(get("/", "evil.example")).contains("frame-ancestors 'none'");
    }

    @Test
    void bodiesAreBounded() throws Exception {
        assertThat(raw("POST /api/line/read HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\n"
                        + "Content-Length: 999999999\r\nConnection: close\r\n\r\n{"))
                .startsWith("HTTP/1.1 413");
    }

    @Test
    void oneClientThatNeverEndsItsRequestsStopsNobody() throws Exception {
        List<Socket> slow = new ArrayList<>();
        try {
            for (int i = 0; i < 60; i++) {
                Socket socket = new Socket(
                        InetAddress.getLoopbackAddress(),
                        request("/").build().uri().getPort());
                slow.add(socket);
                socket.getOutputStream()
                        .write(("POST /api/imports HTTP/1.1\r\nHost: localhost\r\nContent-Type: multipart/form-data; "
                                        + "boundary=x\r\nContent-Length: 5000000\r\n\r\n--x\r\n")
                                .getBytes(StandardCharsets.ISO_8859_1));
            }
            assertThat(sendJson("POST", "/api/services/1/test", "").statusCode())
                    .isEqualTo(200);
            assertThat(get("/actuator/health", "localhost")).startsWith("HTTP/1.1 200");
        } finally {
            for (Socket socket : slow) {
                socket.close();
            }
        }
    }

    private HttpResponse<String> knock(String origin) throws Exception {
        return send(request("/api/services/1/test").header("Origin", origin).POST(HttpRequest.BodyPublishers.noBody()));
    }
}
