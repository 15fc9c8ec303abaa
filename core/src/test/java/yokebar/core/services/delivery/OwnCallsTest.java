package yokebar.core.services.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static yokebar.core.log.contact.Contacts.contact;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yokebar.core.basics.call.Call;

class OwnCallsTest {
    private static final OwnCalls OURS = new OwnCalls(List.of(
            new OwnCalls.OwnCall(new Call("CU9QYB"), null, null),
            new OwnCalls.OwnCall(new Call("CU9QLZ"), LocalDate.of(2026, 4, 27), LocalDate.of(2026, 5, 3)),
            new OwnCalls.OwnCall(new Call("CT3QAB"), LocalDate.of(2026, 6, 1), null)));

    @ParameterizedTest
    @CsvSource({
        "CU9QYB, 20260501, ",
        "CU9QYB/P, 20260501, ",
        "OZ/CU9QYB, 20260501, ",
        "CU9QLZ, 20260427, ",
        "CU9QLZ, 20260503, ",
        "CU9QLZ, 20260504, it is valid from 2026-04-27 to 2026-05-03",
        "CU9QLZ, 20260426, was not yours to use on 2026-04-26",
        "CT3QAB, 20260501, it is valid from 2026-06-01 on",
        "CU9QYC, 20260501, none of the station's calls",
    })
    void aContactIsMadeAsACallOfTheStationOnItsDay(String ownCall, String day, String why) {
        String sentence = OURS.check(contact("STATION_CALLSIGN", ownCall, "QSO_DATE", day))
                .map(hold -> HoldSentence.of(hold, "Countersign"))
                .orElse(null);
        if (why == null) {
            assertThat(sentence).isNull();
        } else {
            assertThat(sentence).contains(why);
        }
    }

    @Test
    void aStationWithoutACallHoldsNothing() {
        assertThat(new OwnCalls(List.of()).check(contact())).isEmpty();
    }
}
