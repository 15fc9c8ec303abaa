package yokebar.standins.http;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.json.JsonMapper;
import yokebar.standins.port.LoopbackPort;

/** An HTTP server on the loopback that can be stopped and started again on the same port, as a service that goes down. */
public final class HttpService implements AutoCloseable {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** Answers one request. */
    @FunctionalInterface
    public interface Handler {
        Answer answer(Request request) throws Exception;
    }

    /**
     * @param status HTTP status; 0 breaks off the connection without an answer
     * @param missing bytes that are announced but never come
     * @param headers more headers
     */
    public record Answer(int status, String contentType, byte[] body, int missing, Map<String, String> headers) {
        public Answer(int status, String contentType, byte[] body) {
            this(status, contentType, body, 0, Map.of());
        }

        /** The same, broken off in the middle. */
        public Answer truncated() {
            int half = body.length / 2;
            return new Answer(status, contentType, Arrays.copyOf(body, half), body.length - half + 1, headers);
        }

        public static Answer json(int status, Object body) {
            return new Answer(status, "application/json", JSON.writeValueAsBytes(body));
        }

        public static Answer none() {
            return new Answer(0, "", new byte[0]);
        }
    }

    /**
     * @param path what follows the prefix the handler was registered for
     */
    public record Request(String method, String path, Map<String, String> query, HttpExchange exchange, byte[] body) {
        public @Nullable String header(String name) {
            return exchange.getRequestHeaders().getFirst(name);
        }

        public String query(String name, String otherwise) {
            return query.getOrDefault(name, otherwise);
        }
    }

    static {
        // Else the server of the JDK keeps what follows an answer's head until the head is acknowledged, some 40 ms.
        System.setProperty("sun.net.httpserver.nodelay", "true");
    }

    private final Map<String, Handler> handlers = new LinkedHashMap<>();
    private int port;
    private @Nullable HttpServer server;
    private @Nullable ExecutorService workers;

    /** @param port 0 for any free port */
    public HttpService(int port) {
        this.port = port;
    }

    public HttpService on(String prefix, Handler handler) {
        handlers.put(prefix, handler);
        return this;
    }

    public synchronized HttpService start() throws IOException {
        if (server != null) {
            return this;
        }
        HttpServer created = LoopbackPort.open(port, address -> HttpServer.create(address, 50));
        port = created.getAddress().getPort();
        handlers.forEach(
                (prefix, handler) -> created.createContext(prefix, exchange -> serve(exchange, prefix, handler)));
        workers = Executors.newCachedThreadPool(task -> {
            Thread thread = new Thread(task, "stand-in-http-" + port);
            thread.setDaemon(true);
            return thread;
        });
        created.setExecutor(workers);
        created.start();
        server = created;
        return this;
    }

    public synchronized void stop() {
        if (server != null) {
            server.stop(0);
            server = null;
        }
        if (workers != null) {
            workers.shutdownNow();
            workers = null;
        }
    }

    public synchronized boolean running() {
        return server != null;
    }

    public synchronized int port() {
        return port;
    }

    @Override
    public void close() {
        stop();
    }

    private static void serve(HttpExchange exchange, String prefix, Handler handler) throws IOException {
        try (exchange) {
            byte[] body = exchange.getRequestBody().readAllBytes();
            String path = exchange.getRequestURI().getPath().substring(prefix.length());
            Request request = new Request(exchange.getRequestMethod(), path, queryOf(exchange), exchange, body);
            Answer answer;
            try {
                answer = handler.answer(request);
            } catch (IllegalArgumentException e) {
                answer = Answer.json(400, Map.of("words", String.valueOf(e.getMessage())));
            } catch (Exception e) {
                answer = Answer.json(500, Map.of("words", String.valueOf(e)));
            }
            if (answer.status() == 0) {
                return;
            }
            exchange.getResponseHeaders().set("Content-Type", answer.contentType());
            answer.headers().forEach(exchange.getResponseHeaders()::set);
            int length = answer.body().length + answer.missing();
            exchange.sendResponseHeaders(answer.status(), length == 0 ? -1 : length);
            exchange.getResponseBody().write(answer.body());
        }
    }

    private static Map<String, String> queryOf(HttpExchange exchange) {
        Map<String, String> query = new LinkedHashMap<>();
        String raw = exchange.getRequestURI().getRawQuery();
        if (raw != null) {
            for (String pair : raw.split("&")) {
                String[] parts = pair.split("=", 2);
                query.put(decode(parts[0]), parts.length > 1 ? decode(parts[1]) : "");
            }
        }
        return query;
    }

    private static String decode(String text) {
        return java.net.URLDecoder.decode(text, StandardCharsets.UTF_8);
    }
}
