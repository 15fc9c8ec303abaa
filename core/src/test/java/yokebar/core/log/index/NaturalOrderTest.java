package yokebar.core.log.index;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NaturalOrderTest {

    @Test
    void numbersByTheirValueThenWords() {
        List<String> texts = Arrays.asList("9A1QAA", "ana", "20m", "100", "5", "2m", "-12", "+03", "Bo", "1.25m");
        texts.sort(NaturalOrder.COMPARATOR);
        assertEquals(List.of("-12", "1.25m", "2m", "+03", "5", "20m", "100", "9A1QAA", "ana", "Bo"), texts);
    }

    @ParameterizedTest
    @CsvSource({"100, 100", "5W, 5", "0.5, 0.5", "-12, -12", "+03, 3", "20m, 20"})
    void readsNumbers(String text, double number) {
        assertEquals(number, NaturalOrder.number(text));
    }

    @ParameterizedTest
    @CsvSource({"ana", "''", "+", "9A1QAA", "1.2.3", "FN42", "5 W"})
    void whatIsNoNumberIsBeyondAll(String text) {
        assertEquals(Double.POSITIVE_INFINITY, NaturalOrder.number(text));
    }
}
