package yokebar.app.platform.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;

class ApiDescriptionTest extends AppTest {
    private static final Path DESCRIPTION = Path.of("../web/openapi.json");

    /**
     * The front end's types are generated from the file. When this fails: start Yokebar, {@code curl /api/docs | jq -S . >
     * web/openapi.json}.
     */
    @Test
    void theDescriptionTheTypesAreMadeFromIsTheOneServed() throws Exception {
        JsonNode written = JSON.readTree(Files.readString(DESCRIPTION));
        assertThat(get("/api/docs")).isEqualTo(written);
        assertThat(get("/api/docs")).as("asked a second time").isEqualTo(written);
    }

    @Test
    void faultsAreProblemDetails() throws Exception {
        var answer = sendJson("PUT", "/api/station", java.util.Map.of("ownCall", "!!"));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.headers().firstValue("Content-Type")).contains("application/problem+json");
        JsonNode problem = JSON.readTree(answer.body());
        assertThat(problem.path("fields").get(0).path("field").asString()).isEqualTo("ownCall");
        assertThat(problem.path("detail").asString()).contains("!!").contains("cannot be a call");
    }
}
