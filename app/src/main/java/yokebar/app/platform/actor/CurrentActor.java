package yokebar.app.platform.actor;

import java.util.Optional;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;

/** Who asks for what is being done in this thread. */
@Component
public class CurrentActor {
    private static final String ATTRIBUTE = "yokebar.actor";

    /**
     * Names the actor of the request of this thread.
     *
     * @param actor asked only when something is done that keeps who did it
     */
    public void is(Supplier<Optional<Actor>> actor) {
        RequestContextHolder.currentRequestAttributes().setAttribute(ATTRIBUTE, actor, RequestAttributes.SCOPE_REQUEST);
    }

    /** In words; null outside a request, and for programs that do not say at which position they are. */
    public @Nullable String words() {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        Object actor = request == null ? null : request.getAttribute(ATTRIBUTE, RequestAttributes.SCOPE_REQUEST);
        return actor instanceof Supplier<?> known && known.get() instanceof Optional<?> found
                ? found.map(Actor.class::cast).map(Actor::words).orElse(null)
                : null;
    }
}
