package yokebar.standins.teletype;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * A decoder of radioteletype. Mark and space fade each for themselves; one decoder needs both, another gets along with either
 * but hears more noise. All hear the same crashes of static, and each its own noise.
 */
public enum Decoder {
    /** A narrow filter: the best in weak signals, lost when one tone fades. */
    NARROW("narrow", 0, false, 0.5, true),
    /** Takes the stronger of both tones: stands fading, and hears more noise. */
    DIVERSITY("either tone", -2.2, true, 0.9, true),
    /** An older program: no unshift after a blank, more noise. */
    PLAIN("plain", -1.2, false, 0.7, false);

    private static final long CRASH_MS = 120;
    private static final double CRASHES_A_SECOND = 0.25;
    private static final double FADE_DB = 9;
    private static final double FALSE_CHARACTERS_A_SECOND = 0.5;

    private final String title;
    private final double offsetDb;
    private final boolean eitherTone;
    private final double sensitivityToStatic;
    private final boolean unshiftsAfterBlank;

    Decoder(String title, double offsetDb, boolean eitherTone, double sensitivityToStatic, boolean unshiftsAfterBlank) {
        this.title = title;
        this.offsetDb = offsetDb;
        this.eitherTone = eitherTone;
        this.sensitivityToStatic = sensitivityToStatic;
        this.unshiftsAfterBlank = unshiftsAfterBlank;
    }

    /** Its name within its program. */
    public String title() {
        return title;
    }

    /**
     * What it printed.
     *
     * @param atMs when the character ended, ms since the hour began
     * @param certainty how sure it is, 0 to 1
     */
    public record Printed(long atMs, char character, double certainty) {}

    /** What it makes of an hour. */
    public List<Printed> receive(RecordedHour hour, long seed) {
        return new Reception(hour, seed).printed;
    }

    private final class Reception {
        private final Random own;
        private final List<Printed> printed = new ArrayList<>();
        private boolean figures;
        private long lastMs;

        Reception(RecordedHour hour, long seed) {
            own = new Random(seed * 31 + ordinal());
            Random shared = new Random(seed);
            List<Long> crashes = crashes(shared);
            double phase = shared.nextDouble() * 6;
            int next = 0;
            for (RecordedHour.Sent sent : hour.sent()) {
                noise(sent.endMs() - RecordedHour.CHARACTER_MS);
                while (next < crashes.size()
                        && crashes.get(next) + CRASH_MS < sent.endMs() - RecordedHour.CHARACTER_MS) {
                    next++;
                }
                boolean crash = next < crashes.size() && crashes.get(next) < sent.endMs();
                take(sent, crash && own.nextDouble() < sensitivityToStatic, phase);
                lastMs = sent.endMs();
            }
        }

        private List<Long> crashes(Random shared) {
            List<Long> crashes = new ArrayList<>();
            for (long at = 0; at < RecordedHour.LENGTH_MS; ) {
                at += (long) (-Math.log(1 - shared.nextDouble()) / CRASHES_A_SECOND * 1000);
                crashes.add(at);
            }
            return crashes;
        }

        /** With nobody sending, it prints something now and then, and is not sure of it. */
        private void noise(long untilMs) {
            long at = lastMs;
            while (true) {
                at += (long) (-Math.log(1 - own.nextDouble()) / FALSE_CHARACTERS_A_SECOND * 1000);
                if (at >= untilMs - RecordedHour.CHARACTER_MS) {
                    return;
                }
                print(own.nextInt(32), at, 0.05 + own.nextDouble() * 0.35);
            }
        }

        private void take(RecordedHour.Sent sent, boolean crash, double phase) {
            double turn = sent.endMs() / 1000.0 / sent.fadeSeconds() * 2 * Math.PI + phase;
            double mark = FADE_DB / 2 * Math.sin(turn);
            double space = FADE_DB / 2 * Math.sin(turn * 1.13 + 1.7);
            double tones = eitherTone ? Math.max(mark, space) : Math.min(mark, space);
            double ratio = Math.pow(10, (sent.strengthDb() + offsetDb + tones) / 10);
            double wrong = crash ? 0.5 : 0.5 * Math.exp(-ratio / 2);
            if (own.nextDouble() < wrong) {
                // No start was found; what follows is printed as soon as one is.
                return;
            }
            int code = TeletypeAlphabet.code(sent.character());
            for (int bit = 0; bit < 5; bit++) {
                code ^= own.nextDouble() < wrong ? 1 << bit : 0;
            }
            double guessed = crash ? 0.35 : 0.5 * Math.exp(-ratio * Math.exp(own.nextGaussian() * 0.3) / 2);
            long jitter = Math.round(own.nextGaussian() * 8);
            print(code, sent.endMs() + jitter, Math.max(0.05, Math.pow(1 - guessed, 5)));
        }

        private void print(int code, long atMs, double certainty) {
            if (code == TeletypeAlphabet.TO_FIGURES || code == TeletypeAlphabet.TO_LETTERS) {
                figures = code == TeletypeAlphabet.TO_FIGURES;
                return;
            }
            char character = TeletypeAlphabet.character(code, figures);
            if (character == ' ' && unshiftsAfterBlank) {
                figures = false;
            }
            if (character != 0) {
                printed.add(new Printed(atMs, character, Math.round(certainty * 1000) / 1000.0));
            }
        }
    }
}
