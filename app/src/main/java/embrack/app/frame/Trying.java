package embrack.app.frame;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import java.util.stream.Stream;

/** Whether a browser tries a world of its own, so that what it sees is not made of a plan alone. */
public final class Trying {

    /** The name of the cookie that holds the token of what is tried. */
    public static final String COOKIE = "trial";

    private Trying() {}

    /** The token of what a browser tries. */
    static Optional<String> token(HttpServletRequest request) {
        return Stream.ofNullable(request.getCookies())
                .flatMap(Stream::of)
                .filter(cookie -> cookie.getName().equals(COOKIE))
                .map(Cookie::getValue)
                .findFirst();
    }
}
