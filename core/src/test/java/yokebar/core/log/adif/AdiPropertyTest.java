package yokebar.core.log.adif;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.time.Instant;
import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

class AdiPropertyTest {

    @Property(tries = 500)
    void whatIsWrittenIsReadBack(@ForAll("records") List<AdifFields> records) throws IOException {
        StringBuilder text = new StringBuilder();
        AdiWriter writer = new AdiWriter(text);
        writer.header(Instant.parse("2026-05-01T12:00:00Z"));
        for (AdifFields fields : records) {
            writer.record(fields);
        }
        AdiReader reader = AdiReader.of(text.toString());
        for (AdifFields fields : records) {
            AdifRecord read = reader.next();
            assertThat(read).isNotNull();
            assertThat(read.fault()).isNull();
            assertThat(read.fields()).isEqualTo(fields);
        }
        assertThat(reader.next()).isNull();
    }

    @Property(tries = 2000)
    void noBytesMakeItFail(@ForAll byte[] bytes) throws IOException {
        drain(bytes);
    }

    @Property(tries = 2000)
    void noTagSoupMakesItFail(@ForAll("soup") String text) throws IOException {
        drain(text.getBytes(java.nio.charset.StandardCharsets.UTF_8));
    }

    private static void drain(byte[] bytes) throws IOException {
        AdiReader reader = new AdiReader(new ByteArrayInputStream(bytes));
        int records = 0;
        while (reader.next() != null) {
            assertThat(reader.line()).isPositive();
            assertThat(++records).isLessThanOrEqualTo(bytes.length + 1);
        }
    }

    @Provide
    Arbitrary<List<AdifFields>> records() {
        Arbitrary<String> names =
                Arbitraries.of("CALL", "BAND", "NAME", "APP_YOKEBAR_X", "MY_RIG", "NOTES", "USERDEF9");
        Arbitrary<String> values = Arbitraries.strings()
                .withCharRange(' ', '~')
                .withChars('\n', 'é', 'ß', '語', '<', '>', ':')
                .ofMinLength(1)
                .ofMaxLength(60)
                .filter(v -> !v.isBlank());
        Arbitrary<AdifFields> fields = Combinators.combine(names, values)
                .as(List::of)
                .list()
                .ofMinSize(1)
                .ofMaxSize(8)
                .map(pairs -> {
                    AdifFields.Builder builder = new AdifFields.Builder();
                    pairs.forEach(pair -> builder.put(pair.get(0), pair.get(1)));
                    return builder.build();
                });
        return fields.list().ofMaxSize(6);
    }

    @Provide
    Arbitrary<String> soup() {
        return Arbitraries.of(
                        "<", ">", ":", "CALL", "<CALL:6>", "ZP5QXA", "<EOR>", "<eoh>", "9", "é", "\n", "<X:999>", " ")
                .list()
                .ofMaxSize(40)
                .map(parts -> String.join("", parts));
    }
}
