package yokebar.links.countersign;

import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import yokebar.core.band.Band;
import yokebar.core.call.Call;
import yokebar.core.confirm.ConfirmedRecord;
import yokebar.core.mode.Mode;
import yokebar.core.mode.Modes;
import yokebar.links.status.ServiceRefused;
import yokebar.links.status.ServiceUnreachable;
import yokebar.links.web.WebService;

/** Talks to the certified confirmation service; the protocol is in {@code docs/protocols/countersign.md}. */
public final class CountersignClient {
    private static final WebService.Limits LIMITS = new WebService.Limits(Duration.ofSeconds(30), 16 << 20);

    private final CountersignAccount account;
    private final WebService web;

    public CountersignClient(CountersignAccount account) {
        this.account = account;
        this.web = new WebService(
                "Countersign", account.address(), LIMITS, "Nothing is lost; it is tried again by itself.");
    }

    /** Asks who we are there. Returns what it says, such as {@code CU9QYB, certificate valid until 2029-01-01}. */
    public String test() throws ServiceRefused, ServiceUnreachable {
        return web.text(getJson("api/account"), "words");
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
        JsonNode answer = web.json(send(request));
        return new Receipt(web.text(answer, "receipt"), web.text(answer, "words"));
    }

    /** What became of a batch handed over before. */
    public BatchReport report(String receiptNumber) throws ServiceRefused, ServiceUnreachable {
        JsonNode answer = getJson("api/batches/" + WebService.encode(receiptNumber));
        if (!web.text(answer, "state").equals("processed")) {
            return new BatchReport(false, List.of());
        }
        List<BatchReport.Result> results = new ArrayList<>();
        for (JsonNode entry : web.array(answer, "records")) {
            String result = web.text(entry, "result");
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
        String query = "api/confirmations?since=" + WebService.encode(since.toString())
                + (page == null ? "" : "&page=" + WebService.encode(page));
        JsonNode answer = getJson(query);
        List<ConfirmationPage.Entry> entries = new ArrayList<>();
        int unreadable = 0;
        for (JsonNode node : web.array(answer, "confirmations")) {
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
        return web.json(send(request(path).GET().build()));
    }

    private HttpRequest.Builder request(String path) throws ServiceUnreachable {
        String credentials = account.account() + ":" + account.password();
        return web.request(path)
                .header("Accept", "application/json")
                .header(
                        "Authorization",
                        "Basic " + Base64.getEncoder().encodeToString(credentials.getBytes(StandardCharsets.UTF_8)));
    }

    private WebService.Answer send(HttpRequest request) throws ServiceRefused, ServiceUnreachable {
        WebService.Answer answer = web.send(request);
        int status = answer.status();
        if (status == 401 || status == 403) {
            throw new ServiceRefused(
                    ServiceRefused.About.ACCOUNT,
                    "refuses the account",
                    "Countersign refuses the account " + account.account() + ": " + WebService.words(answer) + ".",
                    "Check the account's password; it is not the passphrase of the signing identity.");
        }
        if (status >= 400) {
            throw new ServiceRefused(
                    ServiceRefused.About.CONTENT,
                    "refuses the batch",
                    "Countersign says: " + WebService.words(answer) + ".",
                    "Correct that and hand over again.");
        }
        return answer;
    }
}
