package yokebar.core.operate.need;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

class NewOnesTest {
    private final WorkedBefore before = new WorkedBefore();

    private static Facts facts(String call, String band, String group, @Nullable String state, boolean confirmed) {
        return Facts.of(
                new String[] {call, band, group, "291", "5", state, "FN42"}, confirmed ? Proofs.by(1) : Proofs.NONE);
    }

    private List<String> brings(String call, String band, String group, @Nullable String state) {
        return NewOnes.of(before, facts(call, band, group, state, false), "United States");
    }

    @Test
    void theFirstOfEverythingIsTheGreatest() {
        assertEquals(
                List.of(
                        "United States for the first time",
                        "zone 5 for the first time",
                        "state MA for the first time",
                        "square FN42 for the first time",
                        "prefix K1 for the first time"),
                brings("K1QAA", "20m", "CW", "MA"));
    }

    @Test
    void anotherBandAndModeOfAnEntityThatNobodyConfirmed() {
        before.add(List.of(facts("K1QAA", "20m", "CW", null, false)));
        assertEquals(
                List.of(
                        "United States for the first time on 40m",
                        "United States for the first time in phone",
                        "United States is worked, but nobody confirmed it yet",
                        "state MA for the first time"),
                brings("K1QAB", "40m", "PHONE", "MA"));
    }

    @Test
    void nothingNewBringsNothing() {
        before.add(List.of(facts("K1QAA", "20m", "CW", "MA", true)));
        assertEquals(List.of(), brings("K1QAB", "20m", "CW", "MA"));
        assertEquals(List.of("prefix W1 for the first time"), brings("W1QAB", "20m", "CW", "MA"));
    }

    @Test
    void aStateOfOneCountryIsNotThatOfAnother() {
        before.add(List.of(facts("K1QAA", "20m", "CW", "WA", true)));
        Facts australia = Facts.of(new String[] {"VK6QAA", "20m", "CW", "150", "29", "WA", null}, Proofs.NONE);
        assertEquals(
                List.of(
                        "Australia for the first time",
                        "zone 29 for the first time",
                        "state WA for the first time",
                        "prefix VK6 for the first time"),
                NewOnes.of(before, australia, "Australia"));
    }
}
