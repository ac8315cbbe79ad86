package embrack.app.frame;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Refuses what is too large by what its head says, before anything of it is read. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 20)
class UploadLimit extends OncePerRequestFilter {

    /** The most that a form with a file may send, in bytes; each kind of file has a limit of its own below it. */
    static final long MAX_SENT = 65L << 20;

    /** The most that a form of texts may send, in bytes. */
    static final long MAX_TEXT = 1L << 20;

    static final String WORDS =
            "Nothing was read or changed. A MIDI file, a plan or a model has at most 16 MB, a CSV file "
                    + "4 MB, a text 1 MB.";

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long most = String.valueOf(request.getContentType()).startsWith(MediaType.MULTIPART_FORM_DATA_VALUE)
                ? MAX_SENT
                : MAX_TEXT;
        if (request.getContentLengthLong() > most) {
            response.setHeader(CalmErrors.WORDS, WORDS);
            response.sendError(HttpStatus.CONTENT_TOO_LARGE.value());
            return;
        }
        chain.doFilter(request, response);
    }
}
