package yokebar.core.services.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class DeliveryTransitionsTest {
    /** One row a state, one column an event in the order of the enum; a dash where it cannot happen. */
    private static final String EVERY_PAIR =
            """
            state       ALLOW   HOLD HANDED      LISTED    REJECTED CONFIRMED DISPROVED BACK CONTENT     RESTORED RETRIED EXCLUDED  INCLUDED
            HELD        DUE     HELD HANDED_OVER -         -        CONFIRMED -         -    -           -        -       NOT_MEANT -
            DUE         DUE     HELD HANDED_OVER ACCEPTED  REFUSED  CONFIRMED -         -    -           -        -       NOT_MEANT -
            HANDED_OVER -       -    -           ACCEPTED  REFUSED  CONFIRMED -         DUE  HANDED_OVER -        -       -         -
            ACCEPTED    -       -    -           ACCEPTED  -        CONFIRMED -         DUE  CHANGED     -        -       -         -
            CONFIRMED   -       -    -           CONFIRMED -        CONFIRMED ACCEPTED  -    CHANGED     -        -       -         -
            REFUSED     DUE     HELD -           -         -        CONFIRMED -         -    -           -        DUE     NOT_MEANT -
            CHANGED     CHANGED HELD HANDED_OVER CHANGED   REFUSED  CONFIRMED -         -    CHANGED     ACCEPTED -       NOT_MEANT -
            NOT_MEANT   -       -    -           -         -        CONFIRMED -         -    -           -        -       -         DUE
            """;

    static Stream<Arguments> everyPair() {
        return EVERY_PAIR.lines().skip(1).flatMap(line -> {
            List<String> cells = Arrays.asList(line.trim().split("\\s+"));
            DeliveryState state = DeliveryState.valueOf(cells.get(0));
            return Arrays.stream(DeliveryEvent.values())
                    .map(event -> Arguments.of(state, event, cells.get(event.ordinal() + 1)));
        });
    }

    @ParameterizedTest(name = "{0} + {1} → {2}")
    @MethodSource("everyPair")
    void nextState(DeliveryState state, DeliveryEvent event, String expected) {
        assertThat(DeliveryTransitions.next(state, event).map(Enum::name).orElse("-"))
                .isEqualTo(expected);
    }

    @Test
    void theTableHoldsEveryPair() {
        assertThat(everyPair()).hasSize(DeliveryState.values().length * DeliveryEvent.values().length);
    }

    @Test
    void nothingIsAcceptedOrConfirmedWithoutProof() {
        for (DeliveryState state : DeliveryState.values()) {
            for (DeliveryEvent event : DeliveryEvent.values()) {
                DeliveryState next = DeliveryTransitions.next(state, event).orElse(state);
                if (next == DeliveryState.ACCEPTED && state != next && state != DeliveryState.CONFIRMED) {
                    // Edited and edited back, it is again what was accepted.
                    assertThat(event)
                            .isEqualTo(
                                    state == DeliveryState.CHANGED
                                            ? DeliveryEvent.CONTENT_RESTORED
                                            : DeliveryEvent.LISTED);
                }
                if (next == DeliveryState.CONFIRMED && state != next) {
                    assertThat(event).isEqualTo(DeliveryEvent.CONFIRMED);
                }
            }
        }
    }
}
