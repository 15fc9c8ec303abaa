package yokebar.app.services.delivery.handover;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class HandoverRequestsTest {
    private static final int COUNTERSIGN = 1;

    private final HandoverRequests requests = new HandoverRequests();

    @Test
    void whoeverAsksForWhatWasToGoAutomaticallyIsNamed() {
        requests.ask(COUNTERSIGN, Integer.MAX_VALUE, 5, null);
        requests.ask(COUNTERSIGN, 1, 5, "Branca Teles at Desk");
        assertThat(requests.first(COUNTERSIGN))
                .extracting(HandoverRequests.Request::askedBy)
                .isEqualTo("Branca Teles at Desk");
        requests.ask(COUNTERSIGN, Integer.MAX_VALUE, 5, null);
        assertThat(requests.first(COUNTERSIGN))
                .extracting(HandoverRequests.Request::askedBy)
                .as("it being time as well changes nothing")
                .isEqualTo("Branca Teles at Desk");
    }
}
