package yokebar.app.platform.start;

import java.io.IOException;
import java.nio.file.Path;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import yokebar.app.YokebarApplication;
import yokebar.app.platform.storage.DataFolder;
import yokebar.app.station.backup.DamagedLog;
import yokebar.app.station.backup.DamagedLogPage;

/** Starts Yokebar. */
public final class Main {
    private Main() {}

    public static void main(String[] args) throws InterruptedException, IOException {
        Restarts restarts = new Restarts();
        do {
            start(args, restarts);
        } while (restarts.startAgain());
    }

    /** When the log cannot be opened, a page of its own asks how to go on, and Yokebar is started again. */
    private static void start(String[] args, Restarts restarts) throws InterruptedException, IOException {
        while (true) {
            restarts.begin();
            Where where = new Where();
            SpringApplication application = new SpringApplication(YokebarApplication.class);
            application.addInitializers(where::take, DataFolder::claim);
            application.addListeners(restarts);
            try {
                application.run(args);
                return;
            } catch (RuntimeException e) {
                if (!DamagedLog.causes(e)) {
                    throw e;
                }
                try (DamagedLogPage page = new DamagedLogPage(where.home, where.port, e)) {
                    System.out.println(page.words());
                    page.await();
                }
            }
        }
    }

    /** Where the log is and where Yokebar would listen. */
    private static final class Where {
        private Path home = Path.of(".");
        private int port;

        void take(ConfigurableApplicationContext context) {
            home = Path.of(context.getEnvironment().getRequiredProperty("yokebar.home"));
            port = context.getEnvironment().getProperty("server.port", Integer.class, 0);
        }
    }
}
