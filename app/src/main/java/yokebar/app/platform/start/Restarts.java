package yokebar.app.platform.start;

import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicBoolean;
import org.springframework.context.ApplicationEvent;
import org.springframework.context.ApplicationListener;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.PayloadApplicationEvent;
import org.springframework.context.event.ContextClosedEvent;
import yokebar.app.platform.lifecycle.RestartAsked;

/** Ends the running application when a restart is asked for, and tells whether to start it again. */
final class Restarts implements ApplicationListener<ApplicationEvent> {
    private final AtomicBoolean requested = new AtomicBoolean();
    private volatile CountDownLatch ended = new CountDownLatch(1);

    @Override
    public void onApplicationEvent(ApplicationEvent event) {
        if (event instanceof PayloadApplicationEvent<?> message && message.getPayload() instanceof RestartAsked) {
            ConfigurableApplicationContext running = (ConfigurableApplicationContext) message.getSource();
            if (requested.compareAndSet(false, true)) {
                // Whoever asked still gets the answer: the server ends only when its requests have.
                new Thread(() -> end(running), "restart").start();
            }
        } else if (event instanceof ContextClosedEvent && !requested.get()) {
            ended.countDown();
        }
    }

    /** That a context closes is told before it has let go of the log, and the next run must find the log free. */
    private void end(ConfigurableApplicationContext running) {
        try {
            running.close();
        } finally {
            ended.countDown();
        }
    }

    /** A run begins; how the one before ended is of no matter any more. */
    void begin() {
        ended = new CountDownLatch(1);
    }

    /** Waits for the end of the running application; true when it is to start again. */
    boolean startAgain() throws InterruptedException {
        ended.await();
        return requested.getAndSet(false);
    }
}
