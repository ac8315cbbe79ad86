package embrack.app.frame;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.MDC;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Gives each request an id that stands before every line of the log that comes of it and in its answer; one that a
 * proxy gave is kept, so that both logs say the same. It says nothing of who asked.
 *
 * <p>Source: X-Request-Id, common practice.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class RequestNumber extends OncePerRequestFilter {

    private static final String HEADER = "X-Request-Id";
    private static final String MARK = "request";
    private static final String ONE = "[A-Za-z0-9-]{8,64}";

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String id = Optional.ofNullable(request.getHeader(HEADER))
                .filter(given -> given.matches(ONE))
                .orElseGet(() -> UUID.randomUUID().toString());
        response.setHeader(HEADER, id);
        MDC.put(MARK, id);
        try {
            chain.doFilter(request, response);
        } finally {
            MDC.remove(MARK);
        }
    }
}
