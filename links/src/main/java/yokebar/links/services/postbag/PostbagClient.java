package yokebar.links.services.postbag;

import java.net.URI;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;
import yokebar.links.platform.web.AccountCalls;
import yokebar.links.platform.web.WebService;
import yokebar.links.services.delivery.BatchReport;
import yokebar.links.services.delivery.ConfirmationPage;
import yokebar.links.services.delivery.Receipt;
import yokebar.links.services.delivery.RecordResults;
import yokebar.links.services.delivery.Submission;

/** Talks to the batch log with electronic cards; the protocol is in {@code docs/protocols/postbag.md}. */
public final class PostbagClient {
    private static final WebService.Limits LIMITS = new WebService.Limits(Duration.ofSeconds(30), 8 << 20);

    private static final int REFUSED = 400;

    private final WebService web;
    private final AccountCalls calls;

    /** @param password of the account; not to be kept elsewhere */
    public PostbagClient(URI address, String name, String password) {
        this.web = new WebService("Postbag", address, LIMITS, "Nothing is lost; Yokebar tries again automatically.");
        this.calls = new AccountCalls(
                "Postbag",
                web,
                AccountCalls.Credentials.password(
                        name, password, "Check name and password; they are those of your pages at Postbag."));
    }

    public String test() throws ServiceRefused, ServiceUnreachable {
        return web.text(calls.get("api/account"), "words");
    }

    /**
     * Hands over a log; the answer says at once what became of each record.
     *
     * @param adi UTF-8
     * @param idempotencyKey the same for every try with the same log; the service takes it once
     */
    public Submission submit(byte[] adi, String idempotencyKey) throws ServiceRefused, ServiceUnreachable {
        HttpRequest request = calls.request("api/logs")
                .header("Content-Type", "text/plain; charset=" + StandardCharsets.UTF_8)
                .header("Idempotency-Key", idempotencyKey)
                .POST(HttpRequest.BodyPublishers.ofByteArray(adi))
                .build();
        return submission(web.json(calls.send(request)));
    }

    /** What became of a log handed over with a key; null when it never arrived. */
    public @Nullable Submission arrived(String idempotencyKey) throws ServiceRefused, ServiceUnreachable {
        WebService.Answer answer = calls.ask(calls.request("api/logs?key=" + WebService.encode(idempotencyKey))
                .GET()
                .build());
        if (WebService.saysNone(answer)) {
            return null;
        }
        if (answer.status() >= REFUSED) {
            throw web.unexpected(answer);
        }
        return submission(web.json(answer));
    }

    private Submission submission(JsonNode answer) throws ServiceUnreachable {
        List<BatchReport.Result> results =
                new RecordResults(web, Set.of("stored"), "refused").of(web.array(answer, "records"));
        return new Submission(
                new Receipt(web.text(answer, "receipt"), web.text(answer, "words")), new BatchReport(true, results));
    }

    /** A page of the cards others sent us there, by the time they were put into the bag. */
    public ConfirmationPage cards(Instant since, Instant until, @Nullable String page)
            throws ServiceRefused, ServiceUnreachable {
        JsonNode answer = calls.get("api/cards?since=" + WebService.encode(since.toString()) + "&until="
                + WebService.encode(until.toString()) + (page == null ? "" : "&page=" + WebService.encode(page)));
        return ConfirmationPage.of(
                web.array(answer, "cards"), answer.path("next").asString(null));
    }

    /** The picture of a card, as the page of cards says where it is. */
    public byte[] picture(String path) throws ServiceRefused, ServiceUnreachable {
        return calls.send(calls.request(path).GET().build()).body();
    }
}
