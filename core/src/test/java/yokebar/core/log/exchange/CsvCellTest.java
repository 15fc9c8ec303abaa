package yokebar.core.log.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CsvCellTest {
    @ParameterizedTest
    @ValueSource(strings = {"=1+1", "=cmd|'/c x'!A1", "+A1", "-A1", "@SUM(A1)", "\t=1", "\r=1", "-1+1", "--", "-"})
    void formulasBecomeText(String text) {
        assertThat(CsvCell.safe(text)).isEqualTo("'" + text);
    }

    @ParameterizedTest
    @ValueSource(strings = {"ZP5QXA", "-12", "+03", "599", "14.074", "a=b", "", " =1", "tu = 73"})
    void restStaysAsItIs(String text) {
        assertThat(CsvCell.safe(text)).isEqualTo(text);
    }

    @Test
    void noneIsNone() {
        assertThat(CsvCell.safe(null)).isNull();
    }
}
