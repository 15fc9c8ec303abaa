package yokebar.core.operate.need;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import yokebar.core.log.tally.ContactCredits;
import yokebar.core.log.tally.CreditKind;
import yokebar.core.log.tally.Proofs;
import yokebar.core.log.tally.WorkedBefore;

class NewOnesTest {
    private final WorkedBefore before = new WorkedBefore();

    private static ContactCredits credits(
            String call, String band, String group, @Nullable String state, boolean confirmed) {
        return credits(confirmed ? Proofs.by(1) : Proofs.NONE, call, band, group, "291", "5", state, "FN42");
    }

    private static ContactCredits credits(Proofs proofs, @Nullable String... values) {
        return ContactCredits.of(Arrays.copyOf(values, ContactCredits.FIELDS.size()), 0, proofs);
    }

    private List<String> brings(String call, String band, String group, @Nullable String state) {
        return NewOnes.of(before, credits(call, band, group, state, false), "United States", Set.of());
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
    void anotherBandAndModeOfAnEntity() {
        before.add(List.of(credits("K1QAA", "20m", "CW", null, false)));
        assertEquals(
                List.of(
                        "United States for the first time on 40m",
                        "United States for the first time in phone",
                        "state MA for the first time"),
                brings("K1QAB", "40m", "PHONE", "MA"));
    }

    @Test
    void nothingNewBringsNothing() {
        before.add(List.of(credits("K1QAA", "20m", "CW", "MA", true)));
        assertEquals(List.of(), brings("K1QAB", "20m", "CW", "MA"));
        assertEquals(List.of("prefix W1 for the first time"), brings("W1QAB", "20m", "CW", "MA"));
    }

    @Test
    void whatAGoalSaysIsNotSaidAgain() {
        assertEquals(
                List.of("zone 5 for the first time", "prefix K1 for the first time"),
                NewOnes.of(
                        before,
                        credits("K1QAA", "20m", "CW", "MA", false),
                        "United States",
                        Set.of(CreditKind.ENTITY, CreditKind.STATE, CreditKind.SQUARE)));
    }

    @Test
    void aStateOfOneCountryIsNotThatOfAnother() {
        before.add(List.of(credits("K1QAA", "20m", "CW", "WA", true)));
        ContactCredits australia = credits(Proofs.NONE, "VK6QAA", "20m", "CW", "150", "29", "WA", null);
        assertEquals(
                List.of(
                        "Australia for the first time",
                        "zone 29 for the first time",
                        "state WA for the first time",
                        "prefix VK6 for the first time"),
                NewOnes.of(before, australia, "Australia", Set.of()));
    }
}
