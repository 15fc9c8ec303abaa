package yokebar.app.platform.web;

import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.IntegerSchema;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.responses.ApiResponse;
import io.swagger.v3.oas.models.servers.Server;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.lang.reflect.RecordComponent;
import java.util.Iterator;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.commons.lang3.StringUtils;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.OperationCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.MediaType;
import tools.jackson.databind.json.JsonMapper;

/** Makes the description at {@code /api/docs} say what the records say: what is not nullable is always there. */
@Configuration(proxyBeanMethods = false)
class ApiDescription {
    private static final Pattern INLINE_TAG = Pattern.compile("\\{@(?:code|link) #?([^}]*)}");

    @Bean
    OpenAPI title() {
        return new OpenAPI()
                .info(new Info().title("Yokebar").version("1").description("The station's log and its couplings."))
                // The address it was asked at would make the description differ from machine to machine.
                .servers(List.of(new Server().url("/")));
    }

    @Bean
    SchemaNames schemaNames() {
        return new SchemaNames();
    }

    @Bean
    ModelConverter requiredUnlessNullable(SchemaNames names) {
        return new RequiredUnlessNullable(names);
    }

    /** Operations are named after what they do to what, and each may answer with a problem. */
    @Bean
    OperationCustomizer readableOperations() {
        return (operation, method) -> {
            String of = StringUtils.removeEnd(method.getBeanType().getSimpleName(), "Controller");
            String does = method.getMethod().getName();
            operation.setOperationId(StringUtils.uncapitalize(of) + StringUtils.capitalize(does));
            operation.setTags(List.of(of));
            if (StringUtils.isBlank(operation.getSummary())) {
                String said = javadocOf(method.getBeanType(), does);
                operation.summary(said).description(said);
            }
            operation
                    .getResponses()
                    .addApiResponse(
                            "default",
                            new ApiResponse()
                                    .description("It was not done; the detail says why, in a sentence.")
                                    .content(new Content()
                                            .addMediaType(
                                                    MediaType.APPLICATION_PROBLEM_JSON_VALUE,
                                                    new io.swagger.v3.oas.models.media.MediaType()
                                                            .schema(new Schema<>()
                                                                    .$ref("#/components/schemas/ProblemDetail")))));
            return operation;
        };
    }

    /**
     * What Javadoc says of a method, from the file that is written beside its class when it is compiled. The reader that comes
     * with it does not find every method.
     */
    private static String javadocOf(Class<?> controller, String method) {
        try (InputStream in = controller.getResourceAsStream(controller.getSimpleName() + "__Javadoc.json")) {
            return in == null
                    ? ""
                    : JsonMapper.shared()
                            .readTree(in)
                            .path("methods")
                            .valueStream()
                            .filter(documented ->
                                    documented.path("name").asString().equals(method))
                            .map(documented -> INLINE_TAG
                                    .matcher(documented.path("doc").asString())
                                    .replaceAll("$1"))
                            .map(doc -> doc.split("\\s@(?:param|return|throws)")[0].strip())
                            .findFirst()
                            .orElse("");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** RFC 9457, with the fields to blame. */
    @Bean
    OpenApiCustomizer problems() {
        Schema<?> field = new ObjectSchema()
                .addProperty("field", new StringSchema().description("name of the field as the API knows it"))
                .addProperty("sentence", new StringSchema().description("what is wrong and what would be right"));
        Schema<?> problem = new ObjectSchema()
                .description("Why something was not done (RFC 9457)")
                .addProperty("title", new StringSchema())
                .addProperty("status", new IntegerSchema().description("the HTTP status"))
                .addProperty("detail", new StringSchema().description("what is wrong and what would be right"))
                .addProperty("fields", new ArraySchema().items(field).description("the fields to blame, if any"));
        return api -> api.getComponents().addSchemas("ProblemDetail", problem);
    }

    /** Customizers are asked in the order of their beans; this one stands last, for it looks at what the others add. */
    @Bean
    FieldMeanings fieldMeanings() {
        return new FieldMeanings();
    }

    private static final class RequiredUnlessNullable implements ModelConverter {
        private final SchemaNames names;

        RequiredUnlessNullable(SchemaNames names) {
            this.names = names;
        }

        @Override
        public @Nullable Schema<?> resolve(
                AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
            if (!chain.hasNext()) {
                return null;
            }
            Schema<?> resolved = chain.next().resolve(type, context, chain);
            JavaType javaType = Json.mapper().constructType(type.getType());
            if (resolved == null || javaType == null || !javaType.getRawClass().isRecord()) {
                return resolved;
            }
            if (resolved.get$ref() != null) {
                names.add(nameOf(resolved.get$ref()), javaType.getRawClass());
            }
            Schema<?> schema = definition(resolved, context);
            if (schema != null && schema.getProperties() != null) {
                for (RecordComponent component : javaType.getRawClass().getRecordComponents()) {
                    boolean nullable = component.getAnnotatedType().isAnnotationPresent(Nullable.class);
                    boolean listed =
                            schema.getRequired() != null && schema.getRequired().contains(component.getName());
                    if (!nullable && !listed && schema.getProperties().containsKey(component.getName())) {
                        schema.addRequiredItem(component.getName());
                    }
                }
            }
            return resolved;
        }

        private static @Nullable Schema<?> definition(Schema<?> schema, ModelConverterContext context) {
            String ref = schema.get$ref();
            return ref == null ? schema : context.getDefinedModels().get(nameOf(ref));
        }

        private static String nameOf(String ref) {
            return ref.substring(ref.lastIndexOf('/') + 1);
        }
    }
}
