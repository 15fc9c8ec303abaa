package yokebar.app.platform.configuration;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;

class YokebarPropertiesTest {
    @Test
    void aCommaTooManyNamesNothing() {
        YokebarProperties properties = new YokebarProperties(
                Path.of("home"),
                0,
                0,
                0,
                0,
                List.of(" /logs ", "", " "),
                List.of("", "shack.example"),
                List.of(),
                Path.of("/nowhere"),
                0);
        assertThat(properties.logFolders()).containsExactly("/logs");
        assertThat(properties.allowedHosts()).containsExactly("shack.example");
    }
}
