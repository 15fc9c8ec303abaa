package yokebar.app.platform.web;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.media.Schema;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.core.io.ClassPathResource;

/** Describes fields of the API that mean the same wherever they stand: {@code api-fields.properties} says it once for all. */
final class FieldMeanings implements OpenApiCustomizer {
    private static final String FILE = "api-fields.properties";

    private final Properties meanings = new Properties();
    private final Set<String> used = new TreeSet<>();

    FieldMeanings() {
        try (Reader in = new InputStreamReader(new ClassPathResource(FILE).getInputStream(), StandardCharsets.UTF_8)) {
            meanings.load(in);
        } catch (IOException e) {
            throw new UncheckedIOException(FILE + " cannot be read", e);
        }
    }

    @Override
    public synchronized void customise(OpenAPI api) {
        api.getComponents().getSchemas().forEach(this::describe);
    }

    private void describe(String type, Schema<?> schema) {
        Map<String, Schema> fields = schema.getProperties();
        if (fields != null) {
            fields.forEach((name, field) -> {
                if (field.getDescription() == null) {
                    field.setDescription(meaning(type, name));
                }
            });
        }
    }

    private @Nullable String meaning(String type, String field) {
        String key = meanings.containsKey(type + "." + field) ? type + "." + field : field;
        String meaning = meanings.getProperty(key);
        if (meaning != null) {
            used.add(key);
        }
        return meaning;
    }

    /** Those in the file that describe nothing. */
    synchronized Set<String> unused() {
        Set<String> unused = new TreeSet<>(meanings.stringPropertyNames());
        unused.removeAll(used);
        return unused;
    }
}
