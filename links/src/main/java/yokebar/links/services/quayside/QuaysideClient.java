package yokebar.links.services.quayside;

import java.net.URI;
import java.net.http.HttpRequest;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;
import yokebar.links.platform.web.AccountCalls;
import yokebar.links.platform.web.WebService;
import yokebar.links.services.delivery.BatchReport;
import yokebar.links.services.delivery.Receipt;
import yokebar.links.services.delivery.Submission;

/** Talks to the online log that takes contact by contact; the protocol is in {@code docs/protocols/quayside.md}. */
public final class QuaysideClient {
    private static final WebService.Limits LIMITS = new WebService.Limits(Duration.ofSeconds(15), 4 << 20);
    private static final int CREATED = 201;
    private static final int GONE = 404;
    private static final int REFUSED = 400;

    private final WebService web;
    private final AccountCalls calls;
    private final List<BatchReport.Result> soFar = new ArrayList<>();
    private String underWay = "";

    /** @param key of the API; not to be kept elsewhere */
    public QuaysideClient(URI address, String key) {
        this.web = new WebService("Quayside", address, LIMITS, "Nothing is lost; Yokebar tries again automatically.");
        this.calls = new AccountCalls(
                "Quayside",
                web,
                AccountCalls.Credentials.key(
                        key, "Copy the API key from your pages at Quayside again; it is not your password there."));
    }

    /**
     * A contact on its way.
     *
     * @param number the service's number when it has the contact already; null when it is new there
     * @param adif one ADI record
     */
    public record Push(@Nullable String number, String adif) {}

    public String test() throws ServiceRefused, ServiceUnreachable {
        return web.text(calls.get("api/logbook"), "words");
    }

    /**
     * Pushes contacts one after the other. Broken off in between, the next try with the same key goes on where this one
     * stopped; and should nobody remember where that was, the same pushes with the same key do no harm.
     *
     * @param idempotencyKey each contact goes with it and its own place behind
     */
    public synchronized Submission push(List<Push> pushes, String idempotencyKey)
            throws ServiceRefused, ServiceUnreachable {
        if (!idempotencyKey.equals(underWay)) {
            underWay = idempotencyKey;
            soFar.clear();
        }
        while (soFar.size() < pushes.size()) {
            int i = soFar.size();
            soFar.add(push(pushes.get(i), idempotencyKey + ":" + i));
        }
        List<BatchReport.Result> results = List.copyOf(soFar);
        String words = pushes.size() == 1 ? "Pushed 1 contact" : "Pushed " + pushes.size() + " contacts";
        return new Submission(new Receipt("push", words), new BatchReport(true, results));
    }

    /**
     * Which of a push's contacts arrived, when it is not known how far it came; null when none did.
     *
     * @param contacts how many it held
     */
    public @Nullable Submission arrived(int contacts, String idempotencyKey) throws ServiceRefused, ServiceUnreachable {
        List<BatchReport.Result> results = new ArrayList<>();
        boolean any = false;
        for (int i = 0; i < contacts; i++) {
            WebService.Answer answer =
                    calls.ask(calls.request("api/contacts?key=" + WebService.encode(idempotencyKey + ":" + i))
                            .GET()
                            .build());
            boolean there = answer.status() < REFUSED;
            if (!there && !WebService.saysNone(answer)) {
                throw web.unexpected(answer);
            }
            any |= there;
            results.add(
                    there ? BatchReport.Result.taken(web.text(web.json(answer), "number")) : BatchReport.Result.ABSENT);
        }
        return any ? new Submission(new Receipt("push", "Pushed before"), new BatchReport(true, results)) : null;
    }

    private BatchReport.Result push(Push push, String key) throws ServiceRefused, ServiceUnreachable {
        Map<String, String> body = Map.of("adif", push.adif());
        if (push.number() != null) {
            WebService.Answer answer = calls.ask(request("api/contacts/" + WebService.encode(push.number()), key)
                    .PUT(WebService.json(body))
                    .build());
            if (answer.status() != GONE || !WebService.saysNone(answer)) {
                return result(answer);
            }
            // Somebody deleted it there; the log has it, so it goes there anew.
        }
        return result(calls.ask(
                request("api/contacts", key).POST(WebService.json(body)).build()));
    }

    private BatchReport.Result result(WebService.Answer answer) throws ServiceUnreachable {
        if (WebService.isRefusal(answer)) {
            return BatchReport.Result.refused(WebService.words(answer));
        }
        if (answer.status() >= REFUSED) {
            throw web.unexpected(answer);
        }
        JsonNode node = web.json(answer);
        return BatchReport.Result.taken(web.text(node, "number"));
    }

    /** Deletes a contact there; one that is gone already is as good as deleted. */
    public void withdraw(String number) throws ServiceRefused, ServiceUnreachable {
        WebService.Answer answer = calls.ask(request("api/contacts/" + WebService.encode(number), "delete-" + number)
                .DELETE()
                .build());
        if (answer.status() == GONE && !WebService.saysNone(answer)) {
            throw web.unexpected(answer);
        }
        if (answer.status() >= REFUSED && answer.status() != GONE) {
            throw new ServiceRefused(
                    ServiceRefused.About.CONTENT,
                    "keeps a contact",
                    "Quayside does not delete " + number + ": " + WebService.words(answer) + ".",
                    "Delete it on your pages there.");
        }
        if (answer.status() == CREATED) {
            throw web.nonsense("answered a deletion as if it had made something", null);
        }
    }

    /**
     * Shows a picture beside a contact, in the place of one before.
     *
     * @param contentType {@code image/png} or {@code image/jpeg}
     * @throws ServiceRefused about the content when it is not wanted or the contact is gone
     */
    public void putPicture(String number, String contentType, byte[] content)
            throws ServiceRefused, ServiceUnreachable {
        WebService.Answer answer = calls.ask(calls.request(picture(number))
                .header("Content-Type", contentType)
                .PUT(HttpRequest.BodyPublishers.ofByteArray(content))
                .build());
        if (answer.status() >= REFUSED) {
            throw pictureRefused(answer);
        }
    }

    /** Takes a picture away; one that is gone already is as good as taken away. */
    public void takePictureAway(String number) throws ServiceRefused, ServiceUnreachable {
        WebService.Answer answer =
                calls.ask(calls.request(picture(number)).DELETE().build());
        if (answer.status() >= REFUSED && answer.status() != GONE) {
            throw pictureRefused(answer);
        }
    }

    private static String picture(String number) {
        return "api/contacts/" + WebService.encode(number) + "/picture";
    }

    private ServiceRefused pictureRefused(WebService.Answer answer) throws ServiceUnreachable {
        return new ServiceRefused(
                ServiceRefused.About.CONTENT,
                "refuses a picture",
                "Quayside refuses the picture: " + WebService.words(answer) + ".",
                "Attach another one to the contact.");
    }

    private HttpRequest.Builder request(String path, String key) throws ServiceUnreachable {
        return calls.request(path).header("Content-Type", "application/json").header("Idempotency-Key", key);
    }
}
