package yokebar.app.platform.start;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.springframework.context.support.GenericApplicationContext;
import yokebar.app.platform.lifecycle.RestartAsked;

@Timeout(60)
class RestartsTest {
    private final Restarts restarts = new Restarts();
    private final AtomicInteger letGo = new AtomicInteger();
    private final CountDownLatch ending = new CountDownLatch(1);

    /** A run that takes its time to let go of what it has. */
    private GenericApplicationContext run(CountDownLatch mayEnd) {
        GenericApplicationContext context = new GenericApplicationContext();
        context.addApplicationListener(restarts);
        context.refresh();
        context.getDefaultListableBeanFactory().registerDisposableBean("log", () -> {
            ending.countDown();
            mayEnd.await();
            letGo.incrementAndGet();
        });
        return context;
    }

    @Test
    void theNextRunBeginsOnceTheLastHasLetGoOfEverything() throws Exception {
        CountDownLatch mayEnd = new CountDownLatch(1);
        GenericApplicationContext context = run(mayEnd);
        AtomicBoolean early = new AtomicBoolean();
        Future<Boolean> again = Executors.newSingleThreadExecutor().submit(() -> {
            boolean restart = restarts.startAgain();
            early.set(letGo.get() == 0);
            return restart;
        });
        context.publishEvent(new RestartAsked());
        ending.await();
        mayEnd.countDown();
        assertThat(again.get()).isTrue();
        assertThat(early).isFalse();
    }

    @Test
    void whoAsksTwiceGetsOneRestart() throws Exception {
        GenericApplicationContext first = run(new CountDownLatch(0));
        first.publishEvent(new RestartAsked());
        first.publishEvent(new RestartAsked());
        assertThat(restarts.startAgain()).isTrue();
        GenericApplicationContext second = run(new CountDownLatch(0));
        second.close();
        assertThat(restarts.startAgain()).as("the second run just ended").isFalse();
        assertThat(letGo).hasValue(2);
    }
}
