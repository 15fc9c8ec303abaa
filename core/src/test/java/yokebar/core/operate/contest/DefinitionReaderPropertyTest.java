package yokebar.core.operate.contest;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.StringLength;

class DefinitionReaderPropertyTest {
    private static final List<String> TEXTS =
            List.copyOf(ShippedDefinitions.texts().values());

    /** A piece of a shipped definition is cut out and something else put in. */
    @Property(tries = 2_000)
    void aDamagedTextIsReadOrToldOf(
            @ForAll @IntRange(min = 0, max = 10) int which,
            @ForAll @IntRange(min = 0, max = 3_000) int at,
            @ForAll @IntRange(min = 0, max = 40) int length,
            @ForAll @StringLength(max = 8) String instead) {
        String text = TEXTS.get(which);
        int from = Math.min(at, text.length());
        String damaged = text.substring(0, from) + instead + text.substring(Math.min(from + length, text.length()));
        DefinitionReader.Result result = DefinitionReader.read(damaged);
        assertThat(result.definition() == null).isEqualTo(!result.problems().isEmpty());
        int lines = damaged.split("\r\n|[\r\n\u0085\u2028\u2029]", -1).length;
        assertThat(result.problems())
                .allSatisfy(problem -> assertThat(problem.line()).isBetween(1, lines));
    }
}
