package yokebar.bench;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import yokebar.core.log.adif.AdiReader;
import yokebar.core.log.adif.AdiScanner;
import yokebar.core.log.adif.AdifRecord;
import yokebar.core.log.contact.ContactAdif;
import yokebar.core.log.contact.Reading;

/** Reading ADI text: as fields, and as typed contacts. One operation reads the whole sample. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 25)
@Measurement(iterations = 40)
public class AdiBenchmark {
    static final int CONTACTS = 100_000;

    private byte[] adi = new byte[0];

    @Setup
    public void makeText() {
        adi = SampleLog.adi(CONTACTS);
    }

    @Benchmark
    public long fields() throws IOException {
        AdiScanner scanner = new AdiScanner(new ByteArrayInputStream(adi));
        long sum = 0;
        for (AdiScanner.Token token = scanner.next(); token != AdiScanner.Token.END_OF_TEXT; token = scanner.next()) {
            if (token == AdiScanner.Token.FIELD) {
                sum += scanner.name().length() + scanner.valueBytes();
            } else {
                scanner.startRecord();
            }
        }
        return sum;
    }

    @Benchmark
    public int contacts() throws IOException {
        AdiReader reader = new AdiReader(new ByteArrayInputStream(adi));
        int readable = 0;
        for (AdifRecord record = reader.next(); record != null; record = reader.next()) {
            readable += ContactAdif.read(record.fields(), null) instanceof Reading.Readable ? 1 : 0;
        }
        if (readable != CONTACTS) {
            throw new IllegalStateException(readable + " of " + CONTACTS + " contacts could be read");
        }
        return readable;
    }
}
