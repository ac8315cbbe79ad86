package embrack.app.door;

import embrack.app.store.crew.Accounts;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Arrays;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Lets through the second door only who has a pass; the first door is on this machine and needs none. Once people have
 * accounts, these are asked for at both, and the passphrase by nobody.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 15)
class Doorkeeper extends OncePerRequestFilter {

    static final String COOKIE = "pass";

    /** The door's page is drawn with these, below the number of the build or not. */
    private static final Pattern DRAWN_WITH =
            Pattern.compile("(/[0-9a-f]{16})?/(frame\\.css|bulma\\.css|icon\\.svg|fonts/[a-z0-9-]+\\.woff2)");

    private final Lan lan;
    private final Passphrase passphrase;
    private final Accounts accounts;

    Doorkeeper(Lan lan, Passphrase passphrase, Accounts accounts) {
        this.lan = lan;
        this.passphrase = passphrase;
        this.accounts = accounts;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!lan.isAt(request.getLocalPort())
                || accounts.any()
                || isForAll(request.getRequestURI())
                || hasPass(request)) {
            chain.doFilter(request, response);
        } else if (request.getMethod().equals("GET") && request.getHeader("HX-Request") == null) {
            response.sendRedirect("/door");
        } else {
            response.sendError(HttpStatus.FORBIDDEN.value());
        }
    }

    /** The page at the door and what it is drawn with. */
    private static boolean isForAll(String path) {
        return path.equals("/door") || DRAWN_WITH.matcher(path).matches();
    }

    private boolean hasPass(HttpServletRequest request) {
        Cookie[] cookies = Optional.ofNullable(request.getCookies()).orElse(new Cookie[0]);
        return Arrays.stream(cookies)
                .filter(cookie -> cookie.getName().equals(COOKIE))
                .map(Cookie::getValue)
                .anyMatch(passphrase::holds);
    }
}
