package yokebar.links.platform.web;

import java.io.IOException;
import java.io.InputStream;
import java.net.ConnectException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpTimeoutException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.links.platform.status.ServiceUnreachable;

/** One service on the web: its answers, and its failures in words. What a refusal means is for those who asked. */
public final class WebService {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Duration CONNECT_WITHIN = Duration.ofSeconds(5);
    private static final int OVERLOADED = 429;
    private static final int MAX_WAITS = 3;
    private static final int LONGEST_WAIT_S = 10;
    private static final int SERVER_FAULT = 500;
    /** Not acceptable, not wanted, too large, of another kind. */
    private static final Set<Integer> REFUSALS = Set.of(400, 422, 413, 415);

    private final HttpClient http = HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .connectTimeout(CONNECT_WITHIN)
            .build();
    private final String name;
    private final URI base;
    private final Limits limits;
    private final String fix;

    /**
     * What is waited for.
     *
     * @param answerWithin how long an answer may take, from the request to its last byte
     * @param maxBytes how long it may be; a longer one is not read to its end
     */
    public record Limits(Duration answerWithin, int maxBytes) {}

    /**
     * An answer that came.
     *
     * @param status HTTP status, under 500 and not 429
     */
    public record Answer(int status, byte[] body) {}

    /**
     * @param name as the operator knows it
     * @param base its base address
     * @param fix what the operator can do when it cannot be reached
     */
    public WebService(String name, URI base, Limits limits, String fix) {
        this.name = name;
        this.base = base;
        this.limits = limits;
        this.fix = fix;
    }

    /**
     * A request to a path below the base address.
     *
     * @param path maybe one the service gave itself; it may not lead to another host
     */
    public HttpRequest.Builder request(String path) throws ServiceUnreachable {
        try {
            URI folder = base.getPath().endsWith("/") ? base : URI.create(base + "/");
            URI target = folder.resolve(path);
            if (target.getScheme().equals(base.getScheme())
                    && target.getRawAuthority().equals(base.getRawAuthority())) {
                return HttpRequest.newBuilder(target).timeout(limits.answerWithin());
            }
        } catch (IllegalArgumentException e) {
            throw nonsense("gave an invalid address", e);
        }
        throw nonsense("gave an address elsewhere", null);
    }

    /**
     * Sends a request. A service that asks for patience for a moment gets it; the request must be one that can be sent again.
     *
     * @throws ServiceUnreachable when no proper answer came
     */
    public Answer send(HttpRequest request) throws ServiceUnreachable {
        int status;
        byte[] body;
        try {
            long asked = System.nanoTime();
            HttpResponse<InputStream> response = http.send(request, HttpResponse.BodyHandlers.ofInputStream());
            for (int waits = 0; waits < MAX_WAITS && patience(response) > 0; waits++) {
                response.body().close();
                Thread.sleep(patience(response));
                asked = System.nanoTime();
                response = http.send(request, HttpResponse.BodyHandlers.ofInputStream());
            }
            status = response.statusCode();
            try (TimedBody in = new TimedBody(response.body(), restOf(limits.answerWithin(), asked))) {
                body = in.read(limits.maxBytes() + 1);
            }
        } catch (HttpTimeoutException e) {
            throw unreachable(
                    "does not answer",
                    "does not answer within " + limits.answerWithin().toSeconds() + " s",
                    e);
        } catch (ConnectException e) {
            throw unreachable("cannot be reached", "cannot be reached; nothing listens there", e);
        } catch (IOException e) {
            throw unreachable("connection lost", "dropped the connection", e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw unreachable("was not waited for", "was not waited for", e);
        }
        if (status == OVERLOADED || status >= SERVER_FAULT) {
            throw unreachable("reports a fault", "reports a fault (" + status + ")", null);
        }
        if (body.length > limits.maxBytes()) {
            throw unreachable("answers too much", "sent more than " + limits.maxBytes() + " bytes", null);
        }
        return new Answer(status, body);
    }

    private static Duration restOf(Duration all, long sinceNanos) {
        Duration rest = all.minusNanos(System.nanoTime() - sinceNanos);
        return rest.isNegative() ? Duration.ZERO : rest;
    }

    /** How long an overloaded service asks to wait, ms; 0 when it does not, or asks for more than a moment. */
    private static long patience(HttpResponse<?> response) {
        if (response.statusCode() != OVERLOADED) {
            return 0;
        }
        String asked = response.headers().firstValue("Retry-After").orElse("");
        return asked.matches("\\d{1,2}") && Integer.parseInt(asked) <= LONGEST_WAIT_S
                ? Math.max(1, Integer.parseInt(asked)) * 1000L
                : 0;
    }

    /** The service's own words in a refusal, without the point at their end. */
    public static String words(Answer answer) {
        return ownWords(answer).orElse("status " + answer.status());
    }

    private static Optional<String> ownWords(Answer answer) {
        try {
            String words = JSON.readTree(answer.body()).path("words").asString("");
            return words.isEmpty()
                    ? Optional.empty()
                    : Optional.of(words.endsWith(".") ? words.substring(0, words.length() - 1) : words);
        } catch (JacksonException e) {
            return Optional.empty();
        }
    }

    /**
     * Whether the service refuses what was sent: only with the statuses its protocol has for that, and in its own words. A page
     * of a proxy, or of another server at a wrong address, refuses nothing.
     */
    public static boolean isRefusal(Answer answer) {
        return REFUSALS.contains(answer.status()) && ownWords(answer).isPresent();
    }

    /** Whether the service says that it knows nothing of what was asked for: {@code "found": false}, and no mere 404. */
    public static boolean saysNone(Answer answer) {
        try {
            JsonNode found = JSON.readTree(answer.body()).path("found");
            return found.isBoolean() && !found.asBoolean();
        } catch (JacksonException e) {
            return false;
        }
    }

    /** The service, or something in its place, answered with a status its protocol does not have there. */
    public ServiceUnreachable unexpected(Answer answer) {
        return new ServiceUnreachable(
                "answers " + answer.status(),
                name + " at " + base.getAuthority() + " answered " + answer.status()
                        + ownWords(answer).map(words -> ": " + words).orElse("") + ".",
                "Nothing was marked. Check the address and the account; is a proxy in between? Yokebar tries again automatically.",
                null);
    }

    /** @throws ServiceUnreachable when it is not a JSON object */
    public JsonNode json(Answer answer) throws ServiceUnreachable {
        try {
            JsonNode node = JSON.readTree(answer.body());
            if (node != null && node.isObject()) {
                return node;
            }
        } catch (JacksonException e) {
            throw nonsense("answered something that is not JSON", e);
        }
        throw nonsense("answered something that is not what was asked for", null);
    }

    public String text(JsonNode node, String field) throws ServiceUnreachable {
        JsonNode value = node.path(field);
        if (!value.isString()) {
            throw missing(field);
        }
        return value.asString();
    }

    public JsonNode array(JsonNode node, String field) throws ServiceUnreachable {
        JsonNode value = node.path(field);
        if (!value.isArray()) {
            throw missing(field);
        }
        return value;
    }

    private ServiceUnreachable missing(String field) {
        return nonsense("left \"" + field + "\" out of its answer", null);
    }

    /** The service answered, but not as agreed. */
    public ServiceUnreachable nonsense(String what, @Nullable Throwable cause) {
        return unreachable("answers nonsense", what, cause);
    }

    private ServiceUnreachable unreachable(String brief, String what, @Nullable Throwable cause) {
        return new ServiceUnreachable(brief, name + " at " + base.getAuthority() + " " + what + ".", fix, cause);
    }

    public static String encode(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8).replace("+", "%20");
    }

    /** The body of a request. */
    public static HttpRequest.BodyPublisher json(Object body) {
        return HttpRequest.BodyPublishers.ofString(JSON.writeValueAsString(body));
    }
}
