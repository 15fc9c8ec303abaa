package yokebar.bench;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;
import yokebar.core.sources.text.AgreedCharacter;
import yokebar.core.sources.text.AgreedText;
import yokebar.core.sources.text.HeardCharacter;
import yokebar.standins.teletype.Decoder;
import yokebar.standins.teletype.RecordedHour;
import yokebar.standins.world.World;

/** How much of recorded hours of radioteletype each decoder reads, and how much what they agree on. */
public final class ReceivedTextFigures {
    private static final int HOURS = 5;
    private static final List<List<Decoder>> TOGETHER = List.of(
            List.of(Decoder.NARROW, Decoder.DIVERSITY),
            List.of(Decoder.NARROW, Decoder.PLAIN),
            List.of(Decoder.DIVERSITY, Decoder.PLAIN),
            List.of(Decoder.values()));

    private ReceivedTextFigures() {}

    /** What was read of an hour. */
    private record Read(String text, int doubtful) {}

    public static void main(String[] args) {
        Map<Decoder, Double> alone = new EnumMap<>(Decoder.class);
        for (Decoder decoder : Decoder.values()) {
            double wrong = IntStream.rangeClosed(1, HOURS)
                    .mapToDouble(seed -> wrong(hour(seed), alone(hour(seed), seed, decoder)))
                    .average()
                    .orElseThrow();
            alone.put(decoder, wrong);
            System.out.printf(Locale.ROOT, "%s: %.1f %% wrong%n", decoder, 100 * wrong);
        }
        for (List<Decoder> group : TOGETHER) {
            double wrong = 0;
            double doubtful = 0;
            double ms = 0;
            for (int seed = 1; seed <= HOURS; seed++) {
                long begun = System.nanoTime();
                Read read = agreed(hour(seed), seed, group);
                ms += (System.nanoTime() - begun) / 1e6 / HOURS;
                wrong += wrong(hour(seed), read.text()) / HOURS;
                doubtful += (double) read.doubtful() / read.text().length() / HOURS;
            }
            double best = group.stream().mapToDouble(alone::get).min().orElseThrow();
            System.out.printf(
                    Locale.ROOT,
                    "%s: %.1f %% wrong, %.2f of the best alone; %.1f %% marked; an hour in %.0f ms%n",
                    group,
                    100 * wrong,
                    wrong / best,
                    100 * doubtful,
                    ms);
        }
    }

    private static RecordedHour hour(long seed) {
        return new RecordedHour(new World(9), seed);
    }

    private static String alone(RecordedHour hour, long seed, Decoder decoder) {
        StringBuilder text = new StringBuilder();
        decoder.receive(hour, seed).forEach(one -> text.append(one.character()));
        return text.toString();
    }

    private static Read agreed(RecordedHour hour, long seed, List<Decoder> decoders) {
        List<HeardCharacter> heard = new ArrayList<>();
        for (Decoder decoder : decoders) {
            decoder.receive(hour, seed)
                    .forEach(one -> heard.add(
                            new HeardCharacter(decoder.title(), one.atMs(), one.character(), one.certainty())));
        }
        heard.sort(Comparator.comparing(HeardCharacter::atMs));
        AgreedText agreed = new AgreedText();
        List<AgreedCharacter> settled = new ArrayList<>();
        for (HeardCharacter one : heard) {
            agreed.hear(one);
            settled.addAll(agreed.settled(one.atMs()));
        }
        settled.addAll(agreed.rest());
        StringBuilder text = new StringBuilder();
        settled.forEach(one -> text.append(one.character()));
        return new Read(text.toString(), (int)
                settled.stream().filter(AgreedCharacter::doubtful).count());
    }

    private static double wrong(RecordedHour hour, String read) {
        return (double) apart(hour.text(), read) / hour.text().length();
    }

    /** How many characters have to be changed, put in or taken out. */
    private static int apart(String one, String other) {
        int[] before = new int[other.length() + 1];
        for (int j = 0; j <= other.length(); j++) {
            before[j] = j;
        }
        for (int i = 1; i <= one.length(); i++) {
            int[] now = new int[other.length() + 1];
            now[0] = i;
            for (int j = 1; j <= other.length(); j++) {
                int same = before[j - 1] + (one.charAt(i - 1) == other.charAt(j - 1) ? 0 : 1);
                now[j] = Math.min(same, 1 + Math.min(before[j], now[j - 1]));
            }
            before = now;
        }
        return before[other.length()];
    }
}
