package embrack.app.door;

import embrack.app.store.TonightLink;
import embrack.app.store.TonightLinks;
import embrack.app.store.crew.AccountId;
import embrack.app.store.crew.Accounts;
import embrack.app.store.crew.CrewId;
import embrack.app.store.crew.DoorsMoved;
import embrack.app.store.crew.Membership;
import embrack.app.store.crew.Person;
import embrack.app.store.crew.Secret;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpHeaders;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/** Who is signed in where: what is kept in a session, and how it begins and ends. */
@Component
public class Visitors {

    /** What browser a session is of, in its own words. */
    public static final String BROWSER = "browser";

    /** From which address somebody signed in. */
    public static final String ADDRESS = "address";

    private static final String ACCOUNT = "account";
    private static final String AT_WORK = "crew";
    private static final int LONGEST_BROWSER = 300;

    private final Accounts accounts;
    private final CsrfTokenRepository tokens;
    private final FindByIndexNameSessionRepository<? extends Session> kept;
    private final TonightLinks links;
    private final ApplicationEventPublisher events;

    Visitors(
            Accounts accounts,
            CsrfTokenRepository tokens,
            FindByIndexNameSessionRepository<? extends Session> kept,
            TonightLinks links,
            ApplicationEventPublisher events) {
        this.accounts = accounts;
        this.tokens = tokens;
        this.kept = kept;
        this.links = links;
        this.events = events;
    }

    /**
     * Where somebody is signed in.
     *
     * @param key what it is ended by; tells nothing about the session itself
     * @param browser in its own words
     */
    public record Place(String key, String browser, String address, Instant begun, Instant seen, boolean isHere) {}

    /** Who sent a request. */
    Visitor of(HttpServletRequest request) {
        if (!accounts.any()) {
            return new Visitor.Alone();
        }
        HttpSession session = request.getSession(false);
        if (session == null || !(session.getAttribute(ACCOUNT) instanceof Long account)) {
            return new Visitor.Nobody();
        }
        return accounts.find(new AccountId(account))
                .<Visitor>map(person -> new Visitor.SignedIn(person, atWork(person, session)))
                .orElseGet(Visitor.Nobody::new);
    }

    private static CrewId atWork(Person person, HttpSession session) {
        Optional<CrewId> chosen = session.getAttribute(AT_WORK) instanceof Long crew
                ? Optional.of(new CrewId(crew)).filter(one -> person.role(one).isPresent())
                : Optional.empty();
        return chosen.or(() -> person.crews().stream().findFirst().map(Membership::crew))
                .orElse(CrewId.FIRST);
    }

    /** The link for tonight that a request brings along, while it holds. */
    Optional<TonightLink> link(HttpServletRequest request) {
        return tonight(request).flatMap(links::find);
    }

    /** Whether a browser once came by a link for tonight, whether it still holds or not. */
    static boolean cameByLink(HttpServletRequest request) {
        return tonight(request).isPresent();
    }

    private static Optional<String> tonight(HttpServletRequest request) {
        return Stream.ofNullable(request.getCookies())
                .flatMap(Stream::of)
                .filter(cookie -> cookie.getName().equals(Tonight.COOKIE))
                .map(Cookie::getValue)
                .findFirst();
    }

    /** From here on, new things are made for that crew. */
    public void workFor(CrewId crew, HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session != null && !Long.valueOf(crew.number()).equals(session.getAttribute(AT_WORK))) {
            session.setAttribute(AT_WORK, crew.number());
        }
    }

    /** Signs somebody in, with another session and another token than before. */
    public void signIn(AccountId account, HttpServletRequest request, HttpServletResponse response) {
        HttpSession before = request.getSession(false);
        if (before != null) {
            before.invalidate();
        }
        HttpSession session = request.getSession(true);
        session.setAttribute(ACCOUNT, account.number());
        session.setAttribute(
                FindByIndexNameSessionRepository.PRINCIPAL_NAME_INDEX_NAME, String.valueOf(account.number()));
        String browser =
                Optional.ofNullable(request.getHeader(HttpHeaders.USER_AGENT)).orElse("");
        session.setAttribute(BROWSER, browser.substring(0, Math.min(LONGEST_BROWSER, browser.length())));
        session.setAttribute(ADDRESS, request.getRemoteAddr());
        tokens.saveToken(tokens.generateToken(request), request, response);
    }

    /** Signs whoever is signed in out. */
    public void signOut(HttpServletRequest request, HttpServletResponse response) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
        tokens.saveToken(tokens.generateToken(request), request, response);
    }

    /** Where somebody is signed in, last seen first. */
    public List<Place> sessions(AccountId account, HttpServletRequest request) {
        String here = here(request);
        return of(account).values().stream()
                .map(session -> new Place(
                        key(session.getId()),
                        String.valueOf(session.<Object>getAttribute(BROWSER)),
                        String.valueOf(session.<Object>getAttribute(ADDRESS)),
                        session.getCreationTime(),
                        session.getLastAccessedTime(),
                        session.getId().equals(here)))
                .sorted(Comparator.comparing(Place::seen).reversed())
                .toList();
    }

    /** Ends one of somebody's own. */
    public void end(AccountId account, String key) {
        endAll(of(account).keySet().stream().filter(id -> key(id).equals(key)).toList());
    }

    /** Ends all of somebody's but the one that asks. */
    public void endOthers(AccountId account, HttpServletRequest request) {
        String here = here(request);
        endAll(of(account).keySet().stream().filter(id -> !id.equals(here)).toList());
    }

    /** Ends all of somebody's. */
    public void endAll(AccountId account) {
        endAll(List.copyOf(of(account).keySet()));
    }

    private void endAll(List<String> ids) {
        ids.forEach(kept::deleteById);
        events.publishEvent(new DoorsMoved());
    }

    private Map<String, ? extends Session> of(AccountId account) {
        return kept.findByPrincipalName(String.valueOf(account.number()));
    }

    private static String here(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        return session == null ? "" : session.getId();
    }

    private static String key(String id) {
        return Secret.hash(id).substring(0, 16);
    }
}
