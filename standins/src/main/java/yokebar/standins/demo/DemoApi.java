package yokebar.standins.demo;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Yokebar's own API, as the demo uses it. */
final class DemoApi {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final HttpClient http = HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .connectTimeout(Duration.ofSeconds(2))
            .build();
    private final URI yokebar;

    DemoApi(URI yokebar) {
        this.yokebar = yokebar;
    }

    /** Waits until Yokebar answers, at most so long. */
    void awaitReady(Duration longest) throws IOException, InterruptedException {
        Instant until = Instant.now().plus(longest);
        while (true) {
            try {
                HttpResponse<String> answer = send(request("actuator/health").GET());
                if (answer.statusCode() == 200) {
                    return;
                }
            } catch (IOException e) {
                if (Instant.now().isAfter(until)) {
                    throw e;
                }
            }
            Thread.sleep(200);
        }
    }

    JsonNode get(String path) throws IOException, InterruptedException {
        return JSON.readTree(accepted(path, send(request(path).GET())));
    }

    JsonNode post(String path, Object body) throws IOException, InterruptedException {
        return sendJson(path, "POST", body);
    }

    /** Something that is no JSON, such as a definition. */
    void postText(String path, String text) throws IOException, InterruptedException {
        accepted(
                path,
                send(request(path)
                        .header("Content-Type", "text/plain")
                        .POST(HttpRequest.BodyPublishers.ofString(text))));
    }

    void put(String path, Object body) throws IOException, InterruptedException {
        sendJson(path, "PUT", body);
    }

    private JsonNode sendJson(String path, String method, Object body) throws IOException, InterruptedException {
        HttpRequest.Builder request = request(path)
                .header("Content-Type", "application/json")
                .method(method, HttpRequest.BodyPublishers.ofString(JSON.writeValueAsString(body)));
        return JSON.readTree(accepted(path, send(request)));
    }

    void upload(String path, String fileName, byte[] content, Map<String, String> fields)
            throws IOException, InterruptedException {
        String boundary = "part-" + Long.toHexString(System.nanoTime());
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        for (Map.Entry<String, String> field : fields.entrySet()) {
            body.writeBytes(("--" + boundary + "\r\nContent-Disposition: form-data; name=\"" + field.getKey()
                            + "\"\r\n\r\n" + field.getValue() + "\r\n")
                    .getBytes(StandardCharsets.UTF_8));
        }
        body.writeBytes(("--" + boundary + "\r\nContent-Disposition: form-data; name=\"file\"; filename=\"" + fileName
                        + "\"\r\nContent-Type: application/octet-stream\r\n\r\n")
                .getBytes(StandardCharsets.UTF_8));
        body.writeBytes(content);
        body.writeBytes(("\r\n--" + boundary + "--\r\n").getBytes(StandardCharsets.UTF_8));
        HttpRequest.Builder request = request(path)
                .header("Content-Type", "multipart/form-data; boundary=" + boundary)
                .POST(HttpRequest.BodyPublishers.ofByteArray(body.toByteArray()));
        accepted(path, send(request));
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(yokebar.resolve("/" + path)).timeout(Duration.ofMinutes(2));
    }

    private HttpResponse<String> send(HttpRequest.Builder request) throws IOException, InterruptedException {
        return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    private static String accepted(String path, HttpResponse<String> answer) throws IOException {
        if (answer.statusCode() >= 300) {
            throw new IOException(path + " answered " + answer.statusCode() + ": " + answer.body());
        }
        return answer.body();
    }
}
