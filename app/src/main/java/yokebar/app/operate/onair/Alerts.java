package yokebar.app.operate.onair;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import yokebar.core.log.tally.CreditKind;
import yokebar.core.operate.need.Goal;
import yokebar.core.operate.onair.Audible;
import yokebar.core.sources.spot.Heard;

/** Announces what the operators want to be told of: each once while it stays on the air, the rest of a flood in one sentence. */
@Service
class Alerts {
    private static final int LOOK_EVERY_MS = 700;
    private static final int REMEMBERED = 200;
    private static final long MINUTE_MS = 60_000;

    private final Air air;
    private final Perspectives perspectives;
    private final ChoicesStore choices;
    private final Clock clock;
    private final ApplicationEventPublisher events;
    /** The best reason each entry was announced for. */
    private final Map<Long, AirChoices.AlertKind> announced = new HashMap<>();

    private final Map<AirChoices.AlertKind, Deque<Instant>> lately = new EnumMap<>(AirChoices.AlertKind.class);
    private final Map<AirChoices.AlertKind, HeldBack> held = new EnumMap<>(AirChoices.AlertKind.class);
    private final Deque<Alert> fired = new ArrayDeque<>();
    private long number;
    private long lookedAt;
    private @Nullable Instant lastReport;

    Alerts(Air air, Perspectives perspectives, ChoicesStore choices, Clock clock, ApplicationEventPublisher events) {
        this.air = air;
        this.perspectives = perspectives;
        this.choices = choices;
        this.clock = clock;
        this.events = events;
    }

    @Scheduled(fixedDelay = LOOK_EVERY_MS)
    synchronized void look() {
        AirChoices now = choices.get();
        Map<AirChoices.AlertKind, AirChoices.AlertChoice> wanted = new EnumMap<>(AirChoices.AlertKind.class);
        for (AirChoices.AlertChoice alert : now.alerts()) {
            if (alert.shown() || alert.tone() != null || alert.spoken() || alert.notified()) {
                wanted.put(alert.kind(), alert);
            }
        }
        List<Alert> fresh = new ArrayList<>();
        if (!wanted.isEmpty()) {
            stations(wanted, now, fresh);
            us(wanted.get(AirChoices.AlertKind.US), now, fresh);
        }
        bundles(wanted, now, fresh);
        if (!fresh.isEmpty()) {
            fresh.forEach(fired::addFirst);
            while (fired.size() > REMEMBERED) {
                fired.removeLast();
            }
            events.publishEvent(new AlertsFired(List.copyOf(fresh)));
        }
    }

    private void stations(Map<AirChoices.AlertKind, AirChoices.AlertChoice> wanted, AirChoices now, List<Alert> fresh) {
        long since = lookedAt;
        List<Heard> changed = air.read(list -> {
            lookedAt = list.revision();
            list.goneSince(since).forEach(announced::remove);
            return new ArrayList<>(list.changedSince(since));
        });
        // Whoever was heard first is announced first.
        Collections.reverse(changed);
        if (changed.isEmpty()) {
            return;
        }
        Perspectives.Perspective perspective = perspectives.of(null);
        for (Heard heard : changed) {
            Audible audible;
            synchronized (perspective) {
                audible = perspective.appraiser().of(heard, clock.instant());
            }
            AirChoices.AlertKind kind = audible == null || heard.doubt() != null ? null : kind(audible);
            AirChoices.AlertChoice choice = kind == null ? null : wanted.get(kind);
            if (audible == null || kind == null || choice == null || audible.workedHere()) {
                continue;
            }
            AirChoices.AlertKind before = announced.get(heard.id());
            if (before != null && before.compareTo(kind) <= 0) {
                continue;
            }
            announced.put(heard.id(), kind);
            if (mayFire(choice)) {
                fresh.add(alert(
                        choice,
                        now,
                        heard.id(),
                        heard.call() + " on " + audible.band().adifName()
                                + (heard.mode() == null
                                        ? ""
                                        : " " + heard.mode().label()) + ": " + audible.why(),
                        "It is " + kind.words() + "."));
            } else {
                held.computeIfAbsent(kind, k -> new HeldBack()).add(heard.call().text());
            }
        }
    }

    private static AirChoices.@Nullable AlertKind kind(Audible audible) {
        if (audible.watched()) {
            return AirChoices.AlertKind.WATCHED;
        }
        if (audible.wants().isEmpty()) {
            return null;
        }
        Goal.Level level = audible.wants().get(0).level();
        boolean entity = audible.wants().stream()
                .anyMatch(want -> want.key().kind() == CreditKind.ENTITY && want.level() == Goal.Level.EVER);
        if (entity) {
            return AirChoices.AlertKind.NEW_ENTITY;
        }
        return level == Goal.Level.PROOF ? AirChoices.AlertKind.OTHER_NEED : AirChoices.AlertKind.NEW_ON_BAND;
    }

    private void us(AirChoices.@Nullable AlertChoice choice, AirChoices now, List<Alert> fresh) {
        List<OwnSignal.Report> reports = air.whoHearsUs();
        Instant before = lastReport;
        if (reports.isEmpty()) {
            return;
        }
        lastReport = reports.get(0).at();
        if (choice == null || before != null && !reports.get(0).at().isAfter(before)) {
            return;
        }
        OwnSignal.Report report = reports.get(0);
        if (mayFire(choice)) {
            fresh.add(alert(
                    choice,
                    now,
                    null,
                    report.hearer() + " hears " + report.ownCall()
                            + (report.snrDb() == null ? "" : " with " + report.snrDb() + " dB"),
                    "Somebody heard us."));
        } else {
            held.computeIfAbsent(AirChoices.AlertKind.US, k -> new HeldBack())
                    .add(report.hearer().toString());
        }
    }

    private boolean mayFire(AirChoices.AlertChoice choice) {
        Deque<Instant> times = lately.computeIfAbsent(choice.kind(), kind -> new ArrayDeque<>());
        Instant now = clock.instant();
        while (!times.isEmpty() && times.peekFirst().plusMillis(MINUTE_MS).isBefore(now)) {
            times.removeFirst();
        }
        if (times.size() >= choice.maxPerMinute()) {
            return false;
        }
        times.addLast(now);
        return true;
    }

    /** What was held back because there was too much is told in one sentence once there is room again. */
    private void bundles(Map<AirChoices.AlertKind, AirChoices.AlertChoice> wanted, AirChoices now, List<Alert> fresh) {
        for (AirChoices.AlertKind kind : List.copyOf(held.keySet())) {
            AirChoices.AlertChoice choice = wanted.get(kind);
            if (choice == null) {
                held.remove(kind);
            } else if (mayFire(choice)) {
                HeldBack together = held.remove(kind);
                fresh.add(alert(
                        choice,
                        now,
                        null,
                        together.sentence(kind.words()),
                        "More than " + choice.maxPerMinute() + " a minute came, so they are told together."));
            }
        }
    }

    private Alert alert(
            AirChoices.AlertChoice choice, AirChoices now, @Nullable Long spotId, String sentence, String because) {
        boolean quiet = quiet(now);
        return new Alert(
                ++number,
                choice.kind().name(),
                clock.instant(),
                spotId,
                sentence,
                because,
                choice.shown(),
                quiet ? null : choice.tone(),
                choice.spoken() && !quiet,
                choice.notified());
    }

    private boolean quiet(AirChoices now) {
        LocalTime from = now.quietFrom();
        LocalTime until = now.quietUntil();
        if (from == null || until == null) {
            return false;
        }
        LocalTime time = LocalTime.ofInstant(clock.instant(), ZoneOffset.UTC);
        boolean afterFrom = !time.isBefore(from);
        boolean beforeUntil = time.isBefore(until);
        return from.isBefore(until) ? afterFrom && beforeUntil : afterFrom || beforeUntil;
    }

    /** Those that fired, the latest first. */
    synchronized List<Alert> fired() {
        return List.copyOf(fired);
    }
}
