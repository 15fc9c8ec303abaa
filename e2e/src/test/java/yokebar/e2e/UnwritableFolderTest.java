package yokebar.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A data folder that can no longer be written, or is gone, and comes back: said at once, and it goes on without a restart. */
class UnwritableFolderTest {
    @TempDir
    private Path folder;

    @Test
    void storingStopsWithASentenceAndGoesOnByItself() throws Exception {
        Path home = folder.resolve("yokebar");
        try (YokebarProcess yokebar = new YokebarProcess(home).asNobody().start()) {
            yokebar.put("api/station", "{\"ownCall\":\"CU9QYB\"}");
            assertThat(yokebar.importContacts(0, 3).path("added").asInt()).isEqualTo(3);

            Set<PosixFilePermission> before = Files.getPosixFilePermissions(home);
            Files.setPosixFilePermissions(home, PosixFilePermissions.fromString("r-xr-xr-x"));
            Until.itIs("unwritable", () -> health(yokebar) == 503);
            assertThat(yokebar.get("api/storage").path("sentence").asString()).contains("cannot be written");
            refuses(yokebar, 3);
            Files.setPosixFilePermissions(home, before);
            goesOn(yokebar, 3);

            Path away = Files.move(home, folder.resolve("away"));
            Until.itIs("gone", () -> health(yokebar) == 503);
            assertThat(yokebar.get("api/storage").path("sentence").asString()).contains("not there any more");
            refuses(yokebar, 6);
            Files.move(away, home);
            goesOn(yokebar, 6);
            assertThat(yokebar.get("api/contacts").path("total").asInt()).isEqualTo(9);
        }
    }

    private static void refuses(YokebarProcess yokebar, int from) {
        assertThatThrownBy(() -> yokebar.importContacts(from, from + 3))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("nothing can be stored");
    }

    private static void goesOn(YokebarProcess yokebar, int from) throws Exception {
        Until.itIs("healthy again", () -> health(yokebar) == 200);
        assertThat(yokebar.importContacts(from, from + 3).path("added").asInt()).isEqualTo(3);
    }

    private static int health(YokebarProcess yokebar) throws Exception {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(yokebar.address().resolve("actuator/health"))
                                .build(),
                        HttpResponse.BodyHandlers.discarding())
                .statusCode();
    }
}
