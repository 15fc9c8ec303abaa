package yokebar.app.operate.onair;

import jakarta.persistence.EntityManager;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.app.log.Seals;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.storage.RowCache;
import yokebar.app.station.settings.SettingsPart;
import yokebar.core.basics.call.Call;
import yokebar.core.log.tally.Proofs;
import yokebar.core.operate.onair.CallPatterns;

/** Keeps what the operators are after, and checks it. */
@Service
@Order(8)
class ChoicesStore implements SettingsPart {
    private static final Logger LOG = LoggerFactory.getLogger(ChoicesStore.class);
    private static final int MAX_GOALS = 30;
    private static final int MAX_CALLS = 500;
    private static final int LOWEST_TONE_HZ = 100;
    private static final int HIGHEST_TONE_HZ = 4_000;
    private static final int MAX_A_MINUTE = 60;

    private final EntityManager db;
    private final TransactionTemplate transaction;
    private final JsonMapper json;
    private final Seals seals;
    private final ApplicationEventPublisher events;
    private final RowCache<Integer, AirChoices> known = new RowCache<>();

    ChoicesStore(
            EntityManager db,
            TransactionTemplate transaction,
            JsonMapper json,
            Seals seals,
            ApplicationEventPublisher events) {
        this.db = db;
        this.transaction = transaction;
        this.json = json;
        this.seals = seals;
        this.events = events;
    }

    AirChoices get() {
        return known.get(AirChoicesRow.ONLY, this::read);
    }

    private AirChoices read() {
        AirChoicesRow row = transaction.execute(
                status -> RowCache.stored(db, session -> session.get(AirChoicesRow.class, AirChoicesRow.ONLY)));
        if (row == null) {
            return AirChoices.FIRST;
        }
        try {
            return json.readValue(row.content, AirChoices.class);
        } catch (JacksonException e) {
            LOG.warn("The goals and alerts cannot be read; the first ones are used", e);
            return AirChoices.FIRST;
        }
    }

    /** @throws Rejection with a sentence when something makes no sense */
    AirChoices save(AirChoices choices) {
        AirChoices checked = check(choices);
        transaction.executeWithoutResult(status -> {
            AirChoicesRow row = db.find(AirChoicesRow.class, AirChoicesRow.ONLY);
            if (row == null) {
                row = new AirChoicesRow();
                db.persist(row);
            }
            row.content = json.writeValueAsString(checked);
            known.forget();
        });
        events.publishEvent(new AirUpdated());
        return checked;
    }

    AirChoices check(AirChoices choices) {
        if (choices.goals().size() > MAX_GOALS) {
            throw new Rejection("goals", "Thirty goals are the most that can be followed at once.");
        }
        for (AirChoices.GoalChoice goal : choices.goals()) {
            for (int service : goal.services()) {
                if (service != Proofs.ELSEWHERE && !seals.services().containsKey(service)) {
                    throw new Rejection("goals", "There is no service " + service + ".");
                }
            }
            for (String call : goal.goal().scope().ownCalls()) {
                if (Call.read(call) == null) {
                    throw new Rejection(
                            "goals", "\"" + call + "\" is not a call. Give a goal calls of your own, or none.");
                }
            }
        }
        Set<AirChoices.AlertKind> kinds = EnumSet.noneOf(AirChoices.AlertKind.class);
        for (AirChoices.AlertChoice alert : choices.alerts()) {
            Integer tone = alert.tone();
            if (tone != null && (tone < LOWEST_TONE_HZ || tone > HIGHEST_TONE_HZ)) {
                throw new Rejection("alerts", "A tone is between 100 and 4000 Hz.");
            }
            if (alert.maxPerMinute() < 1 || alert.maxPerMinute() > MAX_A_MINUTE || !kinds.add(alert.kind())) {
                throw new Rejection("alerts", "Each kind of alert comes once, 1 to 60 times a minute.");
            }
        }
        if ((choices.quietFrom() == null) != (choices.quietUntil() == null)) {
            throw new Rejection("quietFrom", "Quiet hours have a beginning and an end.");
        }
        List<String> watch = patterns("watch", choices.watch());
        List<String> ignore = patterns("ignore", choices.ignore());
        return new AirChoices(
                List.copyOf(choices.goals()),
                watch,
                ignore,
                choices.turnBeam(),
                List.copyOf(choices.alerts()),
                choices.quietFrom(),
                choices.quietUntil());
    }

    private static List<String> patterns(String field, List<String> texts) {
        if (texts.size() > MAX_CALLS) {
            throw new Rejection(field, "Five hundred calls are the most a list takes.");
        }
        try {
            return CallPatterns.of(texts).texts();
        } catch (IllegalArgumentException e) {
            throw new Rejection(field, String.valueOf(e.getMessage()));
        }
    }

    @Override
    public String name() {
        return "onAir";
    }

    @Override
    public Object save() {
        return get();
    }

    @Override
    public int restore(JsonNode saved, List<String> notices) {
        try {
            save(json.treeToValue(saved, AirChoices.class));
            return 1;
        } catch (Rejection e) {
            notices.add("Goals and alerts were left out: " + e.sentence());
        } catch (JacksonException e) {
            notices.add("Goals and alerts were left out: " + e.getOriginalMessage());
        }
        return 0;
    }
}
