package yokebar.app.platform.web;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.lang.reflect.Proxy;
import java.util.List;
import java.util.Map;

/** What the checks of {@code Host}, {@code Origin} and the headers of the answer cost each request, in microseconds. */
public final class GuardFigures {
    private static final int ROUNDS = 5;
    private static final int REQUESTS = 200_000;
    private static final Map<String, String> HEADERS =
            Map.of("Host", "127.0.0.1:7370", "Origin", "http://127.0.0.1:7370", "Sec-Fetch-Site", "same-origin");

    private GuardFigures() {}

    public static void main(String[] args) throws ServletException, IOException {
        RequestGuard guard = new RequestGuard(new AllowedHosts(List.of("shack.example", "station.example")));
        HttpServletRequest request = of(HttpServletRequest.class);
        HttpServletResponse response = of(HttpServletResponse.class);
        int[] served = new int[1];
        FilterChain chain = (in, out) -> served[0]++;
        double microseconds = 0;
        for (int round = 0; round < ROUNDS; round++) {
            long began = System.nanoTime();
            for (int i = 0; i < REQUESTS; i++) {
                guard.doFilter(request, response, chain);
            }
            microseconds = (System.nanoTime() - began) / 1000.0 / REQUESTS;
        }
        if (served[0] != ROUNDS * REQUESTS) {
            throw new IllegalStateException("the guard refused requests it should serve");
        }
        System.out.printf("guard: %.1f µs a request (100 at the most)%n", microseconds);
    }

    /** Answers what the guard asks and nothing else. */
    private static <T> T of(Class<T> type) {
        return type.cast(Proxy.newProxyInstance(
                GuardFigures.class.getClassLoader(),
                new Class<?>[] {type},
                (self, method, arguments) -> switch (method.getName()) {
                    case "getHeader" -> HEADERS.get(String.valueOf(arguments[0]));
                    case "getRequestURI" -> "/api/contacts";
                    case "getMethod" -> "GET";
                    case "getDispatcherType" -> DispatcherType.REQUEST;
                    default -> null;
                }));
    }
}
