package embrack.app.door;

import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.Trouble;
import embrack.app.store.crew.CrewId;
import embrack.app.store.crew.Person;
import embrack.core.crew.Right;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.security.Principal;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.TransactionException;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * The one place that lets requests in, pages, files, streams and sockets alike: it looks who asks and what the address
 * demands. What somebody may not see is answered as what there is not.
 */
public final class Admission extends OncePerRequestFilter {

    /** Tells scripts what the page would say, since they show no page. */
    private static final String WORDS = "Embrack-Words";

    private static final String TOO_MUCH =
            "You send more at once than Embrack takes from one person. Nothing was changed; wait a few seconds and "
                    + "repeat.";

    private static final String NOT_THEIRS = "That is for others of this crew to do. Nothing was changed.";

    private final Visitors visitors;
    private final RigStore rigs;
    private final Watch watch;
    private final Haste haste = new Haste(System::nanoTime);

    public Admission(Visitors visitors, RigStore rigs, Watch watch) {
        this.visitors = visitors;
        this.rigs = rigs;
        this.watch = watch;
    }

    /** A request of which is known who sent it. */
    private static final class Known extends HttpServletRequestWrapper {

        private final Entry entry;

        Known(HttpServletRequest request, Entry entry) {
            super(request);
            this.entry = entry;
        }

        @Override
        public @Nullable Principal getUserPrincipal() {
            return entry.isAlone() ? null : entry::name;
        }

        @Override
        public @Nullable String getRemoteUser() {
            Principal who = getUserPrincipal();
            return who == null ? null : who.getName();
        }
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        var entry = new Entry(() -> visitors.of(request), () -> visitors.link(request), rigs);
        request.setAttribute(Entry.NAME, entry);
        if (Demand.isForAnybody(request.getMethod(), request.getRequestURI())) {
            chain.doFilter(new Known(request, entry), response);
            return;
        }
        Entry.Answer answer;
        try {
            answer = answer(entry, request);
        } catch (DataAccessException | TransactionException e) {
            Trouble trouble = Trouble.of(e);
            if (trouble == Trouble.OURS) {
                throw e;
            }
            request.setAttribute("trouble", trouble);
            response.setHeader(WORDS, trouble.brief());
            response.sendError(HttpStatus.SERVICE_UNAVAILABLE.value());
            return;
        }
        switch (answer) {
            case IN -> {
                if (Demand.isSent(request.getMethod())
                        && !entry.person().map(Person::id).map(haste::lets).orElse(true)) {
                    response.setHeader(WORDS, TOO_MUCH);
                    response.setHeader("Retry-After", "5");
                    request.setAttribute("refusal", TOO_MUCH);
                    response.sendError(HttpStatus.TOO_MANY_REQUESTS.value());
                    return;
                }
                chain.doFilter(new Known(request, entry), response);
            }
            case NOT_THERE -> response.sendError(HttpStatus.NOT_FOUND.value());
            case NOT_THEIRS -> {
                response.setHeader(WORDS, NOT_THEIRS);
                request.setAttribute("refusal", NOT_THEIRS);
                response.sendError(HttpStatus.FORBIDDEN.value());
            }
            case SIGN_IN -> signIn(request, response);
        }
    }

    private Entry.Answer answer(Entry entry, HttpServletRequest request) {
        if (Watch.isAskedFor(request)) {
            return watch.lets(request, entry) ? Entry.Answer.IN : Entry.Answer.NOT_THERE;
        }
        return follow(entry, request) ? entry.ask(request.getMethod(), address(request)) : Entry.Answer.NOT_THERE;
    }

    private static String address(HttpServletRequest request) {
        return request.getQueryString() == null
                ? request.getRequestURI()
                : request.getRequestURI() + "?" + request.getQueryString();
    }

    private static void signIn(HttpServletRequest request, HttpServletResponse response) throws IOException {
        boolean isPage = request.getMethod().equals("GET") && request.getHeader("HX-Request") == null;
        if (isPage && Visitors.cameByLink(request)) {
            response.sendRedirect("/tonight");
        } else if (isPage) {
            String to = address(request);
            response.sendRedirect(
                    to.equals("/") ? "/sign-in" : "/sign-in?to=" + URLEncoder.encode(to, StandardCharsets.UTF_8));
        } else {
            response.setHeader(
                    WORDS,
                    "You are not signed in any more, and nothing was changed. Sign in in another window; what you "
                            + "typed is still here.");
            response.sendError(HttpStatus.UNAUTHORIZED.value());
        }
    }

    /**
     * Whoever comes from a rig is at work for its crew: in a room of the rig from then on, at the models by what the
     * address says of the rig.
     *
     * @return whether there is such a rig for them
     */
    private boolean follow(Entry entry, HttpServletRequest request) {
        boolean atModels = request.getRequestURI().startsWith("/models");
        Optional<String> number = atModels
                ? Optional.ofNullable(request.getParameter("rig")).filter(text -> !text.isEmpty())
                : Demand.of("GET", request.getRequestURI()).number();
        if (entry.person().isEmpty() || number.isEmpty()) {
            return true;
        }
        Optional<RigId> rig = number(number.get());
        Optional<CrewId> crew = rig.filter(id -> entry.may(Right.READ, id)).flatMap(rigs::crew);
        crew.ifPresent(entry::workFor);
        if (!atModels) {
            crew.ifPresent(id -> visitors.workFor(id, request));
        }
        return !atModels || crew.isPresent();
    }

    private static Optional<RigId> number(String text) {
        try {
            return Optional.of(RigId.of(text));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }
}
