package yokebar.app.platform.live;

import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverters;
import io.swagger.v3.core.converter.ResolvedSchema;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Puts the messages of the event stream into the description of the API, as the schema {@code LiveMessages}. */
@Configuration(proxyBeanMethods = false)
class LiveDescription {

    @Bean
    OpenApiCustomizer liveMessages(List<LiveTopic> topics) {
        return api -> {
            Schema<?> all = new ObjectSchema()
                    .description(
                            "Messages of the event stream at /api/live: the event's name, and the content of its data.");
            sorted(topics).forEach(message -> {
                ResolvedSchema resolved = ModelConverters.getInstance(true)
                        .resolveAsResolvedSchema(new AnnotatedType(message.payload()).resolveAsRef(true));
                resolved.referencedSchemas.forEach(
                        (name, schema) -> api.getComponents().getSchemas().putIfAbsent(name, schema));
                if (resolved.schema.getDescription() == null) {
                    resolved.schema.setDescription("content of the message " + message.name());
                }
                all.addProperty(message.name(), resolved.schema);
                all.addRequiredItem(message.name());
            });
            api.getComponents().addSchemas("LiveMessages", all);
        };
    }

    /** @throws IllegalStateException when two features use one name */
    private static List<LiveMessage<?>> sorted(List<LiveTopic> topics) {
        List<LiveMessage<?>> messages = topics.stream()
                .flatMap(topic -> topic.messages().stream())
                .sorted(Comparator.comparing(LiveMessage::name))
                .toList();
        Stream<String> names = messages.stream().map(LiveMessage::name);
        if (names.distinct().count() < messages.size()) {
            throw new IllegalStateException("two features send live messages of one name: " + messages);
        }
        return messages;
    }
}
