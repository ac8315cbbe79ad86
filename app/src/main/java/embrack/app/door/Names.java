package embrack.app.door;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Answers only to the names that Embrack was started with, and to this machine's own; a page of any other origin may
 * not ask for anything. Else a page elsewhere could reach this server by giving its own name this machine's address.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 10)
class Names extends OncePerRequestFilter {

    private static final Set<String> ALWAYS = Set.of("localhost", "[::1]");

    private final Set<String> names;

    Names(
            @Value("${embrack.hosts}") List<String> hosts,
            @Value("${embrack.lan.name}") String lanName,
            @Value("${embrack.lan.address}") String lanAddress,
            @Value("${embrack.proxy}") String proxy) {
        names = Stream.concat(hosts.stream(), Stream.of(lanName, lanAddress, Proxy.host(proxy)))
                .map(Names::plain)
                .filter(name -> !name.isEmpty())
                .collect(Collectors.toUnmodifiableSet());
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String host = Optional.ofNullable(request.getHeader(HttpHeaders.HOST)).orElse("");
        if (!answersTo(nameOf(host))) {
            response.sendError(HttpStatus.MISDIRECTED_REQUEST.value());
            return;
        }
        String origin = request.getHeader(HttpHeaders.ORIGIN);
        if (origin != null && !isOwn(origin, request.getScheme(), host)) {
            response.sendError(HttpStatus.FORBIDDEN.value());
            return;
        }
        chain.doFilter(request, response);
    }

    /** Whether the server answers to a name; loopback always, 127.0.0.0/8 whole. Source: RFC 1122, section 3.2.1.3. */
    boolean answersTo(String name) {
        String plain = plain(name);
        return ALWAYS.contains(plain) || names.contains(plain) || plain.matches("127\\.\\d{1,3}\\.\\d{1,3}\\.\\d{1,3}");
    }

    /**
     * Whether an origin is the one that the request was sent to. Source: RFC 6454, section 6.1, the form of an origin.
     */
    static boolean isOwn(String origin, String scheme, String host) {
        try {
            URI uri = URI.create(origin);
            return scheme.equalsIgnoreCase(uri.getScheme()) && host.equalsIgnoreCase(uri.getRawAuthority());
        } catch (IllegalArgumentException e) {
            return false;
        }
    }

    /** The name of a host header, without its port. */
    static String nameOf(String host) {
        int colon = host.lastIndexOf(':');
        return colon > host.lastIndexOf(']') ? host.substring(0, colon) : host;
    }

    private static String plain(String name) {
        String lower = name.strip().toLowerCase(Locale.ROOT);
        return lower.endsWith(".") ? lower.substring(0, lower.length() - 1) : lower;
    }
}
