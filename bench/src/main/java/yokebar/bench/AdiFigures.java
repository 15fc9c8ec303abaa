package yokebar.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collection;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/**
 * Runs {@link AdiBenchmark} and prints MB/s and the ratio to {@code grep -c '<EOR>'} on the same text. The quickest run counts
 * for both: whatever else the machine does only ever slows a run down.
 */
public final class AdiFigures {
    private static final int GREP_RUNS = 7;

    private AdiFigures() {}

    public static void main(String[] args) throws RunnerException, IOException, InterruptedException {
        Path file = Files.createTempFile("sample", ".adi");
        try {
            byte[] adi = SampleLog.adi(AdiBenchmark.CONTACTS);
            Files.write(file, adi);
            Collection<RunResult> results = new Runner(new OptionsBuilder()
                            .include(AdiBenchmark.class.getSimpleName())
                            .build())
                    .run();
            double megabytes = adi.length / 1e6;
            double grepMs = grepMs(file);
            System.out.printf("ADI sample: %d contacts, %.1f MB%n", AdiBenchmark.CONTACTS, megabytes);
            System.out.printf("grep -c '<EOR>': %.0f MB/s%n", megabytes / grepMs * 1000);
            for (RunResult result : results) {
                String what = result.getParams().getBenchmark().replaceAll(".*\\.", "");
                double median = result.getPrimaryResult().getStatistics().getPercentile(50);
                double ms = result.getPrimaryResult().getStatistics().getMin();
                System.out.printf(
                        "ADI read as %s: %.0f MB/s (median run %.0f), %.2f times grep's time%n",
                        what, megabytes / ms * 1000, megabytes / median * 1000, ms / grepMs);
            }
        } finally {
            Files.delete(file);
        }
    }

    /** The quickest of several runs, process start included. */
    private static double grepMs(Path file) throws IOException, InterruptedException {
        double best = Double.MAX_VALUE;
        for (int run = 0; run < GREP_RUNS; run++) {
            long start = System.nanoTime();
            Process grep = new ProcessBuilder("grep", "-c", "<EOR>", file.toString()).start();
            // Read, not discarded: grep stops at the first match when nobody wants its output.
            grep.getInputStream().readAllBytes();
            grep.waitFor();
            best = Math.min(best, (System.nanoTime() - start) / 1e6);
        }
        return best;
    }
}
