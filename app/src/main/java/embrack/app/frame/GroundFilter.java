package embrack.app.frame;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Arrays;
import java.util.Optional;
import java.util.Set;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Tells every page, error pages too, on which ground to stand: "desk" or "stage" as chosen, else "system" to follow the
 * machine.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 30)
class GroundFilter extends OncePerRequestFilter {

    private static final Set<String> GROUNDS = Set.of("desk", "stage");

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Cookie[] cookies = Optional.ofNullable(request.getCookies()).orElse(new Cookie[0]);
        request.setAttribute(
                "ground",
                Arrays.stream(cookies)
                        .filter(c -> c.getName().equals("ground"))
                        .map(Cookie::getValue)
                        .filter(GROUNDS::contains)
                        .findFirst()
                        .orElse("system"));
        chain.doFilter(request, response);
    }

    @Override
    protected boolean shouldNotFilterErrorDispatch() {
        return false;
    }
}
