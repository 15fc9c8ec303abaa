package yokebar.standins.teletype;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import yokebar.standins.world.Station;
import yokebar.standins.world.World;

/**
 * An hour on one frequency of a radioteletype contest: a station calls, others answer, exchanges go to and fro. Each station is
 * heard with a strength of its own that comes and goes. The same for the same seed.
 */
public final class RecordedHour {
    /** A start unit, five of the code and one and a half to stop, 22 ms each: 45.45 baud. */
    public static final long CHARACTER_MS = 165;

    public static final long LENGTH_MS = 3_600_000;

    private static final char TO_FIGURES = '\016';
    private static final char TO_LETTERS = '\017';

    private final List<Sent> sent = new ArrayList<>();
    private final StringBuilder text = new StringBuilder();
    private final Random random;
    private long at;
    private boolean figures;

    /**
     * A code as it was sent.
     *
     * @param endMs when it ended, ms since the hour began
     * @param character a shift stands as itself
     * @param strengthDb above the noise of a narrow filter
     * @param fadeSeconds how long a fade of its signal takes
     */
    record Sent(long endMs, char character, double strengthDb, double fadeSeconds) {}

    public RecordedHour(World world, long seed) {
        random = new Random(seed);
        Station running = world.any(random);
        int serial = 1 + random.nextInt(40);
        while (at < LENGTH_MS - 60_000) {
            double ours = 14 + random.nextGaussian() * 2;
            say("CQ TEST " + running.call() + " " + running.call() + " CQ", ours);
            if (random.nextInt(4) == 0) {
                pause(4_000);
                continue;
            }
            Station caller = world.any(random);
            double theirs = 12 + random.nextGaussian() * 3;
            say(caller.call() + " " + caller.call(), theirs);
            String number = String.format(Locale.ROOT, "%03d", serial++);
            say(caller.call() + " 599 " + number + " " + number + " " + caller.call(), ours);
            String back = String.format(Locale.ROOT, "%03d", 1 + random.nextInt(900));
            say(running.call() + " TU 599 " + back + " " + back, theirs);
            say("TU " + caller.call() + " " + running.call(), ours);
        }
    }

    private void say(String words, double strengthDb) {
        double fadeSeconds = 3 + random.nextDouble() * 9;
        pause(500 + random.nextInt(2_000));
        code(TO_LETTERS, strengthDb, fadeSeconds);
        figures = false;
        code('\n', strengthDb, fadeSeconds);
        boolean blank = false;
        for (char c : words.toCharArray()) {
            boolean figure = Character.isDigit(c) || c == '/';
            // Some decoders go back to letters after a blank, and some do not: the shift is sent again.
            if (c != ' ' && (figure != figures || figure && blank)) {
                figures = figure;
                code(figure ? TO_FIGURES : TO_LETTERS, strengthDb, fadeSeconds);
            }
            code(c, strengthDb, fadeSeconds);
            blank = c == ' ';
        }
        code(' ', strengthDb, fadeSeconds);
        text.append('\n').append(words).append(' ');
    }

    private void pause(int ms) {
        at += ms;
    }

    private void code(char character, double strengthDb, double fadeSeconds) {
        at += CHARACTER_MS;
        sent.add(new Sent(at, character, strengthDb, fadeSeconds));
    }

    /** What was sent, as it should be read. */
    public String text() {
        return text.toString();
    }

    List<Sent> sent() {
        return sent;
    }
}
