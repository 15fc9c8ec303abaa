package yokebar.links.sources.radio;

import java.time.Duration;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Iterator;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import yokebar.core.sources.radio.RadioMode;
import yokebar.core.sources.radio.RadioReport;
import yokebar.core.sources.radio.RadioState;
import yokebar.core.sources.radio.Vfo;

/**
 * What a radio reported lately. Each part is forgotten by itself when it was not reported again in time, so that nothing old
 * is taken for the present. Used by one thread.
 */
final class FreshState {
    private static final Set<StatePart> QUICK =
            EnumSet.of(StatePart.VFO, StatePart.MODE, StatePart.SPLIT, StatePart.TRANSMITTING, StatePart.METER);

    private static final long QUICK_AGE_NANOS = Duration.ofSeconds(2).toNanos();
    private static final long SLOW_AGE_NANOS = Duration.ofSeconds(5).toNanos();
    /** Ages are looked at so often; they are counted in seconds. */
    private static final long AGED_EVERY_NANOS = Duration.ofMillis(100).toNanos();

    private record Held(Object value, long at) {}

    private final Map<StatePart, Held> parts = new EnumMap<>(StatePart.class);
    /** Parts the radio has no word for, and what that means. */
    private final Map<StatePart, Object> assumed = new EnumMap<>(StatePart.class);
    /** Null when something is different since it was made. */
    private @Nullable RadioState made;

    private long agedAt = System.nanoTime();

    /**
     * Forgets what was not reported again in time.
     *
     * @param answerNanos how long the radio's answers take
     * @param slowQuestions how many are asked seldom
     * @return false when it is too early to look again
     */
    boolean age(long now, long answerNanos, int slowQuestions) {
        if (now - agedAt < AGED_EVERY_NANOS) {
            return false;
        }
        agedAt = now;
        expire(
                now,
                Math.max(QUICK_AGE_NANOS, 5 * answerNanos),
                Math.max(SLOW_AGE_NANOS, (2L * slowQuestions + 4) * answerNanos + SLOW_AGE_NANOS / 2));
        return true;
    }

    void take(RadioReport report, long now) {
        if (report instanceof RadioReport.Frequency r) {
            put(r.vfo() == Vfo.A ? StatePart.FREQUENCY_A : StatePart.FREQUENCY_B, r.hz(), now);
        } else if (report instanceof RadioReport.Receiving r) {
            put(StatePart.VFO, r.vfo(), now);
        } else if (report instanceof RadioReport.ModeIs r) {
            put(StatePart.MODE, r.plain(), now);
        } else if (report instanceof RadioReport.DataIs r) {
            put(StatePart.DATA, r.on(), now);
        } else if (report instanceof RadioReport.SplitIs r) {
            put(StatePart.SPLIT, r.on(), now);
        } else if (report instanceof RadioReport.Transmitting r) {
            put(StatePart.TRANSMITTING, r.on(), now);
        } else if (report instanceof RadioReport.PowerIs r) {
            put(StatePart.POWER, r.watts(), now);
        } else if (report instanceof RadioReport.Meter r) {
            put(StatePart.METER, r.value(), now);
        } else if (report instanceof RadioReport.Bandwidth r) {
            put(StatePart.BANDWIDTH, r.hz(), now);
        }
    }

    private void put(StatePart part, @Nullable Object value, long now) {
        Held before = value == null ? parts.remove(part) : parts.put(part, new Held(value, now));
        if (before == null || !before.value().equals(value)) {
            made = null;
        }
    }

    /** The radio has no word for a part: what that says is assumed, or nothing. */
    void lacks(StatePart part, boolean lacks) {
        Object meaning =
                switch (part) {
                    case DATA, SPLIT -> Boolean.FALSE;
                    case VFO -> Vfo.A;
                    default -> null;
                };
        if (lacks && meaning != null) {
            assumed.put(part, meaning);
        } else {
            assumed.remove(part);
        }
        made = null;
    }

    /** Forgets what is too old; ages in ns. */
    void expire(long now, long quickAge, long slowAge) {
        Iterator<Map.Entry<StatePart, Held>> all = parts.entrySet().iterator();
        while (all.hasNext()) {
            Map.Entry<StatePart, Held> part = all.next();
            if (now - part.getValue().at() > (isQuick(part.getKey()) ? quickAge : slowAge)) {
                all.remove();
                made = null;
            }
        }
    }

    /** The frequency received on counts as quick, whichever VFO it is. */
    private boolean isQuick(StatePart part) {
        Held held = parts.get(StatePart.VFO);
        Object receiving = held == null ? Vfo.A : held.value();
        return QUICK.contains(part)
                || part == StatePart.FREQUENCY_A && receiving == Vfo.A
                || part == StatePart.FREQUENCY_B && receiving == Vfo.B;
    }

    RadioState state() {
        RadioState state = made;
        if (state == null) {
            state = make();
            made = state;
        }
        return state;
    }

    private RadioState make() {
        RadioMode plain = (RadioMode) value(StatePart.MODE);
        Boolean data = (Boolean) value(StatePart.DATA);
        // Without knowing whether a program's sound is switched in, the mode is not known where that makes a
        // difference.
        RadioMode mode = plain == null || plain == plain.withData()
                ? plain
                : data == null ? null : data ? plain.withData() : plain;
        return new RadioState(
                (Long) value(StatePart.FREQUENCY_A),
                (Long) value(StatePart.FREQUENCY_B),
                (Vfo) value(StatePart.VFO),
                mode,
                (Boolean) value(StatePart.SPLIT),
                (Boolean) value(StatePart.TRANSMITTING),
                (Integer) value(StatePart.POWER),
                (Integer) value(StatePart.METER),
                (Integer) value(StatePart.BANDWIDTH));
    }

    private @Nullable Object value(StatePart part) {
        Held held = parts.get(part);
        return held == null ? assumed.get(part) : held.value();
    }
}
