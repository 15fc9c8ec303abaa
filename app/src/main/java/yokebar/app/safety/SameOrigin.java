package yokebar.app.safety;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Turns away requests that a page of another site makes in the operator's browser: such a page could otherwise import, edit
 * or hand over in the operator's name. Programs and scripts send no {@code Origin} and are not concerned.
 */
@Component
class SameOrigin extends OncePerRequestFilter {

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String origin = request.getHeader("Origin");
        if (origin != null && !sameAuthority(origin, request.getHeader("Host"))) {
            response.sendError(HttpServletResponse.SC_FORBIDDEN, "Requests from other sites are not taken.");
            return;
        }
        chain.doFilter(request, response);
    }

    private static boolean sameAuthority(String origin, String host) {
        try {
            return host != null && host.equalsIgnoreCase(URI.create(origin).getAuthority());
        } catch (IllegalArgumentException e) {
            return false;
        }
    }
}
