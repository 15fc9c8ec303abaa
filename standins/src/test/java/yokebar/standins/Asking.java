package yokebar.standins;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Asks a stand-in over HTTP as a program would that knows only its protocol. */
public final class Asking {
    private static final HttpClient CLIENT = HttpClient.newHttpClient();
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final String address;
    private final Map<String, String> headers = new LinkedHashMap<>();

    private Asking(String address) {
        this.address = address;
    }

    /** What came back. */
    public record Answered(int status, byte[] body, HttpResponse<byte[]> response) {
        public JsonNode json() {
            return JSON.readTree(body);
        }

        public String words() {
            return json().path("words").asString("");
        }

        public String header(String name) {
            return response.headers().firstValue(name).orElse("");
        }
    }

    /** Nobody in particular asks. */
    public static Asking at(String address) {
        return new Asking(address);
    }

    /** The same, with a header in each request. */
    public Asking with(String header, String value) {
        Asking more = new Asking(address);
        more.headers.putAll(headers);
        more.headers.put(header, value);
        return more;
    }

    public Asking as(String name, String password) {
        byte[] pair = (name + ":" + password).getBytes(StandardCharsets.UTF_8);
        return with("Authorization", "Basic " + Base64.getEncoder().encodeToString(pair));
    }

    public Answered get(String path) throws IOException, InterruptedException {
        return send("GET", path, new byte[0]);
    }

    public Answered delete(String path) throws IOException, InterruptedException {
        return send("DELETE", path, new byte[0]);
    }

    public Answered post(String path, String body) throws IOException, InterruptedException {
        return send("POST", path, body.getBytes(StandardCharsets.UTF_8));
    }

    /** With a body that is JSON of this. */
    public Answered post(String path, Map<String, ?> body) throws IOException, InterruptedException {
        return post(path, JSON.writeValueAsString(body));
    }

    public Answered send(String method, String path, byte[] body) throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path))
                .timeout(Duration.ofSeconds(60))
                .method(method, HttpRequest.BodyPublishers.ofByteArray(body));
        headers.forEach(request::header);
        HttpResponse<byte[]> response = CLIENT.send(request.build(), HttpResponse.BodyHandlers.ofByteArray());
        return new Answered(response.statusCode(), response.body(), response);
    }

    /** ADI text of one record. */
    public static String record(String... namesAndValues) {
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < namesAndValues.length; i += 2) {
            int bytes = namesAndValues[i + 1].getBytes(StandardCharsets.UTF_8).length;
            text.append('<').append(namesAndValues[i]).append(':').append(bytes).append('>');
            text.append(namesAndValues[i + 1]).append(' ');
        }
        return text.append("<EOR>\n").toString();
    }

    /** A plain contact of ours with a call, as an ADI record. */
    public static String contact(String call) {
        return fields(call).entrySet().stream()
                .map(field -> record(field.getKey(), field.getValue()).replace("<EOR>\n", ""))
                .collect(Collectors.joining("", "", "<EOR>\n"));
    }

    /** The fields of that contact. */
    public static Map<String, String> fields(String call) {
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("STATION_CALLSIGN", "CU9QYB");
        fields.put("CALL", call);
        fields.put("BAND", "20m");
        fields.put("MODE", "CW");
        fields.put("QSO_DATE", "20260501");
        fields.put("TIME_ON", "140700");
        fields.put("RST_SENT", "599");
        return fields;
    }
}
