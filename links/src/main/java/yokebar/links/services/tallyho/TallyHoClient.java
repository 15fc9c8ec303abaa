package yokebar.links.services.tallyho;

import java.net.URI;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import yokebar.core.basics.call.Call;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;
import yokebar.links.platform.web.AccountCalls;
import yokebar.links.platform.web.WebService;

/** Talks to the scoreboard. Thread-safe. */
public final class TallyHoClient {
    private static final WebService.Limits LIMITS = new WebService.Limits(Duration.ofSeconds(15), 2 << 20);
    private static final int USUAL_EVERY_SECONDS = 120;
    private static final int MAX_EVERY_SECONDS = 3600;
    private static final int LONGEST = 60;
    private static final int MAX_ENTRIES = 2000;

    private final WebService web;
    private final AccountCalls calls;

    /** @param password never kept elsewhere */
    public TallyHoClient(URI address, String account, String password) {
        this.web = new WebService(
                "Tally Ho", address, LIMITS, "The next score that is posted is the present one; nothing is lost.");
        this.calls = new AccountCalls(
                "Tally Ho",
                web,
                AccountCalls.Credentials.password(
                        account, password, "Check account and password in the contest book, under Scoreboard."));
    }

    /**
     * What the scoreboard says of the account.
     *
     * @param words a sentence
     * @param every a score of one station may be posted so often
     */
    public record Terms(String words, Duration every) {}

    /**
     * A score at a moment.
     *
     * @param at UTC
     * @param score what it had come to
     */
    public record ScoreStep(Instant at, long score) {}

    public Terms account() throws ServiceRefused, ServiceUnreachable {
        JsonNode answer = calls.get("api/account");
        return new Terms(web.text(answer, "words"), every(answer));
    }

    /** @return how often a score may be posted from now on */
    public Duration post(PostedScore score) throws ServiceRefused, ServiceUnreachable {
        JsonNode answer = calls.post("api/scores", score);
        if (!answer.path("taken").asBoolean(false)) {
            throw web.nonsense("did not say whether it took the score", null);
        }
        return every(answer);
    }

    private static Duration every(JsonNode answer) {
        int seconds = answer.path("everySeconds").asInt(USUAL_EVERY_SECONDS);
        return Duration.ofSeconds(Math.max(0, Math.min(MAX_EVERY_SECONDS, seconds)));
    }

    /** The stations of a contest, as the scoreboard orders them. */
    public List<BoardScore> scores(String contest) throws ServiceRefused, ServiceUnreachable {
        JsonNode answer = calls.get("api/scores?contest=" + WebService.encode(contest));
        return read(web.array(answer, "scores"), TallyHoClient::boardScore);
    }

    /** How the score of a station grew. */
    public List<ScoreStep> course(String contest, String call) throws ServiceRefused, ServiceUnreachable {
        JsonNode answer =
                calls.get("api/courses?contest=" + WebService.encode(contest) + "&call=" + WebService.encode(call));
        return read(web.array(answer, "course"), node -> {
            Instant at = at(node);
            return at == null || !node.path("score").canConvertToLong()
                    ? null
                    : new ScoreStep(at, node.path("score").asLong());
        });
    }

    private static <T> List<T> read(JsonNode list, Function<JsonNode, @Nullable T> reading) {
        List<T> entries = new ArrayList<>();
        for (JsonNode node : list) {
            T entry = entries.size() < MAX_ENTRIES ? reading.apply(node) : null;
            if (entry != null) {
                entries.add(entry);
            }
        }
        return entries;
    }

    private static @Nullable BoardScore boardScore(JsonNode node) {
        Call call = Call.read(text(node, "call"));
        Instant at = at(node);
        if (call == null || at == null || !node.path("score").canConvertToLong()) {
            return null;
        }
        Map<String, Integer> multipliers = new LinkedHashMap<>();
        node.path("multipliers").properties().forEach(each -> {
            if (each.getValue().canConvertToInt()) {
                multipliers.put(cut(each.getKey()), each.getValue().asInt());
            }
        });
        Map<String, String> category = new LinkedHashMap<>();
        node.path("category")
                .properties()
                .forEach(each ->
                        category.put(cut(each.getKey()), cut(each.getValue().asString(""))));
        return new BoardScore(
                call.text(),
                node.path("score").asLong(),
                at,
                node.path("contacts").asInt(0),
                multipliers,
                category,
                text(node, "club"),
                text(node, "team"),
                text(node, "continent"));
    }

    private static @Nullable Instant at(JsonNode node) {
        try {
            return Instant.parse(node.path("at").asString(""));
        } catch (DateTimeException e) {
            return null;
        }
    }

    private static String text(JsonNode node, String field) {
        return cut(node.path(field).asString("").strip());
    }

    private static String cut(String text) {
        return text.substring(0, Math.min(LONGEST, text.length()));
    }
}
