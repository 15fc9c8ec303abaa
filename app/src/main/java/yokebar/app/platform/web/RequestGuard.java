package yokebar.app.platform.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;

/**
 * Turns away requests that a page of another site makes in the operator's browser: such a page could otherwise read the log,
 * import, edit or tune in the operator's name. Programs and scripts send no {@code Origin} and are not concerned. Every answer
 * says what a browser may do with it.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class RequestGuard extends OncePerRequestFilter {
    /** Styles are set by the interface's own code; scripts come from files of ours alone. */
    private static final String CONTENT_POLICY =
            "default-src 'none'; script-src 'self'; style-src 'self' 'unsafe-inline'; "
                    + "img-src 'self' data: blob:; font-src 'self'; connect-src 'self'; manifest-src 'self'; media-src 'self' data:; "
                    + "worker-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final AllowedHosts hosts;

    RequestGuard(AllowedHosts hosts) {
        this.hosts = hosts;
    }

    @Override
    protected boolean shouldNotFilterAsyncDispatch() {
        return true;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        response.setHeader("Content-Security-Policy", CONTENT_POLICY);
        response.setHeader("X-Content-Type-Options", "nosniff");
        response.setHeader("X-Frame-Options", "DENY");
        response.setHeader("Referrer-Policy", "no-referrer");
        response.setHeader("Cross-Origin-Resource-Policy", "same-origin");
        response.setHeader("Cross-Origin-Opener-Policy", "same-origin");
        String problem = problem(request);
        if (problem == null) {
            chain.doFilter(request, response);
        } else {
            refuse(response, problem);
        }
    }

    private @Nullable String problem(HttpServletRequest request) {
        String host = request.getHeader("Host");
        if (!hosts.allows(host)) {
            return "Yokebar does not answer under this name. Open it as http://127.0.0.1, or add the name to "
                    + "YOKEBAR_ALLOWED_HOSTS and start it again.";
        }
        String origin = request.getHeader("Origin");
        if (origin != null && !isOwn(origin, String.valueOf(host))) {
            return "Requests that a page of another site makes are not accepted.";
        }
        boolean crossSite = "cross-site".equals(request.getHeader("Sec-Fetch-Site"));
        if (crossSite && request.getRequestURI().startsWith("/api")) {
            return "Requests that a page of another site makes are not accepted.";
        }
        return null;
    }

    private boolean isOwn(String origin, String host) {
        try {
            String authority = URI.create(origin).getAuthority();
            return authority != null && hosts.allows(authority) && authority.equalsIgnoreCase(host);
        } catch (IllegalArgumentException e) {
            return false;
        }
    }

    /** A plain sentence, for whoever looks at it. */
    static void refuse(HttpServletResponse response, int status, String sentence) throws IOException {
        response.setStatus(status);
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(HttpStatusCode.valueOf(status), sentence);
        problem.setTitle("Not accepted");
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        response.getWriter().write(JSON.writeValueAsString(problem));
    }

    private static void refuse(HttpServletResponse response, String sentence) throws IOException {
        refuse(response, HttpServletResponse.SC_FORBIDDEN, sentence);
    }
}
