package yokebar.app.platform.storage;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Set;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** While nothing can be stored, requests that would store something are refused with the reason; all others are served. */
@Configuration(proxyBeanMethods = false)
class StorageGuard implements WebMvcConfigurer, HandlerInterceptor {
    private static final Set<String> CHANGES = Set.of("POST", "PUT", "PATCH", "DELETE");

    private final Storage storage;

    StorageGuard(Storage storage) {
        this.storage = storage;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        boolean stores = CHANGES.contains(request.getMethod())
                && handler instanceof HandlerMethod method
                && !method.hasMethodAnnotation(StoresNothing.class);
        if (stores) {
            storage.require();
        }
        return true;
    }
}
