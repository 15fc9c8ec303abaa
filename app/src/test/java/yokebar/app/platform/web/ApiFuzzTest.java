package yokebar.app.platform.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;
import yokebar.app.RunningTest;

/**
 * Whatever is sent to whatever the API's description names: it is taken, or refused with a sentence, and never a fault of the
 * server. On a data folder of its own, because some of it is accepted.
 */
class ApiFuzzTest extends RunningTest {
    private static final List<String> METHODS = List.of("get", "post", "put", "patch", "delete");
    /** Sends away, stays open, or ends the application: tried by tests of their own. */
    private static final Set<String> NOT_HERE = Set.of("/api/live");

    private static final List<String> TEXTS =
            List.of("", "nothing", "-1", "9999999999", "1e400", "\u0000", "\uD83D\uDE00", "<script>", "x".repeat(300));

    private final List<String> faults = new ArrayList<>();
    private JsonNode description;

    @DynamicPropertySource
    static void ownFolder(DynamicPropertyRegistry registry) {
        on(temporaryFolder(), registry);
    }

    @Test
    void everyRequestIsAcceptedOrRefusedWithASentence() throws Exception {
        description = JSON.readTree(Files.readString(Path.of("../web/openapi.json")));
        for (Map.Entry<String, JsonNode> path : description.path("paths").properties()) {
            for (String method : METHODS) {
                JsonNode operation = path.getValue().path(method);
                if (!operation.isMissingNode() && !NOT_HERE.contains(path.getKey())) {
                    tryOut(method, path.getKey(), operation);
                }
            }
        }
        assertThat(String.join("\n", faults)).isEmpty();
    }

    private void tryOut(String method, String path, JsonNode operation) throws Exception {
        JsonNode content = operation.path("requestBody").path("content");
        boolean file = content.has("multipart/form-data");
        List<String> bodies = content.has("application/json")
                ? bodies(content.path("application/json").path("schema"))
                : List.of("");
        // All bodies at one address, and one body at each of the others: faults of the two are seldom faults of both.
        boolean first = true;
        for (String address : addresses(path, operation.path("parameters"))) {
            if (file) {
                judge(method, address, "no file", send(request(address).POST(HttpRequest.BodyPublishers.noBody())));
                judge(method, address, "an empty file", upload(address, "x", new byte[0], Map.of()));
                judge(method, address, "noise", upload(address, "x.zip", noise(), Map.of("passphrase", "x")));
            }
            for (String body : file ? List.<String>of() : first ? bodies : List.of(bodies.get(bodies.size() - 1))) {
                judge(method, address, body, sendBody(method, address, body));
            }
            first = false;
        }
    }

    private HttpResponse<String> sendBody(String method, String address, String body) throws Exception {
        return send(request(address)
                .header("Content-Type", "application/json")
                .method(method.toUpperCase(), HttpRequest.BodyPublishers.ofString(body)));
    }

    private void judge(String method, String address, String sent, HttpResponse<String> answer) throws Exception {
        String what = method + " " + shortened(address) + " with " + shortened(sent) + ": " + answer.statusCode() + " ";
        if (answer.statusCode() >= 500) {
            faults.add(what + shortened(answer.body()));
        } else if (answer.statusCode() >= 400) {
            String detail = detail(answer);
            if (detail.isBlank() || detail.contains("Exception") || detail.contains("java.")) {
                faults.add(what + "without a sentence: " + shortened(answer.body()));
            }
        }
    }

    private static String detail(HttpResponse<String> answer) {
        boolean problem = answer.headers()
                .firstValue("Content-Type")
                .filter(type -> type.startsWith("application/problem+json"))
                .isPresent();
        return problem ? JSON.readTree(answer.body()).path("detail").asString("") : "";
    }

    private static String shortened(String text) {
        return text.length() > 160 ? text.substring(0, 160) + "…" : text;
    }

    private static byte[] noise() {
        byte[] noise = new byte[3000];
        new java.util.Random(7).nextBytes(noise);
        noise[0] = 'P';
        noise[1] = 'K';
        noise[2] = 3;
        noise[3] = 4;
        return noise;
    }

    /** The path with each text in its places, and the query with each. */
    private static Set<String> addresses(String path, JsonNode parameters) {
        Set<String> addresses = new LinkedHashSet<>();
        addresses.add(filled(path, "1"));
        for (String text : TEXTS) {
            // A path cannot hold an empty part or a zero byte.
            String part = text.isEmpty() || text.equals("\u0000") ? "none" : text.length() > 100 ? "long" : text;
            StringBuilder query = new StringBuilder();
            for (JsonNode parameter : parameters) {
                if (parameter.path("in").asString().equals("query")) {
                    query.append(query.isEmpty() ? "?" : "&")
                            .append(encoded(parameter.path("name").asString()))
                            .append("=")
                            .append(encoded(text));
                }
            }
            addresses.add(filled(path, part) + query);
        }
        return addresses;
    }

    private static String filled(String path, String part) {
        return path.replaceAll("\\{[^}]+}", encoded(part).replace("+", "%20"));
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    private List<String> bodies(JsonNode schema) {
        List<String> bodies = new ArrayList<>(List.of("", "{", "null", "[]", "\"text\"", "{}", "[null]", "[{}]"));
        JsonNode fields = resolved(schema).path("properties");
        for (Object value : new Object[] {null, "", "nothing", "\u0000", -1, 1e300, List.of(), Map.of(), true}) {
            bodies.add(JSON.writeValueAsString(filledIn(fields, value)));
        }
        for (String name : fields.propertyNames()) {
            ObjectNode one = JSON.createObjectNode();
            bodies.add(one.putNull(name).toString());
            bodies.add(one.put(name, "x".repeat(70_000)).toString());
            bodies.add(one.put(name, -1).toString());
        }
        return bodies;
    }

    private ObjectNode filledIn(JsonNode fields, Object value) {
        ObjectNode body = JSON.createObjectNode();
        fields.propertyNames().forEach(name -> body.set(name, JSON.valueToTree(value)));
        return body;
    }

    private JsonNode resolved(JsonNode schema) {
        String ref = schema.path("$ref").asString("");
        return ref.isEmpty()
                ? schema
                : description.path("components").path("schemas").path(ref.substring(ref.lastIndexOf('/') + 1));
    }
}
