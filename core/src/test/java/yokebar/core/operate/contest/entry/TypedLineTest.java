package yokebar.core.operate.contest.entry;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TypedLineTest {
    private static final Instant BEFORE = Instant.parse("2026-10-24T23:50:00Z");

    @Test
    void callAndExchangeStandAlone() {
        TypedLine line = TypedLine.read("  zp5qxa  7 11 ", null);
        assertThat(line).isEqualTo(new TypedLine("zp5qxa 7 11", "", null, null, null));
    }

    @Test
    void aNoteStandsBehindTheSemicolonAndMayHoldAnything() {
        TypedLine line = TypedLine.read("zp5qxa 7 11; QSL direct; #9", null);
        assertThat(line.words()).isEqualTo("zp5qxa 7 11");
        assertThat(line.note()).isEqualTo("QSL direct; #9");
        assertThat(line.sentSerial()).isNull();
    }

    @Test
    void theSerialThatWasSentMayBeTyped() {
        TypedLine line = TypedLine.read("zp5qxa #27 7 11", null);
        assertThat(line.words()).isEqualTo("zp5qxa 7 11");
        assertThat(line.sentSerial()).isEqualTo(27);
        assertThat(TypedLine.read("zp5qxa #0", null).problem()).contains("they begin with 1");
    }

    @Test
    void aTimeIsNoneWhereContactsAreMadeNow() {
        TypedLine line = TypedLine.read("1432 zp5qxa", null);
        assertThat(line.at()).isNull();
        assertThat(line.words()).isEqualTo("1432 zp5qxa");
    }

    @ParameterizedTest
    @CsvSource({
        "2352 zp5qxa 7, 2026-10-24T23:52:00Z",
        "23:52 zp5qxa 7, 2026-10-24T23:52:00Z",
        "2352z zp5qxa 7, 2026-10-24T23:52:00Z",
        "52 zp5qxa 7, 2026-10-24T23:52:00Z",
        // Across midnight.
        "0003 zp5qxa 7, 2026-10-25T00:03:00Z",
        "03 zp5qxa 7, 2026-10-25T00:03:00Z",
        // The same minute, and no time at all.
        "50 zp5qxa 7, 2026-10-24T23:50:00Z",
        "zp5qxa 7, 2026-10-24T23:50:00Z",
        // Written down late.
        "2340 zp5qxa 7, 2026-10-24T23:40:00Z",
        "1150 zp5qxa 7, 2026-10-24T11:50:00Z",
        "1149 zp5qxa 7, 2026-10-25T11:49:00Z",
    })
    void theTimeIsTheNearestToTheOneBefore(String typed, Instant at) {
        TypedLine line = TypedLine.read(typed, BEFORE);
        assertThat(line.at()).isEqualTo(at);
        assertThat(line.words()).isEqualTo("zp5qxa 7");
        assertThat(line.problem()).isNull();
    }

    @ParameterizedTest
    @CsvSource({"2475 zp5qxa", "2400 zp5qxa", "60 zp5qxa", "99:99 zp5qxa"})
    void whatIsNoTimeIsNamed(String typed) {
        assertThat(TypedLine.read(typed, BEFORE).problem())
                .contains("is no time")
                .contains(typed.split(" ")[0]);
    }

    @Property
    void nothingThatIsTypedFails(@ForAll String typed) {
        TypedLine line = TypedLine.read(typed, BEFORE);
        assertThat(line.at() != null || line.problem() != null).isTrue();
        TypedLine.read(typed, null);
    }
}
