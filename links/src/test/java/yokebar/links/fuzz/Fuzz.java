package yokebar.links.fuzz;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;

/**
 * Feeds the parsers anything for as long as wanted, guided by what they make of it: an input that makes a
 * parser say something it never said before is kept and changed further. Prints what it found; the inputs kept are the
 * corpus that {@link FuzzTest} replays. Arguments: seconds for each parser, the corpus' folder, and the parsers' names if not all.
 */
public final class Fuzz {
    private static final int MAX_KEPT = 400;
    private static final int MAX_WORKED_WITH = 5000;
    private static final int MAX_BYTES = 400;
    private static final long HANG_NANOS = 1_000_000_000L;
    /** The processor's time, not the wall's: the machine may have others to serve. */
    private static final ThreadMXBean CPU = ManagementFactory.getThreadMXBean();

    private static final HexFormat HEX = HexFormat.of();

    private final FuzzTarget target;
    private final Random random;
    private final List<byte[]> corpus = new ArrayList<>();
    private final Set<String> seen = new HashSet<>();
    private FuzzTarget.Ear ear;
    private long inputs;
    private long bytes;
    private long slowest;

    private Fuzz(FuzzTarget target, long seed) {
        this.target = target;
        this.random = new Random(seed);
        this.ear = target.ear().get();
    }

    public static void main(String[] args) throws IOException {
        long seconds = Long.parseLong(args[0]);
        Path folder = Path.of(args[1]);
        List<String> chosen = List.of(args).subList(2, args.length);
        for (FuzzTarget target : FuzzTarget.all()) {
            if (!chosen.isEmpty() && !chosen.contains(target.name())) {
                continue;
            }
            new Fuzz(target, System.nanoTime()).run(seconds, folder.resolve(target.name() + ".hex"));
        }
    }

    private void run(long seconds, Path file) throws IOException {
        target.seeds().forEach(this::feed);
        if (Files.exists(file)) {
            Files.readAllLines(file).forEach(line -> feed(HEX.parseHex(line)));
        }
        long memoryBefore = usedMemory();
        long until = System.nanoTime() + seconds * 1_000_000_000L;
        while (System.nanoTime() < until) {
            feed(changed());
        }
        corpus.removeIf(input -> input.length == 0);
        // The short ones say it best.
        corpus.sort(java.util.Comparator.comparingInt(input -> input.length));
        Files.write(file, corpus.stream().limit(MAX_KEPT).map(HEX::formatHex).toList());
        int kinds = seen.size();
        int kept = Math.min(MAX_KEPT, corpus.size());
        // What is left then is what the parser holds on to.
        seen.clear();
        corpus.clear();
        System.out.printf(
                "%-10s %,d inputs, %,d bytes, %d kinds of answer, %d kept, slowest %.1f ms, memory %+d kB%n",
                target.name(), inputs, bytes, kinds, kept, slowest / 1e6, (usedMemory() - memoryBefore) / 1024);
    }

    private void feed(byte[] input) {
        Set<String> heard = new TreeSet<>();
        long begin = CPU.getCurrentThreadCpuTime();
        try {
            for (int from = 0; from < input.length; ) {
                int length = 1 + random.nextInt(input.length - from);
                byte[] piece = java.util.Arrays.copyOfRange(input, from, from + length);
                Collections.addAll(heard, ear.hear(piece, length).split(" "));
                from += length;
            }
        } catch (RuntimeException | StackOverflowError e) {
            throw new AssertionError(target.name() + " fell over " + HEX.formatHex(input), e);
        }
        long took = CPU.getCurrentThreadCpuTime() - begin;
        slowest = Math.max(slowest, took);
        if (took > HANG_NANOS) {
            throw new AssertionError(target.name() + " hung on " + HEX.formatHex(input));
        }
        inputs++;
        bytes += input.length;
        if (corpus.size() < MAX_WORKED_WITH && seen.add(heard.toString())) {
            corpus.add(input);
        }
        if (random.nextInt(5000) == 0) {
            ear = target.ear().get();
        }
    }

    private byte[] changed() {
        byte[] input = pick().clone();
        for (int times = 1 + random.nextInt(4); times > 0; times--) {
            input = changedOnce(input);
        }
        return input.length > MAX_BYTES ? java.util.Arrays.copyOf(input, MAX_BYTES) : input;
    }

    private byte[] pick() {
        return corpus.get(random.nextInt(corpus.size()));
    }

    private byte[] changedOnce(byte[] input) {
        int at = input.length == 0 ? 0 : random.nextInt(input.length);
        switch (random.nextInt(7)) {
            case 0:
                return joined(input, at, new byte[] {(byte) random.nextInt(256)}, at);
            case 1:
                return joined(input, at, pick(), at);
            case 2:
                return joined(input, at, new byte[0], Math.min(input.length, at + 1 + random.nextInt(8)));
            case 3:
                byte[] some = new byte[random.nextInt(60)];
                random.nextBytes(some);
                return joined(input, at, some, at);
            case 4:
                byte[] same = new byte[1 + random.nextInt(120)];
                java.util.Arrays.fill(same, input.length == 0 ? 0 : input[at]);
                return joined(input, at, same, at);
            default:
                if (input.length > 0) {
                    input[at] = (byte) (input[at] ^ 1 << random.nextInt(8));
                }
                return input;
        }
    }

    private static byte[] joined(byte[] input, int until, byte[] middle, int from) {
        byte[] all = new byte[until + middle.length + input.length - from];
        System.arraycopy(input, 0, all, 0, until);
        System.arraycopy(middle, 0, all, until, middle.length);
        System.arraycopy(input, from, all, until + middle.length, input.length - from);
        return all;
    }

    private static long usedMemory() {
        System.gc();
        return Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory();
    }
}
