package yokebar.app.platform.live;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import yokebar.app.AppTest;

@Timeout(120)
class LiveStreamTest extends AppTest {

    @Test
    void newsComeInOrderAndAMissedPartIsGivenAgain() throws Exception {
        String lastSeen;
        try (Reader page = open("/api/live")) {
            assertThat(page.next("afresh").kind()).isEqualTo("afresh");
            sendDatagram(contact("ZP5QXA"));
            lastSeen = added(page, "ZP5QXA").id();
        }
        sendDatagram(contact("OZ1QAB"));
        await("the second contact", () -> count("contact") == 2);
        try (Reader page = open("/api/live?last=" + lastSeen)) {
            added(page, "OZ1QAB");
            assertThat(page.seen()).doesNotContain("afresh");
        }
    }

    @Test
    void aPageFromAnotherStartIsToldToLoadAfresh() throws Exception {
        try (Reader page = open("/api/live?last=otherera-5")) {
            assertThat(page.next("afresh").kind()).isEqualTo("afresh");
        }
    }

    @Test
    void manyAtOnceAreToldAsANumber() throws Exception {
        try (Reader page = open("/api/live")) {
            page.next("afresh");
            StringBuilder file = new StringBuilder();
            for (int i = 0; i < 600; i++) {
                file.append(contact("OZ1Q" + (char) ('A' + i / 26) + (char) ('A' + i % 26)));
            }
            importText(file.toString());
            // What is left of another test may be told before.
            int more = 0;
            while (more == 0) {
                more = JSON.readTree(page.next("log").data()).path("more").asInt();
            }
            assertThat(more).isEqualTo(400);
        }
    }

    /** The news that a call was logged; what is left of another test may be told before. */
    private static Message added(Reader page, String call) throws Exception {
        while (true) {
            Message news = page.next("log");
            if (call.equals(JSON.readTree(news.data())
                    .path("added")
                    .path(0)
                    .path("call")
                    .asString(""))) {
                return news;
            }
        }
    }

    private Reader open(String path) throws Exception {
        HttpResponse<java.io.InputStream> response =
                http().send(request(path).GET().build(), HttpResponse.BodyHandlers.ofInputStream());
        return new Reader(new BufferedReader(new InputStreamReader(response.body(), StandardCharsets.UTF_8)));
    }

    private record Message(String id, String kind, String data) {}

    private record Reader(BufferedReader in, List<String> seen) implements AutoCloseable {
        Reader(BufferedReader in) {
            this(in, new ArrayList<>());
        }

        Message next(String wanted) throws Exception {
            while (true) {
                String id = "";
                String kind = "";
                String data = "";
                for (String line = in.readLine(); line != null && !line.isEmpty(); line = in.readLine()) {
                    String value = line.substring(line.indexOf(':') + 1);
                    if (line.startsWith("id:")) {
                        id = value;
                    } else if (line.startsWith("event:")) {
                        kind = value;
                    } else if (line.startsWith("data:")) {
                        data = value;
                    }
                }
                seen.add(kind);
                if (kind.equals(wanted)) {
                    return new Message(id, kind, data);
                }
            }
        }

        @Override
        public void close() throws Exception {
            in.close();
        }
    }
}
