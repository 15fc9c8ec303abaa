package yokebar.app;

import java.util.concurrent.CountDownLatch;
import org.springframework.context.ApplicationEvent;
import org.springframework.context.ApplicationListener;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.PayloadApplicationEvent;
import org.springframework.context.event.ContextClosedEvent;

/** Ends the running application when a restart is asked for, and tells whether to start it again. */
final class Restarts implements ApplicationListener<ApplicationEvent> {
    private volatile boolean asked;
    private volatile CountDownLatch ended = new CountDownLatch(1);
    private volatile ConfigurableApplicationContext running;

    void watch(ConfigurableApplicationContext context) {
        running = context;
    }

    @Override
    public void onApplicationEvent(ApplicationEvent event) {
        if (event instanceof PayloadApplicationEvent<?> told && told.getPayload() instanceof RestartAsked) {
            asked = true;
            // Whoever asked still gets the answer: the server ends only when its requests have.
            new Thread(running::close, "restart").start();
        } else if (event instanceof ContextClosedEvent closed && closed.getApplicationContext() == running) {
            ended.countDown();
        }
    }

    /** Waits for the end of the running application; true when it is to start again. */
    boolean startAgain() throws InterruptedException {
        ended.await();
        boolean again = asked;
        asked = false;
        ended = new CountDownLatch(1);
        return again;
    }
}
