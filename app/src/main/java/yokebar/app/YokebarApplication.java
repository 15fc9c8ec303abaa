package yokebar.app;

import java.time.Clock;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;

/** What the application is made of. */
@SpringBootApplication
@ConfigurationPropertiesScan
@EnableScheduling
public class YokebarApplication {

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
