package yokebar.app.platform.live;

import java.lang.reflect.Type;
import java.util.List;
import org.springframework.core.ResolvableType;

/**
 * One kind of message of the event stream, such as {@code radio}. The description of the API lists it with its payload, and the
 * page takes its types from there.
 *
 * @param name unique over all features, lower case with hyphens
 * @param payload the type of its content
 * @param <T> the same type for the compiler
 */
public record LiveMessage<T>(String name, Type payload) {

    /** A message whose content is one object. */
    public static <T> LiveMessage<T> of(String name, Class<T> payload) {
        return new LiveMessage<>(name, payload);
    }

    /** A message whose content is a list. */
    public static <T> LiveMessage<List<T>> listOf(String name, Class<T> element) {
        return new LiveMessage<>(
                name, ResolvableType.forClassWithGenerics(List.class, element).getType());
    }

    /** A message without content: the page reads by itself what it needs. */
    public static LiveMessage<Signal> signal(String name) {
        return new LiveMessage<>(name, Signal.class);
    }

    /** No content. */
    public record Signal() {}
}
