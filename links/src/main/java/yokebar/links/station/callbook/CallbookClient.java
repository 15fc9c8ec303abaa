package yokebar.links.station.callbook;

import java.net.http.HttpRequest;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.geo.Locator;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;
import yokebar.links.platform.web.WebService;

/** Asks the callbook. It logs in when it has to: the first time, and when the service has ended the session. */
public final class CallbookClient {
    private static final WebService.Limits LIMITS = new WebService.Limits(Duration.ofSeconds(20), 2 << 20);
    private static final int LONGEST = 80;
    private static final int UNAUTHORIZED = 401;
    private static final int NOT_FOUND = 404;

    private final CallbookAccount account;
    private final String name;
    private final WebService web;
    private @Nullable String session;

    /** @param name of the callbook, as the operator knows it */
    public CallbookClient(String name, CallbookAccount account) {
        this.name = name;
        this.account = account;
        this.web = new WebService(
                name, account.address(), LIMITS, "Known answers are still shown; Yokebar tries again automatically.");
    }

    /** Logs in, to see whether that works. */
    public synchronized void logIn() throws ServiceRefused, ServiceUnreachable {
        session = null;
        session();
    }

    /** @return empty when the callbook does not know the call */
    public synchronized Optional<CallbookEntry> find(Call call) throws ServiceRefused, ServiceUnreachable {
        WebService.Answer answer = ask("stations/" + WebService.encode(call.text()));
        if (answer.status() == NOT_FOUND) {
            return Optional.empty();
        }
        return Optional.of(entry(call, web.json(checked(answer))));
    }

    /** A picture, as the service keeps it. */
    public synchronized byte[] picture(String path) throws ServiceRefused, ServiceUnreachable {
        return checked(ask(path)).body();
    }

    /** A session the service has ended is opened anew, once. */
    private WebService.Answer ask(String path) throws ServiceRefused, ServiceUnreachable {
        boolean old = session != null;
        WebService.Answer answer = askIn(session(), path);
        if (answer.status() != UNAUTHORIZED || !old) {
            return answer;
        }
        session = null;
        return askIn(session(), path);
    }

    private WebService.Answer askIn(String open, String path) throws ServiceUnreachable {
        return web.send(
                web.request(path).header("Authorization", "Bearer " + open).build());
    }

    private String session() throws ServiceRefused, ServiceUnreachable {
        String known = session;
        if (known != null) {
            return known;
        }
        HttpRequest request = web.request("session")
                .header("Content-Type", "application/json")
                .POST(WebService.json(Map.of("account", account.account(), "password", account.password())))
                .build();
        String opened = web.text(web.json(checked(web.send(request))), "session");
        session = opened;
        return opened;
    }

    private WebService.Answer checked(WebService.Answer answer) throws ServiceRefused {
        if (answer.status() < 400) {
            return answer;
        }
        if (answer.status() == UNAUTHORIZED || answer.status() == 403) {
            throw new ServiceRefused(
                    ServiceRefused.About.ACCOUNT,
                    "refuses the account",
                    name + " refuses the account " + account.account() + ": " + WebService.words(answer) + ".",
                    "Check the account's name and password under Station, Callbook.");
        }
        throw new ServiceRefused(
                ServiceRefused.About.CONTENT,
                "refuses the question",
                name + " says: " + WebService.words(answer) + ".",
                "Ask again later.");
    }

    private static CallbookEntry entry(Call call, JsonNode node) {
        String locator = text(node, "locator");
        Locator read = locator == null ? null : Locator.read(locator);
        Map<String, LocalDate> confirms = new LinkedHashMap<>();
        for (JsonNode one : node.path("confirms")) {
            String service = text(one, "service");
            String day = text(one, "lastUpload");
            if (service != null && day != null) {
                try {
                    confirms.put(service, LocalDate.parse(day));
                } catch (DateTimeException e) {
                    // a service without a day tells nothing
                }
            }
        }
        return new CallbookEntry(
                call.text(),
                text(node, "name"),
                text(node, "town"),
                text(node, "state"),
                text(node, "country"),
                read == null ? null : read.text(),
                confirms,
                text(node, "picture"));
    }

    private static @Nullable String text(JsonNode node, String field) {
        String text = node.path(field).asString("").strip();
        return text.isEmpty() ? null : text.substring(0, Math.min(LONGEST, text.length()));
    }
}
