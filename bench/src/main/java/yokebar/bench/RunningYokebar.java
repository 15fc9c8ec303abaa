package yokebar.bench;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import yokebar.app.YokebarApplication;
import yokebar.standins.port.FreePorts;

/** The application inside this process, on its own folder and ports. */
final class RunningYokebar implements AutoCloseable {
    private final HttpClient http = HttpClient.newHttpClient();
    private final ConfigurableApplicationContext context;
    private final int adifPort;

    RunningYokebar(Path home) throws IOException {
        adifPort = FreePorts.udp();
        context = new SpringApplication(YokebarApplication.class)
                .run(
                        "--yokebar.home=" + home,
                        "--yokebar.adif-udp-port=" + adifPort,
                        "--yokebar.adif-tcp-port=0",
                        "--yokebar.link-port=0",
                        "--server.port=0");
    }

    ConfigurableApplicationContext context() {
        return context;
    }

    int adifPort() {
        return adifPort;
    }

    URI address() {
        return URI.create("http://127.0.0.1:" + context.getEnvironment().getProperty("local.server.port") + "/");
    }

    /**
     * Asks something of the application.
     *
     * @param body JSON; empty for none
     * @throws IOException when it is refused
     */
    String send(String method, String path, String body) throws IOException, InterruptedException {
        return send(method, path, "application/json", body);
    }

    /** Posts text that is not JSON. */
    String sendText(String path, String text) throws IOException, InterruptedException {
        return send("POST", path, "text/plain", text);
    }

    private String send(String method, String path, String type, String body) throws IOException, InterruptedException {
        HttpRequest.BodyPublisher content =
                body.isEmpty() ? HttpRequest.BodyPublishers.noBody() : HttpRequest.BodyPublishers.ofString(body);
        HttpRequest request = HttpRequest.newBuilder(address().resolve(path))
                .header("Content-Type", type)
                .method(method, content)
                .build();
        HttpResponse<String> answer = http.send(request, HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() >= 400) {
            throw new IOException(request.uri() + ": " + answer.body());
        }
        return answer.body();
    }

    /** The first number of that name in an answer; -1 when there is none. */
    static long number(String json, String name) {
        Matcher matcher = Pattern.compile("\"" + name + "\":(\\d+)").matcher(json);
        return matcher.find() ? Long.parseLong(matcher.group(1)) : -1;
    }

    /** Imports ADI text; gives the answer's body. */
    String importText(byte[] adi) throws IOException, InterruptedException {
        return upload(http, address().resolve("api/imports"), adi);
    }

    /** The same into a contest book. */
    String importInto(long book, byte[] adi) throws IOException, InterruptedException {
        return upload(http, address().resolve("api/imports?contestBook=" + book), adi);
    }

    static String importText(HttpClient http, URI address, byte[] adi) throws IOException, InterruptedException {
        return upload(http, address.resolve("api/imports"), adi);
    }

    private static String upload(HttpClient http, URI to, byte[] adi) throws IOException, InterruptedException {
        String head = "--part\r\nContent-Disposition: form-data; name=\"file\"; filename=\"sample.adi\"\r\n\r\n";
        HttpRequest request = HttpRequest.newBuilder(to)
                .header("Content-Type", "multipart/form-data; boundary=part")
                .POST(HttpRequest.BodyPublishers.concat(
                        HttpRequest.BodyPublishers.ofString(head, StandardCharsets.UTF_8),
                        HttpRequest.BodyPublishers.ofByteArray(adi),
                        HttpRequest.BodyPublishers.ofString("\r\n--part--\r\n")))
                .build();
        return http.send(request, HttpResponse.BodyHandlers.ofString()).body();
    }

    @Override
    public void close() {
        context.close();
    }
}
