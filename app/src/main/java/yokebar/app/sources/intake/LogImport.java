package yokebar.app.sources.intake;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import org.springframework.stereotype.Service;
import yokebar.app.sources.intake.decide.Intake;
import yokebar.core.log.adif.AdiReader;
import yokebar.core.log.adif.AdifRecord;
import yokebar.core.log.adif.RecordReader;
import yokebar.core.log.contact.Source;

/** Takes a whole log file in, record by record; what cannot be taken is told and the rest goes through. */
@Service
public class LogImport {
    private static final ArrivalPath PATH = ArrivalPath.plain("import", "Import", Source.FILE);
    private static final int MAX_PROBLEMS_TOLD = 1000;

    private final Intake intake;
    private final Clock clock;

    LogImport(Intake intake, Clock clock) {
        this.intake = intake;
        this.clock = clock;
    }

    /**
     * @param record its number in the file, from 1
     * @param line the line it starts on, from 1
     */
    public record ImportProblem(int record, long line, String message) {}

    /**
     * @param problems the first thousand; the journal has them all
     */
    public record ImportResult(
            int read, int added, int merged, int duplicates, int refused, List<ImportProblem> problems) {}

    /**
     * Takes an ADI file.
     *
     * @param fileName under which the journal shows where a record came from
     */
    public ImportResult take(InputStream file, String fileName) throws IOException {
        try (InputStream in = new BufferedInputStream(file)) {
            return take(new AdiReader(in), fileName);
        }
    }

    /** Takes all records of a reader; the caller closes what it reads from. */
    public ImportResult take(RecordReader reader, String fileName) throws IOException {
        Tally tally = new Tally();
        // While one batch is being stored, the next is read.
        CompletableFuture<Void> stored = CompletableFuture.completedFuture(null);
        for (Batch batch = read(reader, fileName); !batch.arrivals().isEmpty(); batch = read(reader, fileName)) {
            stored.join();
            Batch next = batch;
            stored = CompletableFuture.runAsync(() -> tally.add(intake.take(PATH, next.arrivals()), next.lines()));
        }
        stored.join();
        return tally.result();
    }

    /** @param lines where each of the arrivals starts */
    private record Batch(List<Arrival> arrivals, List<Long> lines) {}

    private Batch read(RecordReader reader, String fileName) throws IOException {
        Batch batch = new Batch(new ArrayList<>(), new ArrayList<>());
        while (batch.arrivals().size() < Intake.MAX_AT_ONCE) {
            AdifRecord record = reader.next();
            if (record == null) {
                break;
            }
            batch.arrivals().add(Arrivals.of(record, reader.rawRecord(), fileName, clock.instant()));
            batch.lines().add(reader.line());
        }
        return batch;
    }

    private static final class Tally {
        private final int[] counts = new int[Decision.values().length];
        private final List<ImportProblem> problems = new ArrayList<>();
        private int read;

        void add(List<Outcome> outcomes, List<Long> lines) {
            for (int i = 0; i < outcomes.size(); i++) {
                read++;
                Outcome outcome = outcomes.get(i);
                counts[outcome.decision().ordinal()]++;
                if (outcome.decision() == Decision.REFUSED && problems.size() < MAX_PROBLEMS_TOLD) {
                    problems.add(new ImportProblem(read, lines.get(i), outcome.sentence()));
                }
            }
        }

        ImportResult result() {
            return new ImportResult(
                    read,
                    counts[Decision.ADDED.ordinal()],
                    counts[Decision.MERGED.ordinal()],
                    counts[Decision.DUPLICATE.ordinal()],
                    counts[Decision.REFUSED.ordinal()],
                    List.copyOf(problems));
        }
    }
}
