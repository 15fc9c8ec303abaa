package yokebar.core.log.tally;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.mode.ModeGroup;

class ScopeTest {
    private static final Scope HOME_THIS_YEAR = new Scope(
            Set.of("CU9QYB", "CU9QLZ"),
            Set.of("hm49", "HM58aa"),
            LocalDate.parse("2026-01-01"),
            LocalDate.parse("2026-12-31"),
            Set.of(Band.M20),
            Set.of(ModeGroup.CW));

    @ParameterizedTest
    @CsvSource({
        "CU9QYB, HM49kq, 2026-01-01, true",
        "CU9QLZ, hm58AA, 2026-12-31, true",
        "CU9QYC, HM49kq, 2026-05-01, false",
        "CU9QYB, HM58ab, 2026-05-01, false",
        "CU9QYB, HM49kq, 2025-12-31, false",
        "CU9QYB, HM49kq, 2027-01-01, false",
        ", HM49kq, 2026-05-01, false",
        "CU9QYB, , 2026-05-01, false",
        "CU9QYB, HM49kq, , false",
    })
    void coversByCallPlaceAndDay(
            @Nullable String call, @Nullable String locator, @Nullable LocalDate day, boolean covered) {
        ContactOrigin origin = new ContactOrigin(call, locator, day);
        assertThat(HOME_THIS_YEAR.covers(origin)).isEqualTo(covered);
        assertThat(Scope.WHOLE_LOG.covers(origin)).isTrue();
    }

    @Test
    void coversByBandAndMode() {
        assertThat(HOME_THIS_YEAR.covers(Band.M20, ModeGroup.CW)).isTrue();
        assertThat(HOME_THIS_YEAR.covers(Band.M40, ModeGroup.CW)).isFalse();
        assertThat(HOME_THIS_YEAR.covers(Band.M20, ModeGroup.PHONE)).isFalse();
        assertThat(HOME_THIS_YEAR.covers(Band.M20, null)).as("it may be CW").isTrue();
    }

    @Test
    void saysWhatItAsks() {
        assertThat(HOME_THIS_YEAR.words())
                .isEqualTo("with CU9QLZ or CU9QYB from HM49 or HM58AA since 2026-01-01 until 2026-12-31");
        assertThat(Scope.WHOLE_LOG.words()).isEmpty();
    }
}
