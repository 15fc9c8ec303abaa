package yokebar.app.safety;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import java.util.regex.Pattern;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** While nothing can be stored, requests that would store something are refused with the reason; all others are served. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
class StorageGuard extends OncePerRequestFilter {
    private static final Set<String> CHANGES = Set.of("POST", "PUT", "PATCH", "DELETE");
    /** Radio, rotator and what only reads: they store nothing. */
    private static final Pattern STORES_NOTHING = Pattern.compile(
            "/api/(onair/look|onair/choices/preview|onair/spots/[^/]+/go|changes/preview|radios/\\d+/tune|rotors/\\d+/(point|stop)|line/(read|tune)|hookups/[^/]+/(test|connect|disconnect)"
                    + "|services/\\d+/test|callbook/find)");

    private final Storage storage;

    StorageGuard(Storage storage) {
        this.storage = storage;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Storage.StorageState now = storage.state();
        boolean stores = CHANGES.contains(request.getMethod())
                && !STORES_NOTHING.matcher(request.getRequestURI()).matches();
        if (stores && !now.stores()) {
            RequestGuard.refuse(response, 507, String.valueOf(now.sentence()));
        } else {
            chain.doFilter(request, response);
        }
    }
}
