package embrack.app.frame;

import embrack.app.store.NoSuchModel;
import embrack.app.store.NoSuchRig;
import embrack.app.store.RigStore;
import embrack.app.store.Trouble;
import embrack.app.store.UnreadableRevision;
import embrack.core.edit.Refused;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.ui.Model;
import org.springframework.web.ErrorResponse;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.context.request.async.AsyncRequestTimeoutException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.servlet.ModelAndView;

/**
 * Pages for when something is not there, does not answer or goes wrong. Only a lost connection is called one; an error
 * of our own says so and has a number that stands in the log.
 */
@ControllerAdvice
class CalmErrors {

    /** Tells scripts what the page says, since they show no page. */
    static final String WORDS = "Embrack-Words";

    private static final Logger LOG = LoggerFactory.getLogger(CalmErrors.class);

    private final RigStore rigs;

    CalmErrors(RigStore rigs) {
        this.rigs = rigs;
    }

    @ExceptionHandler(NoSuchModel.class)
    @ResponseStatus(HttpStatus.NOT_FOUND)
    String noSuchModel(Model page) {
        return calm(
                page,
                "There is no such model",
                "It was deleted, or the address is not right. All models are listed under Models.",
                false);
    }

    @ExceptionHandler(NoSuchRig.class)
    @ResponseStatus(HttpStatus.NOT_FOUND)
    String noSuchRig(Model page) {
        return calm(
                page,
                "There is no such page",
                "The rig was deleted, or the address is not right. All rigs are on the first page.",
                false);
    }

    /** What is not in a rig: whoever came by a link on a page is led to the room, whoever typed the address is told. */
    @ExceptionHandler
    String notInRig(NotInRig gone, HttpServletRequest request, HttpServletResponse response, Model page) {
        if (request.getHeader("HX-Request") != null) {
            return "redirect:" + gone.room();
        }
        response.setStatus(HttpStatus.NOT_FOUND.value());
        page.addAttribute("room", gone.room());
        return calm(
                page,
                String.valueOf(gone.getMessage()),
                "It was taken out of the rig, or the address is not right.",
                false);
    }

    /** A part of an address, or a field of a form, that says nothing that there is. */
    @ExceptionHandler
    String notUnderstood(MethodArgumentTypeMismatchException e, HttpServletResponse response, Model page) {
        if (e.getParameter().hasParameterAnnotation(PathVariable.class)) {
            response.setStatus(HttpStatus.NOT_FOUND.value());
            return noSuchRig(page);
        }
        response.setStatus(HttpStatus.BAD_REQUEST.value());
        return said(
                response,
                page,
                "That was not understood",
                "\"%s\" is nothing that can stand in the field \"%s\". Nothing was changed."
                        .formatted(shortened(String.valueOf(e.getValue())), e.getName()));
    }

    @ExceptionHandler
    @ResponseStatus(HttpStatus.UNPROCESSABLE_CONTENT)
    String refused(Refused refused, HttpServletResponse response, Model page) {
        return said(response, page, "That cannot be done", Spoken.words().say(refused.phrase()));
    }

    @ExceptionHandler
    @ResponseStatus(HttpStatus.CONTENT_TOO_LARGE)
    String tooLarge(MultipartException e, HttpServletResponse response, Model page) {
        return said(response, page, "That is too large", UploadLimit.WORDS);
    }

    /** What is stored cannot be read: an earlier revision can be brought back. */
    @ExceptionHandler
    @ResponseStatus(HttpStatus.CONFLICT)
    String unreadable(UnreadableRevision e, HttpServletRequest request, HttpServletResponse response, Model page) {
        String number = logged(request, e);
        String words = ("Revision %d of this rig cannot be read. Nothing of it is lost: choose an earlier one below, "
                        + "and it becomes the newest. In the log this is number %s.")
                .formatted(e.revision(), number);
        page.addAttribute("rig", e.rig().number())
                .addAttribute("revision", e.revision())
                .addAttribute("earlier", rigs.readable(e.rig()));
        said(response, page, "This rig cannot be shown as it is", words);
        return "frame/unreadable";
    }

    /** Anything else; no page at all for those who have gone: null says that the answer is done. */
    @ExceptionHandler
    @Nullable
    ModelAndView anythingElse(Exception e, HttpServletRequest request, HttpServletResponse response, Model page) {
        return response.isCommitted() || isNobodyThere(e)
                ? null
                : new ModelAndView(
                        e instanceof ErrorResponse answer
                                ? notAsked(answer, response, page)
                                : wentWrong(e, request, response, page));
    }

    private String notAsked(ErrorResponse answer, HttpServletResponse response, Model page) {
        response.setStatus(answer.getStatusCode().value());
        return answer.getStatusCode().isSameCodeAs(HttpStatus.NOT_FOUND)
                ? noSuchRig(page)
                : said(
                        response,
                        page,
                        "That was not understood",
                        "Nothing was changed. Load the page again and repeat.");
    }

    private static String wentWrong(Exception e, HttpServletRequest request, HttpServletResponse response, Model page) {
        Trouble trouble = Trouble.of(e);
        response.setStatus(
                (trouble == Trouble.OURS ? HttpStatus.INTERNAL_SERVER_ERROR : HttpStatus.SERVICE_UNAVAILABLE).value());
        return switch (trouble) {
            case LOST -> {
                LOG.warn(
                        "{} {}: the database does not answer: {}",
                        request.getMethod(),
                        request.getRequestURI(),
                        e.getMessage());
                response.setHeader(WORDS, trouble.brief());
                yield calm(page, trouble.title(), trouble.words(), true);
            }
            case BUSY -> {
                LOG.warn(
                        "{} {}: no connection to the database was free in time",
                        request.getMethod(),
                        request.getRequestURI());
                response.setHeader(WORDS, trouble.brief());
                yield calm(page, trouble.title(), trouble.words(), true);
            }
            case FULL -> {
                LOG.error(
                        "{} {}: the disc of the database is full: {}",
                        request.getMethod(),
                        request.getRequestURI(),
                        e.getMessage());
                response.setHeader(WORDS, trouble.brief());
                yield calm(page, trouble.title(), trouble.words(), true);
            }
            case OURS ->
                said(
                        response,
                        page,
                        "That did not work",
                        ("This is a fault of Embrack, and nothing was changed. It stands in the log as number "
                                        + "%s; go back and try another way.")
                                .formatted(logged(request, e)));
        };
    }

    private static String logged(HttpServletRequest request, Exception e) {
        String number = FaultNumber.next();
        LOG.error("fault {}: {} {}", number, request.getMethod(), request.getRequestURI(), e);
        return number;
    }

    private static String said(HttpServletResponse response, Model page, String title, String words) {
        response.setHeader(WORDS, words.replaceAll("[^ -~]", "?"));
        return calm(page, title, words, false);
    }

    private static String shortened(String typed) {
        return typed.length() <= 60 ? typed : typed.substring(0, 60) + "...";
    }

    /**
     * Whether no page of an error can be shown: whoever asked has gone, or listened to changes for as long as a page
     * does, and what was written to as a stream of events takes no page.
     */
    static boolean isNobodyThere(Exception e) {
        return e instanceof IOException || e instanceof AsyncRequestTimeoutException;
    }

    private static String calm(Model page, String title, String words, boolean looksAgain) {
        page.addAttribute("title", title).addAttribute("words", words).addAttribute("looksAgain", looksAgain);
        return "frame/calm";
    }
}
