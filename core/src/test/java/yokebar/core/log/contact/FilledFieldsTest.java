package yokebar.core.log.contact;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import yokebar.core.log.adif.AdifFields;

class FilledFieldsTest {
    private static final AdifFields LOGGED = AdifFields.of("CALL", "ZP5QXA", "NAME", "Ana");

    @Test
    void whatWasFilledInIsMarkedAndTakenOutAgain() {
        AdifFields all = FilledFields.add(LOGGED, AdifFields.of("DXCC", "132", "CQZ", "11"));
        assertThat(all.get("DXCC")).isEqualTo("132");
        assertThat(all.get(FilledFields.NAMES)).isEqualTo("DXCC,CQZ");
        assertThat(FilledFields.strip(all)).isEqualTo(LOGGED);
    }

    @Test
    void aRecordOfOthersStaysAsItIs() {
        AdifFields theirs = LOGGED.with("DXCC", "132");
        assertThat(FilledFields.strip(theirs)).isSameAs(theirs);
        assertThat(FilledFields.add(theirs, AdifFields.EMPTY)).isSameAs(theirs);
        assertThat(FilledFields.strip(LOGGED.with(FilledFields.NAMES, "DXCC,DXCC,,")))
                .isEqualTo(LOGGED);
    }
}
