package yokebar.app.sources.hookup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.clearInvocations;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;

import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import yokebar.app.sources.hookup.ServiceCoupling.Purpose;
import yokebar.links.fake.MovingClock;
import yokebar.links.platform.status.LinkState;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;

/** What the calls to a service make of the state its coupling shows. */
class ServiceCouplingTest {
    private final Hookups hookups = mock(Hookups.class);
    private final MovingClock clock = new MovingClock();
    private final Instant noon = clock.instant();
    private final Lighthouse lighthouse = new Lighthouse();

    /** A service that is asked whatever a test asks. */
    private final class Lighthouse extends ServiceCoupling {
        private boolean complete = true;

        Lighthouse() {
            super("lighthouse", Kind.SERVICE, "Lighthouse", hookups, clock);
        }

        @Override
        public boolean complete() {
            return complete;
        }

        @Override
        public String where() {
            return "http://127.0.0.1/";
        }

        @Override
        public Proof test() {
            return new Proof(true, "It shines.");
        }

        void handOver() throws ServiceRefused, ServiceUnreachable {
            during(Purpose.HAND_OVER, () -> "taken");
        }

        void handOverForbidden() {
            ServiceRefused no = new ServiceRefused(
                    ServiceRefused.About.PERMISSION, "does not allow it", "The certificate has ended.", "Renew it.");
            assertThatThrownBy(() -> during(Purpose.HAND_OVER, () -> {
                        throw no;
                    }))
                    .isSameAs(no);
        }

        void unreachable() {
            ServiceUnreachable no = new ServiceUnreachable("cannot be reached", "It cannot be reached.", "Wait.", null);
            assertThatThrownBy(() -> during(Purpose.READ, () -> {
                        throw no;
                    }))
                    .isSameAs(no);
        }

        void refused(ServiceRefused.About about) {
            ServiceRefused no = new ServiceRefused(about, "refuses it", "It does not want that.", "Change it.");
            assertThatThrownBy(() -> during(Purpose.READ, () -> {
                        throw no;
                    }))
                    .isSameAs(no);
        }

        void ask() throws ServiceRefused, ServiceUnreachable {
            assertThat(this.<String>during(Purpose.READ, () -> "an answer")).isEqualTo("an answer");
        }
    }

    @BeforeEach
    void connect() {
        lighthouse.connect();
        clearInvocations(hookups);
    }

    private String reason() {
        return lighthouse.status().reason();
    }

    @Test
    void itStartsWhenAllIsThereAndIsOffWhenTakenAway() {
        assertThat(lighthouse.status().state()).isEqualTo(LinkState.STARTING);
        assertThat(lighthouse.ready(Purpose.READ)).isTrue();
        lighthouse.disconnect();
        assertThat(lighthouse.status().state()).isEqualTo(LinkState.OFF);
        assertThat(lighthouse.ready(Purpose.READ)).isFalse();
        lighthouse.complete = false;
        lighthouse.connect();
        assertThat(lighthouse.status().state()).isEqualTo(LinkState.OFF);
    }

    @Test
    void anAnswerMakesItLiveAndIsNewsOnce() throws Exception {
        lighthouse.ask();
        assertThat(lighthouse.status().state()).isEqualTo(LinkState.LIVE);
        verify(hookups).changed("lighthouse");
        clearInvocations(hookups);
        clock.pass(Duration.ofMinutes(1));
        lighthouse.ask();
        verify(hookups, never()).changed(any());
        assertThat(lighthouse.status().since()).isEqualTo(noon);
        assertThat(lighthouse.status().lastData()).isEqualTo(noon.plusSeconds(60));
    }

    @Test
    void thePausesGrowUntilThereIsAnAnswer() throws Exception {
        lighthouse.unreachable();
        Instant first = lighthouse.status().nextAttempt();
        assertThat(lighthouse.ready(Purpose.READ)).isFalse();
        lighthouse.unreachable();
        assertThat(lighthouse.status().attempt()).isEqualTo(2);
        assertThat(lighthouse.status().nextAttempt()).isAfter(first);
        assertThat(lighthouse.status().since()).isEqualTo(noon);
        for (int i = 0; i < 20; i++) {
            lighthouse.unreachable();
        }
        assertThat(lighthouse.status().nextAttempt()).isBefore(noon.plus(Duration.ofMinutes(13)));
        lighthouse.ask();
        lighthouse.unreachable();
        assertThat(lighthouse.status().attempt()).isEqualTo(1);
    }

    @Test
    void whatAlwaysFailsHoldsUpNothingElse() {
        lighthouse.unreachable();
        assertThat(lighthouse.ready(Purpose.READ)).isFalse();
        assertThat(lighthouse.ready(Purpose.HAND_OVER)).isTrue();
        assertThat(lighthouse.ready(Purpose.FOLLOW_UP)).isTrue();
        lighthouse.handOverForbidden();
        assertThat(lighthouse.ready(Purpose.HAND_OVER)).isFalse();
        assertThat(lighthouse.ready(Purpose.FOLLOW_UP)).isTrue();
    }

    @Test
    void aRefusedAccountIsTriedByNobody() {
        lighthouse.refused(ServiceRefused.About.ACCOUNT);
        assertThat(Purpose.values()).noneMatch(lighthouse::ready);
        clock.pass(Duration.ofMinutes(16));
        assertThat(Purpose.values()).allMatch(lighthouse::ready);
    }

    @Test
    void whoIsInAHurryDoesNotWaitForThePause() {
        lighthouse.refused(ServiceRefused.About.ACCOUNT);
        assertThat(lighthouse.ready(Purpose.READ)).isFalse();
        lighthouse.hurry();
        assertThat(lighthouse.ready(Purpose.READ)).isTrue();
        assertThat(reason()).isEqualTo("It does not want that.");
        clock.pass(Duration.ofMinutes(20));
        assertThat(lighthouse.ready(Purpose.READ)).isTrue();
    }

    @Test
    void contentThatIsNotWantedIsNoTroubleOfTheService() throws Exception {
        lighthouse.ask();
        lighthouse.refused(ServiceRefused.About.CONTENT);
        assertThat(lighthouse.status().state()).isEqualTo(LinkState.LIVE);
    }

    @Test
    void thatHandingOverIsForbiddenStaysWhateverElseIsAnswered() throws Exception {
        lighthouse.handOverForbidden();
        lighthouse.ask();
        assertThat(reason()).isEqualTo("The certificate has ended.");
        lighthouse.unreachable();
        assertThat(reason()).isEqualTo("It cannot be reached.");
        lighthouse.ask();
        assertThat(reason()).isEqualTo("The certificate has ended.");
        lighthouse.hurry();
        lighthouse.ask();
        assertThat(lighthouse.ready(Purpose.READ))
                .as("the hurry is not forgotten")
                .isTrue();
        lighthouse.handOver();
        assertThat(lighthouse.status().state()).isEqualTo(LinkState.LIVE);
        lighthouse.ask();
        assertThat(lighthouse.status().state()).isEqualTo(LinkState.LIVE);
    }

    @Test
    void whatWasAskedBeforeItBeganAnewSaysNothingOfIt() {
        connect();
        ServiceRefused no = new ServiceRefused(
                ServiceRefused.About.ACCOUNT, "refuses it", "It does not know the former account.", "Change it.");
        assertThatThrownBy(() -> lighthouse.during(Purpose.READ, () -> {
                    connect();
                    throw no;
                }))
                .isSameAs(no);
        assertThat(lighthouse.status().state()).isEqualTo(LinkState.STARTING);
        assertThat(lighthouse.ready(Purpose.HAND_OVER)).isTrue();
    }

    @Test
    void itIsInDoubtWhileNothingElseWillTell() throws Exception {
        assertThat(lighthouse.inDoubt()).as("not asked yet").isTrue();
        lighthouse.ask();
        assertThat(lighthouse.inDoubt()).as("it works").isFalse();
        lighthouse.unreachable();
        assertThat(lighthouse.inDoubt()).as("tried again after a pause").isFalse();
        clock.pass(Duration.ofMinutes(1));
        assertThat(lighthouse.inDoubt()).as("nobody tried again").isTrue();
        lighthouse.ask();
        lighthouse.handOverForbidden();
        clock.pass(Duration.ofHours(1));
        assertThat(lighthouse.inDoubt()).as("forbidden").isFalse();
        lighthouse.disconnect();
        assertThat(lighthouse.inDoubt()).as("off").isFalse();
    }

    @Test
    void askingDoesNotSwitchItOn() throws Exception {
        connect();
        lighthouse.disconnect();
        lighthouse.ask();
        lighthouse.unreachable();
        assertThat(lighthouse.status().state()).isEqualTo(LinkState.OFF);
        assertThat(lighthouse.ready(Purpose.HAND_OVER)).isFalse();
    }

    @Test
    void newSettingsBeginAnew() throws Exception {
        lighthouse.handOverForbidden();
        lighthouse.connect();
        assertThat(lighthouse.status().state()).isEqualTo(LinkState.STARTING);
        lighthouse.ask();
        assertThat(lighthouse.status().state()).isEqualTo(LinkState.LIVE);
    }

    @Test
    void whoWaitsForAnAnswerCanBeLetGoOfAndIsNotInterruptedAfterwards() throws Exception {
        CountDownLatch asked = new CountDownLatch(1);
        AtomicReference<Object> outcome = new AtomicReference<>();
        Thread asking = new Thread(() -> {
            try {
                lighthouse.during(Purpose.READ, () -> {
                    asked.countDown();
                    try {
                        new CountDownLatch(1).await();
                    } catch (InterruptedException e) {
                        Thread.currentThread().interrupt();
                        throw new ServiceUnreachable("not waited for", "It was not waited for.", "Wait.", e);
                    }
                    return "never";
                });
            } catch (ServiceRefused | ServiceUnreachable e) {
                outcome.set(e);
            }
            outcome.compareAndSet(null, "nothing");
            assertThat(Thread.currentThread().isInterrupted()).isFalse();
        });
        asking.start();
        asked.await();
        lighthouse.giveUpWaiting();
        asking.join(20_000);
        assertThat(asking.isAlive()).isFalse();
        assertThat(outcome.get()).isInstanceOf(ServiceUnreachable.class);
        lighthouse.giveUpWaiting();
    }
}
