package yokebar.core.operate.onair;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.call.CallParts;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.log.tally.ContactCredits;
import yokebar.core.log.tally.CreditKey;
import yokebar.core.log.tally.CreditKind;
import yokebar.core.log.tally.NeedMark;
import yokebar.core.log.tally.References;
import yokebar.core.log.tally.Worked;
import yokebar.core.log.tally.WorkedBefore;
import yokebar.core.operate.need.NeedAppraisal;
import yokebar.core.operate.need.Want;
import yokebar.core.sources.spot.Heard;

/**
 * Says how much a station on the air is worth calling. Not thread-safe.
 *
 * <p>The score is what a contact would bring (the best of its wants, and a little of each other), less for what can hardly be
 * heard here, what was heard long ago, and what is likely a misread call; somewhat more for who is known to confirm and who is
 * calling. Who is watched stands above all that is merely needed.
 */
public final class Appraiser {
    private static final double OTHER_WANTS = 0.15;
    private static final double WATCHED = 1_000;
    private static final double NOTHING_WANTED = 2;
    private static final double INAUDIBLE_STILL_COUNTS = 0.35;
    private static final double OLDEST_COUNTS = 0.5;
    private static final double CONFIRMS = 1.10;
    private static final double CALLS = 1.05;
    private static final double DOUBTED = 0.15;
    private static final double BARRED = 0.5;
    private static final int MAX_REMEMBERED = 20_000;

    private final WorkedBefore before;
    private final NeedAppraisal appraisal;
    private final Atlas atlas;
    private final OperatorGoals operatorGoals;
    private final Duration oldest;
    private final Map<NeedsKey, Needs> remembered = new HashMap<>();
    private long rememberedVersion = -1;

    /** @param oldest when a report counts for nothing any more */
    public Appraiser(WorkedBefore before, Atlas atlas, OperatorGoals operatorGoals, Duration oldest) {
        this.before = before;
        this.appraisal = new NeedAppraisal(before, operatorGoals.goals());
        this.atlas = atlas;
        this.operatorGoals = operatorGoals;
        this.oldest = oldest;
    }

    public Atlas atlas() {
        return atlas;
    }

    /** What this appraiser goes by; safe for several threads. */
    public NeedAppraisal appraisal() {
        return appraisal;
    }

    private record NeedsKey(
            Call call,
            Band band,
            @Nullable ModeGroup group,
            @Nullable String reference,
            @Nullable String square,
            @Nullable String state) {}

    private record Needs(List<Want> wants, @Nullable NeedMark mark, int worked, boolean workedHere) {}

    /** @return null for a station the operator never wants to see, and for one on no band */
    public @Nullable Audible of(Heard heard, Instant now) {
        Band band = Band.of(heard.frequencyHz());
        if (band == null || operatorGoals.ignore().match(heard.call())) {
            return null;
        }
        Whereabouts where = atlas.of(heard.call());
        ModeGroup group = heard.mode() == null ? null : heard.mode().group();
        Needs needs = needs(heard, band, group, where);
        Hearing hearing = Hearing.of(heard, where, band, atlas, now, oldest);
        LocalDate confirms = operatorGoals.confirms().apply(heard.call());
        boolean watched = operatorGoals.watch().match(heard.call());
        boolean inside = operatorGoals.licence().test(heard.frequencyHz());
        double chance = chance(heard, hearing, inside, now);
        double score = (watched ? WATCHED : 0) + worth(needs) * chance * (confirms != null ? CONFIRMS : 1);
        return new Audible(
                heard,
                where,
                band,
                group,
                needs.wants(),
                needs.mark(),
                needs.worked(),
                needs.workedHere(),
                hearing,
                confirms,
                watched,
                inside,
                chance,
                score,
                why(heard, band, group, where, needs, hearing, watched, confirms, inside));
    }

    private Needs needs(Heard heard, Band band, @Nullable ModeGroup group, Whereabouts where) {
        if (rememberedVersion != before.version() || remembered.size() > MAX_REMEMBERED) {
            remembered.clear();
            rememberedVersion = before.version();
        }
        Call call = heard.call();
        NeedsKey key =
                new NeedsKey(call, band, group, References.in(heard.comment()), atlas.square(call), atlas.state(call));
        return remembered.computeIfAbsent(key, a -> needs(a, where));
    }

    private Needs needs(NeedsKey key, Whereabouts where) {
        Band band = key.band();
        ModeGroup group = key.group();
        List<CreditKey> keys = new ArrayList<>();
        if (where.situation() != null) {
            String entity = Integer.toString(where.entity());
            keys.add(CreditKind.ENTITY.key(entity));
            keys.add(CreditKind.CQ_ZONE.key(Integer.toString(where.cqZone())));
            if (key.state() != null) {
                keys.add(CreditKind.STATE.key(ContactCredits.stateKey(entity, key.state())));
            }
        }
        if (!where.area().isEmpty()) {
            keys.add(CreditKind.PREFIX.key(where.area()));
        }
        if (key.reference() != null) {
            keys.add(CreditKind.REFERENCE.key(key.reference()));
        }
        if (key.square() != null) {
            keys.add(CreditKind.SQUARE.key(key.square()));
        }
        CreditKey base = CreditKind.BASE_CALL.key(CallParts.of(key.call()).base());
        keys.add(base);
        keys.add(CreditKind.CALL.key(key.call().text()));
        Worked station = before.of(base);
        NeedMark mark = where.situation() == null || group == null
                ? null
                : before.of(CreditKind.ENTITY.key(Integer.toString(where.entity())))
                        .mark(band, group);
        return new Needs(
                appraisal.wants(keys, band, group, operatorGoals.origin()),
                mark,
                station.contacts(),
                NeedAppraisal.workedOn(station, band, group));
    }

    private static double worth(Needs needs) {
        double worth = 0;
        for (int i = 0; i < needs.wants().size(); i++) {
            worth += needs.wants().get(i).worth() * (i == 0 ? 1 : OTHER_WANTS);
        }
        return Math.max(worth, needs.workedHere() ? NOTHING_WANTED / 2 : NOTHING_WANTED);
    }

    /** What can hardly be heard, was heard long ago or misread takes longer to work, or is not there. */
    private double chance(Heard heard, Hearing hearing, boolean inside, Instant now) {
        double age = Math.max(0, Duration.between(heard.lastAt(), now).toMillis()) / (double) oldest.toMillis();
        return (INAUDIBLE_STILL_COUNTS + (1 - INAUDIBLE_STILL_COUNTS) * hearing.likelihood())
                * (1 - (1 - OLDEST_COUNTS) * Math.min(1, age))
                * (heard.callingCq() ? CALLS : 1)
                * (heard.doubt() != null ? DOUBTED : 1)
                * (inside ? 1 : BARRED);
    }

    private static String why(
            Heard heard,
            Band band,
            @Nullable ModeGroup group,
            Whereabouts where,
            Needs needs,
            Hearing hearing,
            boolean watched,
            @Nullable LocalDate confirms,
            boolean inside) {
        List<String> words = new ArrayList<>();
        if (heard.doubt() != null) {
            words.add("most likely " + heard.doubt() + ", misread by one receiver");
        }
        if (watched) {
            words.add("on your watch list");
        }
        String entity =
                where.situation() == null ? null : where.situation().entity().name();
        for (Want want : needs.wants()) {
            words.add(want.words(entity, band, group));
        }
        if (needs.workedHere()) {
            words.add("worked on " + band.adifName() + " already");
        } else if (needs.wants().isEmpty() && !watched) {
            words.add("brings nothing new");
        }
        if (confirms != null) {
            words.add("confirms electronically");
        }
        words.add(hearing.words());
        if (where.path() != null) {
            words.add("beam " + Math.round(where.path().bearingDegrees()) % 360 + "°");
        }
        if (!inside) {
            words.add("outside your licence");
        }
        String all = String.join(", ", words);
        return Character.toUpperCase(all.charAt(0)) + all.substring(1);
    }
}
