package embrack.app.frame;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Arrays;
import java.util.Base64;
import java.util.Optional;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * What is said on the next page of the same browser, once: what was taken back, or why nothing was. It travels in a
 * cookie, since the server keeps no sessions.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 31)
public class Said extends OncePerRequestFilter {

    private static final String COOKIE = "said";
    private static final String BY_ITSELF = "Embrack-By-Itself";
    private static final int MAX_LENGTH = 1_500;
    private static final Duration KEPT = Duration.ofSeconds(30);

    /** Has the next page say these words. */
    public static void to(HttpServletResponse response, String words) {
        String said = words.length() <= MAX_LENGTH ? words : words.substring(0, MAX_LENGTH);
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                cookie(
                        Base64.getUrlEncoder().withoutPadding().encodeToString(said.getBytes(StandardCharsets.UTF_8)),
                        KEPT));
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (request.getMethod().equals("GET") && isPage(request)) {
            words(request).ifPresent(words -> {
                request.setAttribute("said", words);
                response.addHeader(HttpHeaders.SET_COOKIE, cookie("", Duration.ZERO));
            });
        }
        chain.doFilter(request, response);
    }

    /** Whether a whole page is asked for, not a style sheet, a stream or what a page fetches by itself. */
    private static boolean isPage(HttpServletRequest request) {
        return request.getHeader(BY_ITSELF) == null && isRead(request);
    }

    private static boolean isRead(HttpServletRequest request) {
        return String.valueOf(request.getHeader(HttpHeaders.ACCEPT)).contains("text/html")
                || request.getHeader("HX-Request") != null;
    }

    private static Optional<String> words(HttpServletRequest request) {
        Cookie[] cookies = Optional.ofNullable(request.getCookies()).orElse(new Cookie[0]);
        return Arrays.stream(cookies)
                .filter(c -> c.getName().equals(COOKIE))
                .map(Cookie::getValue)
                .filter(value -> !value.isEmpty())
                .findFirst()
                .flatMap(Said::decoded);
    }

    private static Optional<String> decoded(String value) {
        try {
            return Optional.of(new String(Base64.getUrlDecoder().decode(value), StandardCharsets.UTF_8));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    private static String cookie(String value, Duration age) {
        return ResponseCookie.from(COOKIE, value)
                .path("/")
                .maxAge(age)
                .httpOnly(true)
                .sameSite("Strict")
                .build()
                .toString();
    }
}
