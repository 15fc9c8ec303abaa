package yokebar.core.services.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class HoldTest {

    @ParameterizedTest
    @EnumSource(Eligibility.Rule.class)
    void eachRuleHasASentenceForOneContactAndForMany(Eligibility.Rule rule) {
        Hold many = Hold.by(rule).of(rule.name().startsWith("RELAYED") ? "RPT" : "CU9QYB");
        assertThat(HoldSentence.of(many, "Countersign")).endsWith(".").doesNotContain("  ", "null");
        assertThat(HoldSentence.of(many.saying("2026-05-01"), "Countersign")).endsWith(".");
        assertThat(HoldSentence.of(Hold.by(rule), "Countersign")).endsWith(".");
        assertThat(rule.remedies()).isNotEmpty();
    }

    @ParameterizedTest
    @CsvSource({"FIELD_MISSING, RST_SENT, FIELD_MISSING RST_SENT", "MODE_NOT_TAKEN, FM C4FM, MODE_NOT_TAKEN FM C4FM"})
    void itsKeyNamesTheReason(Eligibility.Rule rule, String subject, String key) {
        Hold hold = Hold.by(rule).of(subject);
        assertThat(hold.saying("14:07").key()).isEqualTo(key);
        assertThat(Hold.ofKey(key)).isEqualTo(hold);
        assertThat(Hold.ofKey(rule.name())).isEqualTo(Hold.by(rule));
    }

    @Test
    void aKeyThatNamesNoRuleIsNone() {
        assertThatThrownBy(() -> Hold.ofKey("NOTHING RST_SENT")).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void whatIsTooLongIsCut() {
        Hold hold = Hold.by(Eligibility.Rule.NO_IDENTITY).of("x".repeat(90)).saying("y".repeat(500));
        assertThat(hold.subject()).hasSize(Hold.MAX_SUBJECT).endsWith("…");
        assertThat(hold.detail()).hasSize(Hold.MAX_DETAIL).endsWith("…");
    }
}
