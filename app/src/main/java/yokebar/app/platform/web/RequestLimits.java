package yokebar.app.platform.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Bounds what one client can make the application hold: requests under way, the size of a body, and how long it takes to send
 * one. Uploads of files have limits of their own, so that slow ones never keep the others out.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class RequestLimits extends OncePerRequestFilter {
    static final int MAX_UNDER_WAY = 48;
    static final int MAX_UPLOADS = 6;
    static final long MAX_BODY_BYTES = 8L << 20;
    private static final long BODY_WITHIN_NANOS = Duration.ofSeconds(30).toNanos();
    private static final int TOO_MANY = 429;
    private static final int TOO_LARGE = 413;

    private final Map<String, Integer> underWay = new ConcurrentHashMap<>();

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String type = request.getContentType();
        boolean upload = type != null && type.startsWith("multipart/");
        if (!upload && request.getContentLengthLong() > MAX_BODY_BYTES) {
            RequestGuard.refuse(
                    response,
                    TOO_LARGE,
                    "This request is longer than " + (MAX_BODY_BYTES >> 20) + " MB; send less at once.");
            return;
        }
        String client = request.getRemoteAddr() + (upload ? " uploads" : "");
        int now = underWay.merge(client, 1, Integer::sum);
        try {
            if (now > (upload ? MAX_UPLOADS : MAX_UNDER_WAY)) {
                RequestGuard.refuse(
                        response,
                        TOO_MANY,
                        upload
                                ? MAX_UPLOADS
                                        + " uploads from your computer are under way already. Wait for one to end."
                                : "Too many requests from your computer are under way. Wait a moment.");
                return;
            }
            chain.doFilter(upload ? request : new Bounded(request), response);
        } finally {
            underWay.computeIfPresent(client, (who, count) -> count <= 1 ? null : count - 1);
        }
    }

    /** A body that ends with an error when it is too long or comes too slowly. */
    private static final class Bounded extends HttpServletRequestWrapper {
        private @Nullable ServletInputStream body;

        Bounded(HttpServletRequest request) {
            super(request);
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            ServletInputStream open = body;
            if (open == null) {
                open = new BoundedBody(super.getInputStream());
                body = open;
            }
            return open;
        }

        @Override
        public BufferedReader getReader() throws IOException {
            return new BufferedReader(new InputStreamReader(getInputStream(), StandardCharsets.UTF_8));
        }
    }

    private static final class BoundedBody extends ServletInputStream {
        private final ServletInputStream body;
        private final long until = System.nanoTime() + BODY_WITHIN_NANOS;
        private long bytes;

        BoundedBody(ServletInputStream body) {
            this.body = body;
        }

        @Override
        public int read() throws IOException {
            int one = body.read();
            count(one < 0 ? 0 : 1);
            return one;
        }

        @Override
        public int read(byte[] into, int from, int length) throws IOException {
            int read = body.read(into, from, length);
            count(Math.max(0, read));
            return read;
        }

        private void count(int more) throws IOException {
            bytes += more;
            if (bytes > MAX_BODY_BYTES) {
                throw new IOException("the body is longer than " + (MAX_BODY_BYTES >> 20) + " MB");
            }
            if (System.nanoTime() - until > 0) {
                throw new IOException("the body came too slowly");
            }
        }

        @Override
        public boolean isFinished() {
            return body.isFinished();
        }

        @Override
        public boolean isReady() {
            return body.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            body.setReadListener(listener);
        }
    }
}
