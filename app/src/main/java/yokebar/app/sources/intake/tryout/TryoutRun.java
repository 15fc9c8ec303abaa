package yokebar.app.sources.intake.tryout;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import yokebar.app.platform.storage.StorageUnavailable;
import yokebar.app.sources.intake.Arrival;
import yokebar.app.sources.intake.Arrivals;
import yokebar.app.sources.intake.Decision;
import yokebar.app.sources.intake.Outcome;
import yokebar.app.sources.intake.decide.Intake;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.adif.AdifRecord;
import yokebar.core.log.exchange.LogText;
import yokebar.core.services.confirm.ConfirmationMarks;
import yokebar.core.sources.radio.RadioCompletion;

/** Goes once through the records of a log, tells what it finds, and hands them on in batches. */
final class TryoutRun {
    private static final long WAIT_MS = 1000;

    /** No log is longer once unpacked. */
    private static final long MAX_BYTES = 4L << 30;

    private static final int MAX_SAMPLES = 8;
    private static final int MAX_TROUBLES = 200;
    private static final int MAX_CALLS = 20;
    private static final int WAYS = 3;

    private final Tryout tryout;
    private final Taking taking;
    private final Clock clock;
    private final Map<Decision, Integer> counts = new EnumMap<>(Decision.class);
    private final Map<String, Integer> ownCalls = new TreeMap<>();
    private final Map<String, Integer> confirmedBy = new TreeMap<>();
    private final Map<Decision, List<Tryout.TriedRecord>> samples = new EnumMap<>(Decision.class);
    private final List<Tryout.TriedTrouble> troubles = new ArrayList<>();
    private final long began = System.nanoTime();
    private @Nullable LocalDate firstDay;
    private @Nullable LocalDate lastDay;
    private int read;

    /** What is done with a batch. */
    interface Taking {
        /** @return one outcome for each */
        List<Outcome> take(List<Arrival> arrivals);
    }

    TryoutRun(Tryout tryout, Taking taking, Clock clock) {
        this.tryout = tryout;
        this.taking = taking;
        this.clock = clock;
    }

    private record Batch(List<Arrival> arrivals, List<Long> lines) {}

    /**
     * @param then what it is when it went through
     * @param changeId of an import; null when nothing is taken in
     */
    void run(Tryout.State during, Tryout.State then, @Nullable Long changeId) {
        try (CountedInput in = new CountedInput(Files.newInputStream(tryout.file()))) {
            LogText log = new LogText(in, MAX_BYTES);
            for (Batch batch = next(log); !batch.arrivals().isEmpty(); batch = next(log)) {
                count(batch, taken(batch));
                if (tryout.cancelled()) {
                    tryout.show(picture(Tryout.State.CANCELLED, in, changeId, "Ended by you."));
                    return;
                }
                tryout.show(picture(during, in, changeId, null));
            }
            tryout.show(picture(then, in, changeId, read == 0 ? "There is no record in it." : null));
        } catch (IOException e) {
            Tryout.TryoutPicture now = tryout.picture();
            tryout.show(new Tryout.TryoutPicture(
                    Tryout.State.FAILED,
                    now.percent(),
                    0,
                    counts(),
                    ownCalls,
                    confirmedBy,
                    someSamples(),
                    List.copyOf(troubles),
                    changeId,
                    tryout.name() + " cannot be read on: " + e.getMessage()));
        }
    }

    /** While nothing can be stored a long import waits, so that it need not be begun again. */
    private List<Outcome> taken(Batch batch) {
        while (true) {
            try {
                return taking.take(batch.arrivals());
            } catch (StorageUnavailable e) {
                if (tryout.cancelled()) {
                    throw e;
                }
                pause();
            }
        }
    }

    private static void pause() {
        try {
            Thread.sleep(WAIT_MS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private Batch next(LogText log) throws IOException {
        Batch batch = new Batch(new ArrayList<>(), new ArrayList<>());
        while (batch.arrivals().size() < Intake.MAX_AT_ONCE) {
            AdifRecord record = log.next();
            if (record == null) {
                break;
            }
            LocalDate day = RadioCompletion.day(record.fields());
            LocalDate from = tryout.options().from();
            if (from != null && day != null && day.isBefore(from)) {
                read++;
                counts.merge(Decision.LEFT_OUT, 1, Integer::sum);
                continue;
            }
            batch.arrivals().add(Arrivals.of(record, log.rawRecord(), tryout.name(), clock.instant()));
            batch.lines().add(log.line());
        }
        return batch;
    }

    private void count(Batch batch, List<Outcome> outcomes) {
        for (int i = 0; i < outcomes.size(); i++) {
            read++;
            Outcome outcome = outcomes.get(i);
            AdifFields fields = batch.arrivals().get(i).fields();
            counts.merge(outcome.decision(), 1, Integer::sum);
            if (outcome.decision() == Decision.REFUSED) {
                if (troubles.size() < MAX_TROUBLES) {
                    troubles.add(new Tryout.TriedTrouble(read, batch.lines().get(i), outcome.sentence()));
                }
                continue;
            }
            notice(fields);
            List<Tryout.TriedRecord> some = samples.computeIfAbsent(outcome.decision(), d -> new ArrayList<>());
            if (some.size() < MAX_SAMPLES) {
                some.add(sample(fields, outcome));
            }
        }
    }

    private void notice(AdifFields fields) {
        LocalDate day = RadioCompletion.day(fields);
        if (day != null) {
            firstDay = firstDay == null || day.isBefore(firstDay) ? day : firstDay;
            lastDay = lastDay == null || day.isAfter(lastDay) ? day : lastDay;
        }
        ConfirmationMarks.of(fields).stream()
                .filter(mark -> mark.kind() == ConfirmationMarks.Kind.CONFIRMED)
                .forEach(mark -> confirmedBy.merge(mark.origin(), 1, Integer::sum));
        String own = fields.get("STATION_CALLSIGN");
        if (own != null && (ownCalls.size() < MAX_CALLS || ownCalls.containsKey(own))) {
            ownCalls.merge(own.strip().toUpperCase(Locale.ROOT), 1, Integer::sum);
        }
    }

    private Tryout.TriedRecord sample(AdifFields fields, Outcome outcome) {
        String date = fields.get("QSO_DATE");
        String time = fields.get("TIME_ON");
        String band = fields.get("BAND");
        String mode = fields.get("MODE");
        return new Tryout.TriedRecord(
                read,
                String.valueOf(fields.get("CALL")),
                date == null ? null : date + (time == null ? "" : " " + time),
                band == null ? String.valueOf(fields.get("FREQ")) : band,
                mode == null ? "" : mode,
                outcome.decision().name());
    }

    private Tryout.TryoutPicture picture(
            Tryout.State state, CountedInput in, @Nullable Long changeId, @Nullable String sentence) {
        double seconds = (System.nanoTime() - began) / 1e9;
        boolean ended = state != Tryout.State.READING && state != Tryout.State.IMPORTING;
        int percent = tryout.bytes() == 0 ? 100 : (int) Math.min(100, in.count() * 100 / tryout.bytes());
        return new Tryout.TryoutPicture(
                state,
                ended && state != Tryout.State.CANCELLED ? 100 : percent,
                ended ? 0 : (int) (read / Math.max(seconds, 1e-3)),
                counts(),
                new TreeMap<>(ownCalls),
                new TreeMap<>(confirmedBy),
                someSamples(),
                List.copyOf(troubles),
                changeId,
                sentence);
    }

    private Tryout.TriedCounts counts() {
        return new Tryout.TriedCounts(
                read,
                counts.getOrDefault(Decision.ADDED, 0),
                counts.getOrDefault(Decision.MERGED, 0),
                counts.getOrDefault(Decision.DUPLICATE, 0),
                counts.getOrDefault(Decision.LEFT_OUT, 0),
                counts.getOrDefault(Decision.REFUSED, 0),
                firstDay,
                lastDay);
    }

    /** Some of each kind, the new ones first. */
    private List<Tryout.TriedRecord> someSamples() {
        List<Tryout.TriedRecord> some = new ArrayList<>();
        for (Decision decision : Decision.values()) {
            List<Tryout.TriedRecord> ofKind = samples.getOrDefault(decision, List.of());
            some.addAll(ofKind.subList(
                    0, Math.min(ofKind.size(), decision == Decision.ADDED ? MAX_SAMPLES : MAX_SAMPLES / WAYS)));
        }
        return some;
    }

    /** Knows how many bytes of the file were read, for the progress. */
    private static final class CountedInput extends InputStream {
        private final InputStream in;
        private long count;

        CountedInput(InputStream in) {
            this.in = in;
        }

        long count() {
            return count;
        }

        @Override
        public int read() throws IOException {
            int b = in.read();
            count += b < 0 ? 0 : 1;
            return b;
        }

        @Override
        public int read(byte[] bytes, int offset, int length) throws IOException {
            int got = in.read(bytes, offset, length);
            count += Math.max(0, got);
            return got;
        }

        @Override
        public void close() throws IOException {
            in.close();
        }
    }
}
