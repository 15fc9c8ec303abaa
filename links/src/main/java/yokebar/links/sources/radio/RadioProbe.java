package yokebar.links.sources.radio;

import java.io.ByteArrayOutputStream;
import java.util.List;
import java.util.Optional;
import yokebar.core.sources.radio.RadioReport;
import yokebar.links.sources.search.Probe;

/** Asks whether a radio of one dialect is there. */
public final class RadioProbe implements Probe {
    private static final RadioDialects.Options ANYBODY = new RadioDialects.Options(0, 100);

    private final RadioDialects.Entry entry;
    private final RadioDialect dialect;
    private final byte[] question;

    public RadioProbe(RadioDialects.Entry entry) {
        this.entry = entry;
        this.dialect = entry.make().apply(ANYBODY);
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        // Each by itself would take its time; what makes no sense to the device it leaves out.
        dialect.quickQuestions().stream()
                .filter(asked -> asked.insteadOf() == null)
                .forEach(asked -> all.writeBytes(asked.bytes()));
        this.question = all.toByteArray();
    }

    @Override
    public String words() {
        return "a radio that speaks " + entry.words();
    }

    @Override
    public List<Integer> bauds() {
        return entry.bauds();
    }

    @Override
    public byte[] question() {
        return question.clone();
    }

    /** Only a frequency proves it: shorter answers may be chance. */
    @Override
    public Optional<Answer> listen(byte[] bytes, int length) {
        boolean[] frequency = new boolean[1];
        dialect.listen(bytes, length, new RadioDialect.Hearing() {
            @Override
            public void report(RadioReport report) {
                frequency[0] |= report instanceof RadioReport.Frequency;
            }

            @Override
            public void answered(String key, boolean readable) {
                // what it said is what counts
            }

            @Override
            public void taken() {
                // no sign of a frequency
            }

            @Override
            public void refused() {
                // no sign of a frequency
            }
        });
        return frequency[0] ? Optional.of(new Answer(entry.id(), dialect.answeredFrom())) : Optional.empty();
    }
}
