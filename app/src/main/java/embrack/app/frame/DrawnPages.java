package embrack.app.frame;

import embrack.app.door.Entry;
import embrack.app.store.Beside;
import embrack.app.store.Memo;
import embrack.app.store.NoSuchRig;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.word.Language;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.util.ContentCachingResponseWrapper;

/**
 * Remembers pages that are made of a plan, its ticks and the models of the crew, by rig, revision and address: many
 * readers of one page cost hardly more than a file. What differs from reader to reader is the token of the forms, which
 * is put in anew each time.
 */
final class DrawnPages extends OncePerRequestFilter implements HandlerInterceptor {

    private static final long REMEMBERED = 16L << 20;
    private static final int LARGEST = 1 << 20;
    private static final Pattern OF_A_RIG = Pattern.compile("/rigs/(\\d{1,18})/[^.]+");
    private static final Pattern OF_MODELS = Pattern.compile("/models(/[^./]+)?");
    /** Pages that show ticks, or models of the crew. */
    private static final Pattern SHOWS_MORE = Pattern.compile("/rigs/\\d+/(sheets|doors|gear(/.*)?)");

    private static final String DRAWN = DrawnPages.class.getName();

    private final RigStore rigs;
    private final Beside beside;
    private final Memo<Key, Page> pages = Memo.ofWeight(REMEMBERED, Page::weight);

    DrawnPages(RigStore rigs, Beside beside) {
        this.rigs = rigs;
        this.beside = beside;
    }

    /** {@code of} what it was made of, as it was then; {@code who} tells apart those to whom it looks different. */
    private record Key(String of, String address, String ground, boolean partial, String language, String who) {}

    /** A page, cut where the token stands; it is packed once a second reader asks for it so. */
    private static final class Page {
        private final String type;
        private final List<byte[]> pieces;
        private @Nullable PackedPieces packed;

        private Page(String type, List<byte[]> pieces) {
            this.type = type;
            this.pieces = pieces;
        }

        /** Bytes of memory that it takes; packed it is about a quarter as long. */
        private long weight() {
            return pieces.stream()
                    .mapToLong(piece -> piece.length * 5L / 4 + 80)
                    .sum();
        }

        private synchronized PackedPieces packed() {
            if (packed == null) {
                packed = PackedPieces.of(pieces);
            }
            return packed;
        }
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (handler instanceof HandlerMethod method && method.hasMethodAnnotation(DrawnOnce.class)) {
            request.setAttribute(DRAWN, Boolean.TRUE);
        }
        return true;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Optional<Key> key = key(request);
        if (key.isEmpty()) {
            chain.doFilter(request, response);
            return;
        }
        byte[] token = token(request).getBytes(StandardCharsets.US_ASCII);
        Optional<Page> known = pages.find(key.get());
        if (known.isPresent()) {
            send(known.get(), token, request, response);
            return;
        }
        var drawn = new ContentCachingResponseWrapper(response);
        chain.doFilter(request, drawn);
        byte[] body = drawn.getContentAsByteArray();
        boolean isWhole = !request.isAsyncStarted()
                && drawn.getStatus() == HttpServletResponse.SC_OK
                && body.length > 0
                && body.length < LARGEST;
        if (isWhole && request.getAttribute(DRAWN) != null && drawn.getContentType() != null) {
            var page = new Page(drawn.getContentType(), cut(body, token));
            pages.get(key.get(), () -> page);
        }
        drawn.copyBodyToResponse();
    }

    private Optional<Key> key(HttpServletRequest request) {
        if (!request.getMethod().equals("GET")
                || Trying.token(request).isPresent()
                || request.getAttribute("said") != null
                || request.getAttribute(CsrfToken.class.getName()) == null
                || request.getRequestURI().endsWith("/changes")) {
            return Optional.empty();
        }
        try {
            String address = request.getRequestURI() + "?" + request.getQueryString();
            return madeOf(request.getRequestURI())
                    .map(of -> new Key(
                            of,
                            address,
                            String.valueOf(request.getAttribute("ground")),
                            request.getHeader("HX-Request") != null,
                            language(request),
                            Entry.of(request).mark(rig(request.getRequestURI()))));
        } catch (NoSuchRig | DataAccessException | IllegalArgumentException e) {
            return Optional.empty(); // the page itself says what is the matter
        }
    }

    private Optional<String> madeOf(String path) {
        if (OF_MODELS.matcher(path).matches()) {
            return Optional.of(beside.ofModels());
        }
        return rig(path)
                .map(rig -> "%s %d %s"
                        .formatted(
                                rig,
                                rigs.newestRevision(rig),
                                SHOWS_MORE.matcher(path).matches() ? beside.ofRig(rig.number()) : ""));
    }

    private static Optional<RigId> rig(String path) {
        return Optional.of(OF_A_RIG.matcher(path)).filter(Matcher::matches).map(found -> RigId.of(found.group(1)));
    }

    private static String language(HttpServletRequest request) {
        String tag = request.getLocale().getLanguage();
        return !tag.isEmpty() && Language.of(tag).isSpoken() ? tag : Language.ENGLISH.tag();
    }

    private static String token(HttpServletRequest request) {
        return request.getAttribute(CsrfToken.class.getName()) instanceof CsrfToken token ? token.getToken() : "";
    }

    private static List<byte[]> cut(byte[] body, byte[] token) {
        List<byte[]> pieces = new ArrayList<>();
        int from = 0;
        for (int at = next(body, token, 0); at >= 0; at = next(body, token, from)) {
            pieces.add(Arrays.copyOfRange(body, from, at));
            from = at + token.length;
        }
        pieces.add(Arrays.copyOfRange(body, from, body.length));
        return pieces;
    }

    private static int next(byte[] body, byte[] token, int from) {
        for (int at = from; token.length > 0 && at <= body.length - token.length; at++) {
            if (body[at] == token[0] && Arrays.equals(body, at, at + token.length, token, 0, token.length)) {
                return at;
            }
        }
        return -1;
    }

    private static void send(Page page, byte[] token, HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        response.setContentType(page.type);
        response.addHeader(HttpHeaders.VARY, HttpHeaders.ACCEPT_ENCODING);
        response.addHeader(HttpHeaders.VARY, HttpHeaders.ACCEPT_LANGUAGE);
        if (String.valueOf(request.getHeader(HttpHeaders.ACCEPT_ENCODING))
                .matches("(?s).*\\bgzip\\b(?!\\s*;\\s*q=0(\\.0*)?\\s*(,|$)).*")) {
            byte[] packed = page.packed().with(token);
            response.setHeader(HttpHeaders.CONTENT_ENCODING, "gzip");
            response.setContentLength(packed.length);
            response.getOutputStream().write(packed);
            return;
        }
        response.setContentLengthLong(
                page.pieces.stream().mapToLong(piece -> piece.length).sum() + (page.pieces.size() - 1L) * token.length);
        var out = response.getOutputStream();
        for (int i = 0; i < page.pieces.size(); i++) {
            if (i > 0) {
                out.write(token);
            }
            out.write(page.pieces.get(i));
        }
    }
}
