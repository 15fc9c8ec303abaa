package yokebar.core.sources.text;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedList;
import java.util.List;
import java.util.ListIterator;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * What several decoders of one signal received, voted into one text. Characters that ended at the same time belong together. A
 * vote weighs as much as its decoder is sure and was right lately. Votes are for the code first and for its shift second: who
 * lost a shift still knows which key was pressed.
 *
 * <p>Not safe for several threads.
 */
public final class AgreedText {
    /** Half a character of 45.45 baud, 7.5 units of 22 ms: what is further apart is another character. */
    private static final long TOGETHER_MS = 82;
    /** How long is waited for what other decoders make of a character. */
    private static final long SETTLES_AFTER_MS = 500;
    /** A decoder that received nothing for so long has no say: it may be tuned elsewhere. */
    private static final long LISTENS_MS = 10_000;

    private static final long NOTHING_SETTLED = Long.MIN_VALUE / 2;
    private static final int MAX_WAITING = 2_000;
    private static final int MAX_DECODERS = 16;

    /** How much one character changes how right a decoder is held to be. */
    private static final double LEARNING = 0.02;

    private static final double FIRST_TRUST = 0.9;
    private static final double MIN_TRUST = 0.05;
    private static final double MAX_TRUST = 0.995;
    private static final double CODES = 31;
    /** With less than this likelihood it is marked. */
    private static final double CERTAIN = 0.9;

    private final LinkedList<Moment> waiting = new LinkedList<>();
    private final Map<String, Double> trust = new HashMap<>();
    private final Map<String, Long> lastHeard = new LinkedHashMap<>();
    private long settledMs = NOTHING_SETTLED;

    /** What was received at one moment, by decoder. */
    private static final class Moment {
        private final Map<String, HeardCharacter> heard = new HashMap<>();
        private long sumMs;

        long atMs() {
            return sumMs / heard.size();
        }

        void add(HeardCharacter one) {
            heard.put(one.decoder(), one);
            sumMs += one.atMs();
        }
    }

    /**
     * Takes a character in.
     *
     * @return false when it came too late to have a say
     */
    public boolean hear(HeardCharacter one) {
        if (!lastHeard.containsKey(one.decoder()) && lastHeard.size() == MAX_DECODERS) {
            lastHeard.values().removeIf(at -> one.atMs() - at > LISTENS_MS);
            trust.keySet().retainAll(lastHeard.keySet());
            if (lastHeard.size() == MAX_DECODERS) {
                return false;
            }
        }
        lastHeard.merge(one.decoder(), one.atMs(), Math::max);
        if (one.atMs() <= settledMs - TOGETHER_MS || waiting.size() == MAX_WAITING) {
            return false;
        }
        Moment nearest = null;
        for (Moment moment : waiting) {
            long apart = Math.abs(moment.atMs() - one.atMs());
            if (apart <= TOGETHER_MS
                    && !moment.heard.containsKey(one.decoder())
                    && (nearest == null || apart < Math.abs(nearest.atMs() - one.atMs()))) {
                nearest = moment;
            }
        }
        if (nearest == null) {
            insert(one);
        } else {
            nearest.add(one);
        }
        return true;
    }

    private void insert(HeardCharacter one) {
        Moment moment = new Moment();
        moment.add(one);
        ListIterator<Moment> at = waiting.listIterator(waiting.size());
        while (at.hasPrevious()) {
            if (at.previous().atMs() <= one.atMs()) {
                at.next();
                break;
            }
        }
        at.add(moment);
    }

    /**
     * What is settled by now, in the order in which it was sent; each character comes once.
     *
     * @param nowMs ms since 1970, UTC
     */
    public List<AgreedCharacter> settled(long nowMs) {
        List<AgreedCharacter> agreed = new ArrayList<>();
        while (!waiting.isEmpty() && waiting.getFirst().atMs() <= nowMs - SETTLES_AFTER_MS) {
            Moment moment = waiting.removeFirst();
            settledMs = Math.max(settledMs, moment.atMs());
            vote(moment, agreed);
        }
        return agreed;
    }

    /** Everything that waits, without waiting for more. */
    public List<AgreedCharacter> rest() {
        return settled(Long.MAX_VALUE);
    }

    /**
     * Begins with times anew, where the clock was set back: those before would come later than all that follow. How right each
     * decoder was is kept.
     *
     * @return everything that waits
     */
    public List<AgreedCharacter> clockSetBack() {
        List<AgreedCharacter> agreed = rest();
        lastHeard.clear();
        settledMs = NOTHING_SETTLED;
        return agreed;
    }

    private void vote(Moment moment, List<AgreedCharacter> agreed) {
        Set<String> silent = silent(moment);
        double spoken = 0;
        Map<Character, Double> codes = new LinkedHashMap<>();
        for (HeardCharacter one : moment.heard.values()) {
            codes.put(TeletypeCode.letter(one.character()), 0.0);
            spoken += likely(one);
        }
        double unheard = silent.stream().mapToDouble(this::trust).sum();
        if (unheard > 2 * spoken) {
            moment.heard.keySet().forEach(decoder -> learn(decoder, false));
            return;
        }
        for (HeardCharacter one : moment.heard.values()) {
            double right = likely(one);
            char code = TeletypeCode.letter(one.character());
            codes.replaceAll((other, sum) -> sum + Math.log(other == code ? right : (1 - right) / CODES));
        }
        char winner =
                Collections.max(codes.entrySet(), Map.Entry.comparingByValue()).getKey();
        HeardCharacter best = inItsShift(moment, winner);
        double certainty =
                share(codes.values(), moment.heard.values()) * Math.min(1, spoken / Math.max(spoken, unheard));
        moment.heard.values().forEach(one -> learn(one.decoder(), one.character() == best.character()));
        silent.forEach(decoder -> learn(decoder, false));
        agreed.add(new AgreedCharacter(moment.atMs(), best.character(), certainty < CERTAIN));
    }

    /** Of those who received the code, the shift that more speaks for. */
    private HeardCharacter inItsShift(Moment moment, char code) {
        double figures = 0;
        HeardCharacter figure = null;
        HeardCharacter letter = null;
        for (HeardCharacter one : moment.heard.values()) {
            if (TeletypeCode.letter(one.character()) == code) {
                boolean isFigure = TeletypeCode.isFigure(one.character());
                figures += isFigure ? likely(one) : -likely(one);
                figure = isFigure ? one : figure;
                letter = isFigure ? letter : one;
            }
        }
        if (figure != null && (letter == null || figures > 0)) {
            return figure;
        }
        if (letter == null) {
            throw new IllegalStateException("nobody received the code that won");
        }
        return letter;
    }

    /** How likely the code is that most speaks for, of those that were received and those that nobody received. */
    private double share(Collection<Double> codes, Collection<HeardCharacter> heard) {
        double best = Collections.max(codes);
        double nobodys = Math.log(CODES)
                + heard.stream()
                        .mapToDouble(one -> Math.log((1 - likely(one)) / CODES))
                        .sum();
        double all = codes.stream().mapToDouble(one -> Math.exp(one - best)).sum() + Math.exp(nobodys - best);
        return 1 / all;
    }

    private Set<String> silent(Moment moment) {
        Set<String> silent = new TreeSet<>();
        lastHeard.forEach((decoder, at) -> {
            if (!moment.heard.containsKey(decoder) && Math.abs(moment.atMs() - at) <= LISTENS_MS) {
                silent.add(decoder);
            }
        });
        return silent;
    }

    /** How likely a decoder is right about a character. */
    private double likely(HeardCharacter one) {
        return Math.max(MIN_TRUST, Math.min(MAX_TRUST, one.certainty() * trust(one.decoder())));
    }

    private double trust(String decoder) {
        return trust.getOrDefault(decoder, FIRST_TRUST);
    }

    private void learn(String decoder, boolean right) {
        double before = trust(decoder);
        trust.put(decoder, Math.max(MIN_TRUST, before + LEARNING * ((right ? 1 : 0) - before)));
    }
}
