package yokebar.core.operate.contest;

import static org.assertj.core.api.Assertions.assertThat;
import static yokebar.core.operate.contest.ContestMode.CW;
import static yokebar.core.operate.contest.ContestMode.DIGITAL;
import static yokebar.core.operate.contest.ContestMode.PHONE;
import static yokebar.core.operate.contest.ContestMode.RTTY;

import java.util.Set;
import org.junit.jupiter.api.Test;
import yokebar.core.basics.mode.Mode;

class ContestModeTest {
    private static final Mode LSB = new Mode("SSB", "LSB");
    private static final Mode DATA = new Mode("DATA", null);
    private static final Mode TELETYPE = new Mode("RTTY", null);

    @Test
    void aSidebandIsRadioteletypeInAContestWithoutPhone() {
        assertThat(ContestMode.meant(LSB, Set.of(RTTY), false)).isEqualTo(TELETYPE);
        assertThat(ContestMode.meant(LSB, Set.of(RTTY, CW), false)).isEqualTo(TELETYPE);
        assertThat(ContestMode.meant(LSB, Set.of(RTTY, PHONE), true)).isEqualTo(LSB);
        assertThat(ContestMode.meant(LSB, Set.of(CW), true)).isEqualTo(LSB);
    }

    @Test
    void aModeForDataIsRadioteletypeWhereDecodersRunOrNothingElseIsMeant() {
        assertThat(ContestMode.meant(DATA, Set.of(RTTY, DIGITAL), true)).isEqualTo(TELETYPE);
        assertThat(ContestMode.meant(DATA, Set.of(RTTY, DIGITAL), false)).isEqualTo(DATA);
        assertThat(ContestMode.meant(DATA, Set.of(RTTY, PHONE), false)).isEqualTo(TELETYPE);
        assertThat(ContestMode.meant(DATA, Set.of(DIGITAL), true)).isEqualTo(DATA);
        assertThat(ContestMode.meant(null, Set.of(RTTY), false)).isEqualTo(TELETYPE);
        assertThat(ContestMode.meant(null, Set.of(DIGITAL), true)).isNull();
    }

    @Test
    void theKeyIsTheKey() {
        Mode key = new Mode("CW", null);
        assertThat(ContestMode.meant(key, Set.of(RTTY), true)).isEqualTo(key);
    }
}
