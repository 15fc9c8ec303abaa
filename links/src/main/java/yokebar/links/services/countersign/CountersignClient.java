package yokebar.links.services.countersign;

import java.net.http.HttpRequest;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
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

/** Talks to the certified confirmation service; the protocol is in {@code docs/protocols/countersign.md}. */
public final class CountersignClient {
    private static final Set<String> TAKEN = Set.of("accepted", "duplicate");
    private static final int REFUSED = 400;
    private static final WebService.Limits LIMITS = new WebService.Limits(Duration.ofSeconds(30), 16 << 20);

    private final WebService web;
    private final AccountCalls calls;

    public CountersignClient(CountersignAccount account) {
        this.web = new WebService(
                "Countersign", account.address(), LIMITS, "Nothing is lost; Yokebar tries again automatically.");
        this.calls = new AccountCalls(
                "Countersign",
                web,
                AccountCalls.Credentials.password(
                        account.account(),
                        account.password(),
                        "Check the account's password; it is not the passphrase of the signing identity."));
    }

    /** Asks who we are there. Returns what it says, such as {@code CU9QYB, certificate valid until 2029-01-01}. */
    public String test() throws ServiceRefused, ServiceUnreachable {
        return web.text(calls.get("api/account"), "words");
    }

    /**
     * Hands over one signed batch.
     *
     * @param idempotencyKey the same for every try with the same batch; the service takes it once
     */
    public Receipt submit(byte[] signedBatch, String idempotencyKey) throws ServiceRefused, ServiceUnreachable {
        HttpRequest request = calls.request("api/batches")
                .header("Content-Type", "application/pkcs7-mime")
                .header("Idempotency-Key", idempotencyKey)
                .POST(HttpRequest.BodyPublishers.ofByteArray(signedBatch))
                .build();
        JsonNode answer = web.json(calls.send(request));
        return new Receipt(web.text(answer, "receipt"), web.text(answer, "words"));
    }

    /** The receipt of a batch that came there by another way, by the key it carries; null when it has not arrived. */
    public @Nullable Receipt receiptFor(String idempotencyKey) throws ServiceRefused, ServiceUnreachable {
        WebService.Answer answer = calls.ask(calls.request("api/batches?key=" + WebService.encode(idempotencyKey))
                .GET()
                .build());
        if (WebService.saysNone(answer)) {
            return null;
        }
        if (answer.status() >= REFUSED) {
            throw web.unexpected(answer);
        }
        JsonNode receipt = web.json(answer);
        return new Receipt(web.text(receipt, "receipt"), web.text(receipt, "words"));
    }

    /** What became of a batch handed over before. */
    public BatchReport report(String receiptNumber) throws ServiceRefused, ServiceUnreachable {
        WebService.Answer reply = calls.ask(calls.request("api/batches/" + WebService.encode(receiptNumber))
                .GET()
                .build());
        if (WebService.saysNone(reply)) {
            throw new ServiceRefused(
                    ServiceRefused.About.CONTENT,
                    "knows no such batch",
                    "Countersign says: " + WebService.words(reply) + ".",
                    "Yokebar asks again automatically. If that does not help, ask the service about the receipt.");
        }
        if (reply.status() >= REFUSED) {
            throw web.unexpected(reply);
        }
        JsonNode answer = web.json(reply);
        if (!web.text(answer, "state").equals("processed")) {
            return BatchReport.QUEUED;
        }
        return new BatchReport(true, new RecordResults(web, TAKEN, "refused").of(web.array(answer, "records")));
    }

    /**
     * A page of the confirmations the service received in a stretch of time.
     *
     * @param since by the time the service received them, inclusive, UTC
     * @param until exclusive, UTC
     * @param page where to start, as given by the page before; null for the first
     */
    public ConfirmationPage confirmations(Instant since, Instant until, @Nullable String page)
            throws ServiceRefused, ServiceUnreachable {
        String query = "api/confirmations?since=" + WebService.encode(since.toString()) + "&until="
                + WebService.encode(until.toString()) + (page == null ? "" : "&page=" + WebService.encode(page));
        JsonNode answer = calls.get(query);
        return ConfirmationPage.of(
                web.array(answer, "confirmations"), answer.path("next").asString(null));
    }

    /** The calls that used the service lately, with the day of their last batch, ISO 8601. */
    public Map<String, String> members() throws ServiceRefused, ServiceUnreachable {
        JsonNode list = calls.get("api/members").path("members");
        Map<String, String> days = new java.util.TreeMap<>();
        list.properties()
                .forEach(member -> days.put(member.getKey(), member.getValue().asString("")));
        return days;
    }

    /**
     * Asks for a certificate.
     *
     * @param request PKCS#10, PEM
     * @param contactsFrom first instant of contacts it shall cover, UTC
     * @param contactsUntil last instant of contacts it shall cover, UTC
     * @param address where the letter with the code goes
     * @return the request's number and what the service says of it
     */
    public Receipt request(String request, Instant contactsFrom, Instant contactsUntil, String address)
            throws ServiceRefused, ServiceUnreachable {
        JsonNode answer = calls.post(
                "api/requests",
                Map.of(
                        "request",
                        request,
                        "contactsFrom",
                        contactsFrom.toString(),
                        "contactsUntil",
                        contactsUntil.toString(),
                        "address",
                        address));
        return new Receipt(web.text(answer, "number"), web.text(answer, "words"));
    }

    /** Gives the code of the letter; the answer is the certificate, PEM. */
    public String certificate(String requestNumber, String code) throws ServiceRefused, ServiceUnreachable {
        return web.text(
                calls.post("api/requests/" + WebService.encode(requestNumber) + "/code", Map.of("code", code)),
                "certificate");
    }

    /**
     * Asks for a certificate in the place of one that still holds.
     *
     * @param signedRequest PKCS#10 in DER, as CMS signed data by the present identity
     * @return the new certificate, PEM
     */
    public String renew(byte[] signedRequest) throws ServiceRefused, ServiceUnreachable {
        HttpRequest request = calls.request("api/renewals")
                .header("Content-Type", "application/pkcs7-mime")
                .POST(HttpRequest.BodyPublishers.ofByteArray(signedRequest))
                .build();
        return web.text(web.json(calls.send(request)), "certificate");
    }
}
