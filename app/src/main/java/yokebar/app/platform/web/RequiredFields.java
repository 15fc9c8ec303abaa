package yokebar.app.platform.web;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;
import yokebar.app.platform.rejection.Rejection;

/** Refuses what was sent without something that is not nullable, as {@link ApiDescription} describes it. */
@RestControllerAdvice
class RequiredFields extends RequestBodyAdviceAdapter {

    @Override
    public boolean supports(
            MethodParameter parameter, Type type, Class<? extends HttpMessageConverter<?>> converterType) {
        return true;
    }

    @Override
    public Object afterBodyRead(
            Object body,
            HttpInputMessage message,
            MethodParameter parameter,
            Type type,
            Class<? extends HttpMessageConverter<?>> converterType) {
        List<Rejection.Field> missing = new ArrayList<>();
        look(body, "", missing);
        if (!missing.isEmpty()) {
            throw new Rejection(missing);
        }
        return body;
    }

    private static void look(@Nullable Object value, String name, List<Rejection.Field> missing) {
        if (value instanceof Collection<?> many) {
            many.forEach(one -> lookAt(one, name, missing));
        } else if (value instanceof Record record) {
            for (RecordComponent component : record.getClass().getRecordComponents()) {
                Object part = part(record, component);
                if (part != null || !component.getAnnotatedType().isAnnotationPresent(Nullable.class)) {
                    lookAt(part, component.getName(), missing);
                }
            }
        }
    }

    private static void lookAt(@Nullable Object value, String name, List<Rejection.Field> missing) {
        if (value == null) {
            missing.add(new Rejection.Field(name, "\"" + name + "\" is missing."));
        } else {
            look(value, name, missing);
        }
    }

    private static @Nullable Object part(Record record, RecordComponent component) {
        try {
            component.getAccessor().setAccessible(true);
            return component.getAccessor().invoke(record);
        } catch (IllegalAccessException | InvocationTargetException e) {
            throw new IllegalStateException("a record that cannot be read: " + record.getClass(), e);
        }
    }
}
