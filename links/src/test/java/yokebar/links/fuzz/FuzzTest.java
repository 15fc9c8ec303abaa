package yokebar.links.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.HexFormat;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Replays what the fuzz found worth keeping: whole, and a byte at a time. Run the fuzz itself with {@link Fuzz}. */
class FuzzTest {

    static Stream<FuzzTarget> targets() {
        return FuzzTarget.all().stream();
    }

    @ParameterizedTest
    @MethodSource("targets")
    void theCorpusHurtsNobody(FuzzTarget target) throws Exception {
        List<byte[]> corpus = corpus(target.name());
        assertThat(corpus).hasSizeGreaterThan(5);
        FuzzTarget.Ear whole = target.ear().get();
        FuzzTarget.Ear piecemeal = target.ear().get();
        for (byte[] input : corpus) {
            assertThat(whole.hear(input, input.length)).isNotNull();
            for (byte b : input) {
                assertThat(piecemeal.hear(new byte[] {b}, 1)).isNotNull();
            }
        }
        // After all that a proper sentence is understood as ever.
        byte[] sentence = target.seeds().get(0);
        String fresh = target.ear().get().hear(sentence, sentence.length);
        whole.hear(sentence, sentence.length);
        assertThat(whole.hear(sentence, sentence.length)).isEqualTo(fresh);
    }

    private static List<byte[]> corpus(String name) throws Exception {
        try (InputStream in = FuzzTest.class.getResourceAsStream(name + ".hex")) {
            assertThat(in).as("corpus of " + name).isNotNull();
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .map(HexFormat.of()::parseHex)
                    .toList();
        }
    }
}
