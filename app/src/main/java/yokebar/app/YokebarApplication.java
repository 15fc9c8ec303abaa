package yokebar.app;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;
import yokebar.app.safety.DataFolder;

/** Starts Yokebar. */
@SpringBootApplication
@ConfigurationPropertiesScan
@EnableScheduling
public class YokebarApplication {

    public static void main(String[] args) throws InterruptedException {
        Restarts restarts = new Restarts();
        do {
            SpringApplication application = new SpringApplication(YokebarApplication.class);
            application.addInitializers(DataFolder::claim);
            application.addListeners(restarts);
            application.run(args);
        } while (restarts.startAgain());
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
