package yokebar.blank;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Nothing but the frameworks. */
@SpringBootApplication
public class BlankApplication {
    public static void main(String[] args) {
        SpringApplication.run(BlankApplication.class, args);
    }
}
