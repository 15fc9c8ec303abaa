package yokebar.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.sun.net.httpserver.HttpServer;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import yokebar.links.fake.FakeRadio;
import yokebar.standins.port.FreePorts;

/**
 * A page of another site, open in a real browser on the same computer, tries every port by every means a page has: requests of
 * all kinds, forms, frames, images, event streams, WebSockets, and under a host name of its own that leads to this computer.
 */
class HostilePageTest {
    private static final int ROUNDS = Integer.getInteger("yokebar.hostile-rounds", 1);

    @TempDir
    private static Path folder;

    private static final String PAGE =
            """
            <!doctype html><meta charset="utf-8"><title>Holiday pictures</title><body><script>
            const read = [];
            const wait = (ms) => new Promise((done) => setTimeout(done, ms));
            const evil = ';TX;TX0;KY CQ;FA00007010000;FA00007010000;MD3;PC100;\\r\\n'
              + '<call:6>ZP5QXA<qso_date:8>20260501<time_on:6>140700<band:3>20m<mode:2>CW<eor>';
            async function tryOne(url, init) {
              const abort = new AbortController();
              setTimeout(() => abort.abort(), 1500);
              try {
                const answer = await fetch(url, { ...init, signal: abort.signal });
                const text = await answer.text();
                if (text.length > 0 && answer.ok) read.push(url + ' ' + answer.status + ' ' + text.slice(0, 60));
              } catch (e) { /* refused, as it should be */ }
            }
            function form(url) {
              const frame = document.createElement('iframe');
              frame.name = 'f' + Math.random();
              document.body.append(frame);
              for (const type of ['text/plain', 'application/x-www-form-urlencoded', 'multipart/form-data']) {
                const form = document.createElement('form');
                form.method = 'post'; form.action = url; form.enctype = type; form.target = frame.name;
                const field = document.createElement('textarea');
                field.name = evil; field.value = evil;
                form.append(field); document.body.append(form); form.submit();
              }
            }
            function embed(url) {
              const image = new Image(); image.src = url; document.body.append(image);
              const script = document.createElement('script'); script.src = url; document.body.append(script);
              const frame = document.createElement('iframe'); frame.src = url;
              frame.onload = () => { try { read.push('frame ' + frame.contentDocument.body.innerText.slice(0, 60)); } catch (e) {} };
              document.body.append(frame);
            }
            async function attack(host, web, ports) {
              for (const port of ports) {
                const base = `http://${host}:${port}/`;
                for (const method of ['POST', 'GET', 'PUT', 'DELETE', 'OPTIONS', 'TX', 'PATCH']) {
                  for (const mode of ['no-cors', 'cors']) {
                    tryOne(base, { method, mode, body: method === 'GET' ? undefined : evil });
                  }
                }
                tryOne(base + evil, { mode: 'no-cors' });
                tryOne(`https://${host}:${port}/`, { mode: 'no-cors' });
                try { const socket = new WebSocket(`ws://${host}:${port}/`, ['TX']); socket.onopen = () => socket.send(evil); } catch (e) {}
                form(base);
                await wait(60);
              }
              const api = `http://${host}:${web}/api/`;
              for (const path of ['contacts.adi', 'contacts', 'radios', 'station', 'settings', 'services', 'live']) {
                tryOne(api + path, {});
                embed(api + path);
              }
              for (const mode of ['no-cors', 'cors']) {
                tryOne(api + 'radios/1/tune', { method: 'POST', mode, body: '{"frequencyHz":7010000}', headers: { 'Content-Type': 'application/json' } });
                tryOne(api + 'radios/1/tune', { method: 'POST', mode, body: '{"frequencyHz":7010000}' });
                const data = new FormData(); data.set('file', new Blob([evil]), 'a.adi');
                tryOne(api + 'imports', { method: 'POST', mode, body: data });
                tryOne(api + 'changes/delete', { method: 'POST', mode, body: '{"search":""}', headers: { 'Content-Type': 'application/json' } });
              }
              form(api + 'imports');
              embed(`http://${host}:${web}/`);
              try { const events = new EventSource(api + 'live'); events.onmessage = (e) => read.push('event ' + e.data); events.addEventListener('afresh', () => read.push('event')); } catch (e) {}
              await wait(2500);
              return read;
            }
            </script>
            """;

    @Test
    void nothingIsChangedAndNothingIsRead() throws Exception {
        HttpServer site = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        site.createContext("/", exchange -> {
            byte[] bytes = PAGE.getBytes(StandardCharsets.UTF_8);
            exchange.getResponseHeaders().set("Content-Type", "text/html");
            exchange.sendResponseHeaders(200, bytes.length);
            exchange.getResponseBody().write(bytes);
            exchange.close();
        });
        site.start();
        int share = FreePorts.tcp();
        try (FakeRadio radio = new FakeRadio();
                YokebarProcess yokebar = new YokebarProcess(folder.resolve("yokebar")).start()) {
            yokebar.put("api/station", "{\"ownCall\":\"CU9QYB\"}");
            yokebar.importContacts(0, 5);
            yokebar.post(
                    "api/radios",
                    "{\"name\":\"Fake\",\"dialect\":\"semicolon\",\"address\":\"127.0.0.1:" + radio.port()
                            + "\",\"sharePort\":" + share + ",\"shareTransmit\":true}");
            Until.itIs("the radio", () -> yokebar.get("api/radios")
                    .get(0)
                    .path("now")
                    .path("frequencyHz")
                    .isNumber());
            String before = state(yokebar, radio);
            radio.forgetHeard();
            List<Integer> ports = new ArrayList<>(List.of(share, radioFree(yokebar), yokebar.adifPort()));
            List<String> read = new ArrayList<>();
            // Names of the page's own that lead to this computer, as after a rebinding of their address.
            try (Browser browser = new Browser(
                    List.of("--host-resolver-rules=MAP holiday.example 127.0.0.1,MAP rebound.example 127.0.0.1"))) {
                for (int round = 0; round < ROUNDS; round++) {
                    for (String host : List.of("127.0.0.1", "localhost", "rebound.example")) {
                        Page page = browser.page(new ArrayList<>());
                        page.navigate(
                                "http://holiday.example:" + site.getAddress().getPort() + "/");
                        Object got = page.evaluate(
                                "([host, web, ports]) => attack(host, web, ports)",
                                List.of(host, yokebar.address().getPort(), ports));
                        ((List<?>) got).forEach(one -> read.add(String.valueOf(one)));
                        page.close();
                    }
                }
                // Under the rebound name the page itself would be of the same origin as what it asks for.
                Page rebound = browser.page(new ArrayList<>());
                rebound.navigate("http://rebound.example:" + yokebar.address().getPort() + "/");
                read.addAll(
                        rebound.content().contains("id=\"app\"")
                                ? List.of("the interface under a foreign name")
                                : List.of());
            }
            assertThat(read).as("what the page could read").isEmpty();
            assertThat(yokebar.get("api/radios").get(0).path("incidents").size())
                    .as("the page did reach the port")
                    .isPositive();
            assertThat(radio.transmissions()).isEmpty();
            assertThat(radio.heard()).noneMatch(sentence -> sentence.matches("TX.*|KY .*|FA\\d+|MD\\d|PC\\d+"));
            assertThat(state(yokebar, radio)).isEqualTo(before);
        } finally {
            site.stop(0);
        }
    }

    /** The port for ADIF streams, which is a free one in tests. */
    private static int radioFree(YokebarProcess yokebar) throws Exception {
        for (JsonNode hookup : yokebar.get("api/hookups")) {
            if (hookup.path("id").asString().equals("adif-stream")) {
                return Integer.parseInt(hookup.path("where").asString().replaceAll("\\D", ""));
            }
        }
        throw new IllegalStateException("no ADIF stream");
    }

    private static String state(YokebarProcess yokebar, FakeRadio radio) throws Exception {
        return Map.of(
                        "radio", radio.vfoA() + " " + radio.mode() + " " + radio.watts(),
                        "contacts", yokebar.get("api/contacts").path("total").asString(),
                        "journal", yokebar.text("api/journal").length(),
                        "station", yokebar.text("api/station"))
                .toString();
    }
}
