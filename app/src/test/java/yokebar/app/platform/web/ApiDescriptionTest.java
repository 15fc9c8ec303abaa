package yokebar.app.platform.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;

class ApiDescriptionTest extends AppTest {
    @Autowired
    private SchemaNames names;

    @Autowired
    private FieldMeanings meanings;

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
    void eachTypeHasANameOfItsOwn() throws Exception {
        get("/api/docs");
        assertThat(names.size()).isGreaterThan(150);
        assertThat(names.clashes()).isEmpty();
    }

    @Test
    void twoTypesOfOneNameAreFound() {
        SchemaNames planted = new SchemaNames();
        planted.add("Entry", java.util.Map.Entry.class);
        planted.add("Entry", java.util.AbstractMap.SimpleEntry.class);
        planted.add("Map", java.util.Map.class);
        assertThat(planted.clashes()).containsOnlyKeys("Entry");
    }

    @Test
    void everyOperationHasANameThatReadsAndASummary() throws Exception {
        List<String> ids = new ArrayList<>();
        List<String> silent = new ArrayList<>();
        get("/api/docs")
                .path("paths")
                .forEach(path -> path.forEach(operation -> {
                    ids.add(operation.path("operationId").asString());
                    if (operation.path("summary").asString("").isBlank()
                            && operation.path("description").asString("").isBlank()) {
                        silent.add(operation.path("operationId").asString());
                    }
                }));
        assertThat(ids).hasSizeGreaterThan(150).doesNotHaveDuplicates().allMatch(id -> id.matches("[a-zA-Z]+"));
        assertThat(silent).isEmpty();
    }

    @Test
    void everyFieldSaysWhatItMeans() throws Exception {
        List<String> silent = new ArrayList<>();
        JsonNode types = get("/api/docs").path("components").path("schemas");
        types.propertyNames().forEach(type -> types.path(type).path("properties").properties().stream()
                .filter(field ->
                        field.getValue().path("description").asString("").isBlank())
                .forEach(field -> silent.add(type + "." + field.getKey())));
        assertThat(silent).isEmpty();
        assertThat(meanings.unused()).as("meanings of fields there are not").isEmpty();
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
