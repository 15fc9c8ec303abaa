package yokebar.links.platform.web;

import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import tools.jackson.databind.JsonNode;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;

/** Calls to a service under an account: a refusal of the account and one of what was sent are told apart, in its words. */
public final class AccountCalls {
    private static final int UNKNOWN = 401;
    private static final int FORBIDDEN = 403;
    private static final int REFUSED = 400;

    private final String service;
    private final WebService web;
    private final Credentials credentials;

    /**
     * Who we are there.
     *
     * @param header value of the header {@code Authorization}; never told to anybody else
     * @param whatIsRefused such as {@code the account CU9QYB}
     * @param fix what the operator can do when it is refused
     */
    public record Credentials(String header, String whatIsRefused, String fix) {

        public static Credentials password(String account, String password, String fix) {
            String both = account + ":" + password;
            return new Credentials(
                    "Basic " + Base64.getEncoder().encodeToString(both.getBytes(StandardCharsets.UTF_8)),
                    "the account " + account,
                    fix);
        }

        public static Credentials key(String key, String fix) {
            return new Credentials("Bearer " + key, "the API key", fix);
        }

        /** Never the secret. */
        @Override
        public String toString() {
            return whatIsRefused;
        }
    }

    public AccountCalls(String service, WebService web, Credentials credentials) {
        this.service = service;
        this.web = web;
        this.credentials = credentials;
    }

    public HttpRequest.Builder request(String path) throws ServiceUnreachable {
        return web.request(path).header("Accept", "application/json").header("Authorization", credentials.header());
    }

    public JsonNode get(String path) throws ServiceRefused, ServiceUnreachable {
        return web.json(send(request(path).GET().build()));
    }

    public JsonNode post(String path, Object body) throws ServiceRefused, ServiceUnreachable {
        return web.json(send(request(path)
                .header("Content-Type", "application/json")
                .POST(WebService.json(body))
                .build()));
    }

    /** The answer whatever its status under 500, but for a refused account. */
    public WebService.Answer ask(HttpRequest request) throws ServiceRefused, ServiceUnreachable {
        WebService.Answer answer = web.send(request);
        if (answer.status() == FORBIDDEN) {
            throw new ServiceRefused(
                    ServiceRefused.About.PERMISSION,
                    "does not allow it",
                    service + " does not allow it: " + WebService.words(answer) + ".",
                    "Nothing was marked. Correct this; Yokebar then continues automatically.");
        }
        if (answer.status() == UNKNOWN) {
            throw new ServiceRefused(
                    ServiceRefused.About.ACCOUNT,
                    credentials.header().startsWith("Bearer") ? "refuses the key" : "refuses the account",
                    service + " refuses " + credentials.whatIsRefused() + ": " + WebService.words(answer) + ".",
                    credentials.fix());
        }
        return answer;
    }

    public WebService.Answer send(HttpRequest request) throws ServiceRefused, ServiceUnreachable {
        WebService.Answer answer = ask(request);
        if (answer.status() >= REFUSED) {
            if (!WebService.isRefusal(answer)) {
                throw web.unexpected(answer);
            }
            throw new ServiceRefused(
                    ServiceRefused.About.CONTENT,
                    "refuses the batch",
                    service + " says: " + WebService.words(answer) + ".",
                    "Correct that and hand over again.");
        }
        return answer;
    }
}
