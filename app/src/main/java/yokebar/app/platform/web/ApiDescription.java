package yokebar.app.platform.web;

import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.lang.reflect.RecordComponent;
import java.util.Iterator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Makes the description at {@code /api/docs} say what the records say: what is not nullable is always there. */
@Configuration(proxyBeanMethods = false)
class ApiDescription {

    @Bean
    OpenAPI title() {
        return new OpenAPI()
                .info(new Info().title("Yokebar").version("1").description("The station's log and its couplings."))
                // The address it was asked at would make the description differ from machine to machine.
                .servers(List.of(new Server().url("/")));
    }

    @Bean
    ModelConverter requiredUnlessNullable() {
        return new RequiredUnlessNullable();
    }

    private static final class RequiredUnlessNullable implements ModelConverter {

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
            return ref == null ? schema : context.getDefinedModels().get(ref.substring(ref.lastIndexOf('/') + 1));
        }
    }
}
