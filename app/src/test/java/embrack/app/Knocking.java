package embrack.app;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.web.filter.OncePerRequestFilter;

/** Behind all doors: whoever only knocks is told that they were let in, and nothing is done. */
@Order(Ordered.LOWEST_PRECEDENCE)
class Knocking extends OncePerRequestFilter {

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (request.getHeader(Caller.KNOCK) == null) {
            chain.doFilter(request, response);
        } else {
            response.setStatus(Caller.LET_IN);
        }
    }
}
