package yokebar.app.operate.line;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import yokebar.app.log.search.LogSearch;
import yokebar.app.operate.onair.Wanted;
import yokebar.app.station.reference.ReferenceData;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.call.CallParts;
import yokebar.core.basics.call.NearCalls;
import yokebar.core.basics.entity.Situation;
import yokebar.core.basics.mode.Mode;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.index.Entry;
import yokebar.core.log.index.LogFields;
import yokebar.core.log.tally.ContactCredits;
import yokebar.core.log.tally.CreditKind;
import yokebar.core.log.tally.Proofs;
import yokebar.core.log.tally.WorkedBefore;
import yokebar.core.operate.line.Draft;
import yokebar.core.operate.line.Line;
import yokebar.core.operate.need.Goal;
import yokebar.core.operate.need.NewOnes;
import yokebar.core.operate.need.Want;

/** Says who the station in a line is, what a contact would bring, and which calls of the log may be meant. */
@Service
class StationHints {
    private static final int SHORTEST_GUESSED = 3;
    private static final int MAX_LIKELY = 6;
    private static final DateTimeFormatter MINUTE =
            DateTimeFormatter.ofPattern("HH:mm").withZone(ZoneOffset.UTC);

    private final LogSearch search;
    private final ReferenceData reference;
    private final TodaysContacts today;
    private final Wanted wanted;

    StationHints(LogSearch search, ReferenceData reference, TodaysContacts today, Wanted wanted) {
        this.search = search;
        this.reference = reference;
        this.today = today;
        this.wanted = wanted;
    }

    /** Null while there is no call in the line. */
    LineView.@Nullable StationHint station(LineReading.Known known, @Nullable Long positionId) {
        Call call = known.line().call();
        if (call == null) {
            return null;
        }
        Draft draft = known.draft();
        WorkedBefore before = search.workedBefore();
        Situation situation = reference
                .entities()
                .of(call, LocalDate.ofInstant(draft.start(), ZoneOffset.UTC))
                .orElse(null);
        String entity = situation == null ? null : situation.entity().name();
        ContactCredits credits = credits(call, draft, known.setting().ownCall());
        List<Want> wants = credits == null ? List.of() : wanted.by(credits, positionId);
        Set<CreditKind> newByGoals = wants.stream()
                .filter(want -> want.level() != Goal.Level.PROOF)
                .map(want -> want.key().kind())
                .collect(Collectors.toSet());
        return new LineView.StationHint(
                call.text(),
                entity,
                situation == null ? null : situation.continent(),
                situation == null ? null : situation.cqZone(),
                situation == null || credits == null
                        ? null
                        : before.of(CreditKind.ENTITY.key(
                                        Integer.toString(situation.entity().number())))
                                .mark(credits.band(), credits.group()),
                before.of(CreditKind.BASE_CALL.key(CallParts.of(call).base())).contacts(),
                credits == null ? null : dupe(call, credits, draft.start()),
                credits == null
                        ? List.of()
                        : wants.stream()
                                .map(want -> want.words(entity, credits.band(), credits.group()))
                                .toList(),
                credits == null ? List.of() : NewOnes.of(before, credits, entity == null ? "" : entity, newByGoals));
    }

    /** What the contact would count for; null while its band or mode is not known. */
    private @Nullable ContactCredits credits(Call call, Draft draft, @Nullable Call ownCall) {
        Band band = draft.band();
        Mode mode = draft.mode();
        if (band == null || mode == null) {
            return null;
        }
        AdifFields.Builder fields = new AdifFields.Builder();
        fields.put(LogFields.OWN_CALL, ownCall == null ? null : ownCall.text());
        draft.fields().forEach(fields::put);
        return ContactCredits.of(
                Entry.of(
                        0,
                        draft.start().getEpochSecond(),
                        null,
                        call.text(),
                        band.adifName(),
                        mode,
                        fields,
                        reference.entities()),
                Proofs.NONE);
    }

    private @Nullable String dupe(Call call, ContactCredits credits, Instant start) {
        return today.last(call, credits.band(), credits.group(), start)
                .map(at -> "Worked today at " + MINUTE.format(at) + " on "
                        + credits.band().adifName() + " in " + NewOnes.words(credits.group()) + ".")
                .orElse(null);
    }

    /** Calls of the log that begin as typed, or that differ in one character. */
    List<LineView.LikelyCall> likely(Line line) {
        String typed = line.callText();
        if (typed == null || typed.length() < SHORTEST_GUESSED) {
            return List.of();
        }
        WorkedBefore before = search.workedBefore();
        List<LineView.LikelyCall> likely = new ArrayList<>();
        for (String call : before.callsFrom(typed, MAX_LIKELY)) {
            if (!call.equals(typed)) {
                likely.add(new LineView.LikelyCall(
                        call, false, before.of(CreditKind.CALL.key(call)).contacts()));
            }
        }
        if (line.call() != null && !before.has(CreditKind.CALL.key(typed))) {
            for (String call : NearCalls.of(typed, c -> before.has(CreditKind.CALL.key(c)))) {
                if (likely.size() >= MAX_LIKELY) {
                    break;
                }
                if (likely.stream().noneMatch(known -> known.call().equals(call))) {
                    likely.add(new LineView.LikelyCall(
                            call, true, before.of(CreditKind.CALL.key(call)).contacts()));
                }
            }
        }
        return likely;
    }
}
