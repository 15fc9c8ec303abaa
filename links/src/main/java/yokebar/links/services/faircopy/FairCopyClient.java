package yokebar.links.services.faircopy;

import java.net.URI;
import java.net.http.HttpRequest;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import yokebar.core.basics.call.Call;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;
import yokebar.links.platform.web.AccountCalls;
import yokebar.links.platform.web.WebService;

/** Talks to the adjudicator. Thread-safe. */
public final class FairCopyClient {
    private static final String NAME = "Fair Copy";
    private static final WebService.Limits LIMITS = new WebService.Limits(Duration.ofSeconds(30), 4 << 20);
    private static final int MAX_REFUSED_LINES = 1000;
    private static final int MAX_FINDINGS = 20_000;
    private static final int MAX_RECEIPT = 60;
    private static final int MAX_WORDS = 300;
    private static final int USUAL_ASK_AFTER_S = 3600;
    private static final int MIN_ASK_AFTER_S = 10;
    private static final int MAX_ASK_AFTER_S = 86_400;

    private final WebService web;
    private final AccountCalls calls;

    /** @param password never kept elsewhere */
    public FairCopyClient(URI address, String account, String password) {
        this.web = new WebService(
                NAME, address, LIMITS, "The log and what was handed in before stay as they are; try again later.");
        this.calls = new AccountCalls(
                NAME,
                web,
                AccountCalls.Credentials.password(
                        account, password, "Check account and password in the contest book, under Hand in."));
    }

    /** What the adjudicator says of the account. */
    public String account() throws ServiceRefused, ServiceUnreachable {
        return web.text(calls.get("api/account"), "words");
    }

    /**
     * Hands in a log; it takes the place of the one before.
     *
     * @param log as Cabrillo 3.0
     * @throws ServiceRefused when the account is refused, or may not do that
     */
    public HandInAnswer handIn(String log) throws ServiceRefused, ServiceUnreachable {
        HttpRequest request = calls.request("api/logs")
                .header("Content-Type", "application/json")
                .POST(WebService.json(Map.of("log", log)))
                .build();
        WebService.Answer answer = calls.ask(request);
        if (WebService.isRefusal(answer)) {
            JsonNode lines = web.json(answer).path("lines");
            return new HandInAnswer.NotTaken(cut(WebService.words(answer)), remarks(lines, MAX_REFUSED_LINES));
        }
        JsonNode taken = taken(answer);
        String receipt = web.text(taken, "receipt");
        if (receipt.isBlank() || receipt.length() > MAX_RECEIPT) {
            throw web.nonsense("gave no usable receipt", null);
        }
        return new HandInAnswer.Taken(receipt, cut(taken.path("words").asString("")), askAfter(taken));
    }

    /** Asks for the report on a log. */
    public ReportAnswer report(String receipt) throws ServiceRefused, ServiceUnreachable {
        WebService.Answer answer = calls.ask(
                calls.request("api/logs/" + WebService.encode(receipt)).GET().build());
        if (WebService.saysNone(answer)) {
            return new ReportAnswer.Unknown();
        }
        JsonNode report = taken(answer);
        if (!report.path("checked").isBoolean()) {
            throw web.nonsense("did not say whether the log is checked", null);
        }
        if (!report.path("checked").asBoolean()) {
            return new ReportAnswer.NotYet(askAfter(report));
        }
        JsonNode score = report.path("score");
        if (!score.isIntegralNumber() || !score.canConvertToLong() || score.asLong() < 0) {
            throw web.nonsense("left \"score\" out of its report", null);
        }
        return new ReportAnswer.Checked(
                score.asLong(), web.text(report, "digest"), remarks(web.array(report, "findings"), MAX_FINDINGS));
    }

    private JsonNode taken(WebService.Answer answer) throws ServiceUnreachable {
        if (answer.status() != 200) {
            throw web.unexpected(answer);
        }
        return web.json(answer);
    }

    private static Duration askAfter(JsonNode answer) {
        int seconds = answer.path("askAfterSeconds").asInt(USUAL_ASK_AFTER_S);
        return Duration.ofSeconds(Math.max(MIN_ASK_AFTER_S, Math.min(MAX_ASK_AFTER_S, seconds)));
    }

    /** In the order of their lines; those without a line or words are left out. */
    private static List<LineRemark> remarks(JsonNode list, int max) {
        List<LineRemark> remarks = new ArrayList<>();
        for (JsonNode node : list) {
            LineRemark remark = remarks.size() < max ? remark(node) : null;
            if (remark != null) {
                remarks.add(remark);
            }
        }
        remarks.sort(Comparator.comparingInt(LineRemark::line));
        return remarks;
    }

    private static @Nullable LineRemark remark(JsonNode node) {
        JsonNode line = node.path("line");
        String words = cut(node.path("words").asString(""));
        if (!line.isIntegralNumber() || !line.canConvertToInt() || line.asInt() < 1 || words.isEmpty()) {
            return null;
        }
        Call right = Call.read(node.path("rightCall").asString(""));
        long lost = Math.max(0, node.path("pointsLost").asLong(0));
        return new LineRemark(line.asInt(), words, right == null ? null : right.text(), lost);
    }

    private static String cut(String text) {
        String words = text.strip();
        return words.substring(0, Math.min(MAX_WORDS, words.length()));
    }
}
