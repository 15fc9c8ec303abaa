package yokebar.core.operate.contest;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Objects;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The published schema and the reader agree on what a definition is. */
class DefinitionSchemaTest {
    private static final Path DOCS = Path.of("..", "docs");
    private JsonSchema schema;

    @BeforeEach
    void readSchema() throws IOException {
        schema = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                .getSchema(Files.readString(DOCS.resolve("contest-definitions.schema.json")));
    }

    private boolean valid(String definition) {
        return schema.validate(definition, InputFormat.YAML).isEmpty();
    }

    @Test
    void theShippedDefinitionsMatchIt() {
        assertThat(ShippedDefinitions.texts())
                .allSatisfy((name, text) -> assertThat(schema.validate(text, InputFormat.YAML))
                        .as(name)
                        .isEmpty());
    }

    @Test
    void theExampleOfTheDocsIsRight() throws IOException {
        String page = Files.readString(DOCS.resolve("contest-definitions.md"));
        String example = page.substring(page.indexOf("```yaml") + "```yaml".length(), page.lastIndexOf("```"));
        assertThat(DefinitionReader.read(example).problems()).isEmpty();
        assertThat(valid(example)).isTrue();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "colour: red",
                "bonuses: {name: host}",
                "score: {multiply by: two}",
                "counts: same",
                "work again: {every: [band]}",
                "multipliers: [{name: zones}]",
                "limits: {moving: {contacts: 2}}",
                "limits: {operating time: {most hours: 400, break minutes: 30}}",
                "categories: [{name: operator}]"
            })
    void whatOneRefusesTheOtherRefuses(String line) {
        String text = Objects.requireNonNull(ShippedDefinitions.texts().get("wednesday-hour"));
        String field = line.substring(0, line.indexOf(':'));
        String without = text.replaceAll("(?m)^" + field + ":.*\\n(  .*\\n)*", "");
        assertThat(valid(without)).isTrue();
        assertThat(DefinitionReader.read(without).problems()).isEmpty();
        String wrong = without + line + "\n";
        assertThat(valid(wrong)).isFalse();
        assertThat(DefinitionReader.read(wrong).problems()).isNotEmpty();
    }
}
