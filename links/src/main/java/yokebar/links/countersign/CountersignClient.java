package yokebar.links.countersign;

import java.io.IOException;
import java.net.ConnectException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpTimeoutException;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.core.band.Band;
import yokebar.core.call.Call;
import yokebar.core.confirm.ConfirmedRecord;
import yokebar.core.mode.Mode;
import yokebar.core.mode.Modes;
import yokebar.links.status.ServiceRefused;
import yokebar.links.status.ServiceUnreachable;

/** Talks to the certified confirmation service; the protocol is in {@code docs/protocols/countersign.md}. */
public final class CountersignClient {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Duration CONNECT_WITHIN = Duration.ofSeconds(5);
    private static final Duration ANSWER_WITHIN = Duration.ofSeconds(30);

    private final HttpClient http = HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .connectTimeout(CONNECT_WITHIN)
            .build();
    private final CountersignAccount account;

    public CountersignClient(CountersignAccount account) {
        this.account = account;
    }

    /** Asks who we are there. Returns what it says, such as {@code CU9QYB, certificate valid until 2029-01-01}. */
    public String test() throws ServiceRefused, ServiceUnreachable {
        return text(getJson("api/account"), "words");
    }

    /**
     * Hands over one signed batch.
     *
     * @param idempotencyKey the same for every try with the same batch; the service takes it once
     */
    public Receipt submit(byte[] signedBatch, String idempotencyKey) throws ServiceRefused, ServiceUnreachable {
        HttpRequest request = request("api/batches")
                .header("Content-Type", "application/pkcs7-mime")
                .header("Idempotency-Key", idempotencyKey)
                .POST(HttpRequest.BodyPublishers.ofByteArray(signedBatch))
                .build();
        JsonNode answer = json(send(request));
        return new Receipt(text(answer, "receipt"), text(answer, "words"));
    }

    /** What became of a batch handed over before. */
    public BatchReport report(String receiptNumber) throws ServiceRefused, ServiceUnreachable {
        JsonNode answer = getJson("api/batches/" + encode(receiptNumber));
        if (!text(answer, "state").equals("processed")) {
            return new BatchReport(false, List.of());
        }
        List<BatchReport.Result> results = new ArrayList<>();
        for (JsonNode entry : array(answer, "records")) {
            String result = text(entry, "result");
            boolean taken = result.equals("accepted") || result.equals("duplicate");
            results.add(new BatchReport.Result(
                    taken, taken ? "" : entry.path("words").asString(result)));
        }
        return new BatchReport(true, List.copyOf(results));
    }

    /**
     * A page of the confirmations the service received since then.
     *
     * @param since by the time the service received them, inclusive, UTC
     * @param page where to start, as given by the page before; null for the first
     */
    public ConfirmationPage confirmations(Instant since, @Nullable String page)
            throws ServiceRefused, ServiceUnreachable {
        String query =
                "api/confirmations?since=" + encode(since.toString()) + (page == null ? "" : "&page=" + encode(page));
        JsonNode answer = getJson(query);
        List<ConfirmationPage.Entry> entries = new ArrayList<>();
        int unreadable = 0;
        for (JsonNode node : array(answer, "confirmations")) {
            ConfirmationPage.Entry entry = entry(node);
            if (entry == null) {
                unreadable++;
            } else {
                entries.add(entry);
            }
        }
        String next = answer.path("next").asString("");
        return new ConfirmationPage(List.copyOf(entries), next.isEmpty() ? null : next, unreadable);
    }

    private static ConfirmationPage.@Nullable Entry entry(JsonNode node) {
        Call ownCall = Call.read(node.path("ownCall").asString(""));
        Call call = Call.read(node.path("call").asString(""));
        Band band = Band.named(node.path("band").asString(""));
        Mode mode =
                Modes.read(node.path("mode").asString(""), node.path("submode").asString(null));
        String number = node.path("number").asString("");
        if (ownCall == null || call == null || band == null || mode == null || number.isEmpty()) {
            return null;
        }
        try {
            Instant start = Instant.parse(node.path("start").asString(""));
            Instant receivedAt = Instant.parse(node.path("receivedAt").asString(""));
            ConfirmedRecord record = new ConfirmedRecord(ownCall, call, band, mode, start);
            return new ConfirmationPage.Entry(
                    number, receivedAt, record, node.path("locator").asString(null));
        } catch (DateTimeException e) {
            return null;
        }
    }

    private JsonNode getJson(String path) throws ServiceRefused, ServiceUnreachable {
        return json(send(request(path).GET().build()));
    }

    private HttpRequest.Builder request(String path) {
        URI base = account.address();
        URI target = base.getPath().endsWith("/") ? base.resolve(path) : URI.create(base + "/" + path);
        String credentials = account.account() + ":" + account.password();
        return HttpRequest.newBuilder(target)
                .timeout(ANSWER_WITHIN)
                .header("Accept", "application/json")
                .header(
                        "Authorization",
                        "Basic " + Base64.getEncoder().encodeToString(credentials.getBytes(StandardCharsets.UTF_8)));
    }

    private HttpResponse<String> send(HttpRequest request) throws ServiceRefused, ServiceUnreachable {
        HttpResponse<String> response;
        try {
            response = http.send(request, HttpResponse.BodyHandlers.ofString(StandardCharsets.UTF_8));
        } catch (HttpTimeoutException e) {
            throw unreachable("does not answer", "does not answer within " + ANSWER_WITHIN.toSeconds() + " s", e);
        } catch (ConnectException e) {
            throw unreachable("cannot be reached", "cannot be reached; nothing listens there", e);
        } catch (IOException e) {
            throw unreachable("broke off", "broke off the connection", e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw unreachable("was not waited for", "was not waited for", e);
        }
        int status = response.statusCode();
        if (status == 401 || status == 403) {
            throw new ServiceRefused(
                    ServiceRefused.About.ACCOUNT,
                    "refuses the account",
                    "Countersign refuses the account " + account.account() + ": " + wordsOf(response) + ".",
                    "Check the account's password; it is not the passphrase of the signing identity.");
        }
        if (status == 429 || status >= 500) {
            throw unreachable("is in difficulties", "is in difficulties (" + status + ")", null);
        }
        if (status >= 400) {
            throw new ServiceRefused(
                    ServiceRefused.About.CONTENT,
                    "refuses the batch",
                    "Countersign says: " + wordsOf(response) + ".",
                    "Correct that and hand over again.");
        }
        return response;
    }

    private ServiceUnreachable unreachable(String brief, String what, @Nullable Throwable cause) {
        return new ServiceUnreachable(
                brief,
                "Countersign at " + account.address().getAuthority() + " " + what + ".",
                "Nothing is lost; it is tried again by itself.",
                cause);
    }

    private static String wordsOf(HttpResponse<String> response) {
        try {
            String words = JSON.readTree(response.body()).path("words").asString("");
            return words.isEmpty() ? "status " + response.statusCode() : stripPoint(words);
        } catch (JacksonException e) {
            return "status " + response.statusCode();
        }
    }

    private static String stripPoint(String words) {
        return words.endsWith(".") ? words.substring(0, words.length() - 1) : words;
    }

    private JsonNode json(HttpResponse<String> response) throws ServiceUnreachable {
        try {
            JsonNode node = JSON.readTree(response.body());
            if (node != null && node.isObject()) {
                return node;
            }
        } catch (JacksonException e) {
            throw unreachable("answers nonsense", "answered something that is not JSON", e);
        }
        throw unreachable("answers nonsense", "answered something that is not what was asked for", null);
    }

    private String text(JsonNode node, String field) throws ServiceUnreachable {
        JsonNode value = node.path(field);
        if (!value.isString()) {
            throw unreachable("answers nonsense", "left \"" + field + "\" out of its answer", null);
        }
        return value.asString();
    }

    private JsonNode array(JsonNode node, String field) throws ServiceUnreachable {
        JsonNode value = node.path(field);
        if (!value.isArray()) {
            throw unreachable("answers nonsense", "left \"" + field + "\" out of its answer", null);
        }
        return value;
    }

    private static String encode(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
