package yokebar.app.station.position;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import yokebar.app.platform.actor.CurrentActor;

/** Finds out who asks, by the header in which a page says at which position it is. */
@Configuration
class ActorOfRequest implements WebMvcConfigurer, HandlerInterceptor {
    /** The id of a position. */
    static final String HEADER = "Yokebar-Position";

    private final Positions positions;
    private final CurrentActor actor;

    ActorOfRequest(Positions positions, CurrentActor actor) {
        this.positions = positions;
        this.actor = actor;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).addPathPatterns("/api/**");
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        String id = request.getHeader(HEADER);
        if (id != null && id.matches("\\d{1,18}")) {
            long positionId = Long.parseLong(id);
            actor.is(() -> positions.actorAt(positionId));
        }
        return true;
    }
}
