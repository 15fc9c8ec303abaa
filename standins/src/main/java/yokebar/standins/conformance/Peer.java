package yokebar.standins.conformance;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Base64;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The service that is tried. */
final class Peer {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    /** Longer than any of our clients waits. */
    private static final Duration WITHIN = Duration.ofSeconds(30);

    private final HttpClient http = HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .connectTimeout(Duration.ofSeconds(5))
            .build();
    private final URI base;
    private final String authorization;

    private Peer(URI base, String authorization) {
        this.base = URI.create(base.toString().endsWith("/") ? base.toString() : base + "/");
        this.authorization = authorization;
    }

    /** @param account name and password with a colon between */
    static Peer basic(URI base, String account) {
        return new Peer(base, "Basic " + Base64.getEncoder().encodeToString(account.getBytes(StandardCharsets.UTF_8)));
    }

    static Peer bearer(URI base, String key) {
        return new Peer(base, "Bearer " + key);
    }

    /** The same service, asked by somebody it does not know. */
    Peer unknown() {
        return new Peer(base, authorization.startsWith("Basic") ? "Basic bm9ib2R5Om5vYm9keQ==" : "Bearer nobody");
    }

    /** What it answered. */
    record Answer(int status, String type, byte[] body) {
        JsonNode json() throws Requirement.Unmet {
            try {
                JsonNode node = JSON.readTree(body);
                Requirement.require(node.isObject(), "the answer is not a JSON object: " + text());
                return node;
            } catch (RuntimeException e) {
                throw new Requirement.Unmet("the answer is not JSON: " + text());
            }
        }

        String text() {
            String text = new String(body, StandardCharsets.UTF_8);
            return text.length() <= 120 ? text : text.substring(0, 119) + "…";
        }

        void is(int wanted) throws Requirement.Unmet {
            Requirement.require(status == wanted, "it answered " + status + ", not " + wanted + ": " + text());
        }

        /** A sentence in the service's words stands in it. */
        String words() throws Requirement.Unmet {
            String words = json().path("words").asString("");
            Requirement.require(!words.isBlank(), "there are no words in " + text());
            return words;
        }

        void saysNone() throws Requirement.Unmet {
            JsonNode found = json().path("found");
            Requirement.require(
                    found.isBoolean() && !found.asBoolean(),
                    "it does not say \"found\": false: " + status + " " + text());
        }
    }

    Answer get(String path) throws IOException, InterruptedException {
        return send("GET", path, Map.of(), new byte[0]);
    }

    Answer send(String method, String path, Map<String, String> headers, byte[] body)
            throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(base.resolve(path))
                .timeout(WITHIN)
                .header("Authorization", authorization)
                .method(method, HttpRequest.BodyPublishers.ofByteArray(body));
        headers.forEach(request::header);
        HttpResponse<byte[]> answer = http.send(request.build(), HttpResponse.BodyHandlers.ofByteArray());
        return new Answer(
                answer.statusCode(), answer.headers().firstValue("Content-Type").orElse(""), answer.body());
    }

    Answer send(String method, String path, Map<String, String> headers, String text)
            throws IOException, InterruptedException {
        return send(method, path, headers, text.getBytes(StandardCharsets.UTF_8));
    }

    static String json(Object value) {
        return JSON.writeValueAsString(value);
    }
}
