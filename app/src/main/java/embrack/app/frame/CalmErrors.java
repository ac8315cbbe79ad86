package embrack.app.frame;

import embrack.app.store.NoSuchModel;
import embrack.app.store.NoSuchRig;
import jakarta.servlet.http.HttpServletRequest;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.TransactionException;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;

/** Pages for when something is not there or does not answer. */
@ControllerAdvice
class CalmErrors {

    private static final Logger LOG = LoggerFactory.getLogger(CalmErrors.class);

    /** A database that cannot be reached, or that went away in the middle: nothing was changed, so the same can be tried again. */
    @ExceptionHandler({DataAccessException.class, TransactionException.class})
    @ResponseStatus(HttpStatus.SERVICE_UNAVAILABLE)
    String databaseLost(Exception e, HttpServletRequest request, Model page) {
        LOG.warn("{} {}: the database does not answer: {}", request.getMethod(), request.getRequestURI(), e.getMessage());
        return calm(page, "The database does not answer", "Your rigs are safe in it; what you did last was not kept. "
                + "This page looks again every few seconds. If it stays like this, run ./embrack start once more.", true);
    }

    @ExceptionHandler(NoSuchModel.class)
    @ResponseStatus(HttpStatus.NOT_FOUND)
    String noSuchModel(Model page) {
        return calm(page, "There is no such model", "It was deleted, or the address is not right. All models are listed under Models.", false);
    }

    @ExceptionHandler({NoSuchRig.class, MethodArgumentTypeMismatchException.class})
    @ResponseStatus(HttpStatus.NOT_FOUND)
    String noSuchRig(Model page) {
        return calm(page, "There is no such page", "The rig was deleted, or the address is not right. All rigs are on the first page.", false);
    }

    private static String calm(Model page, String title, String words, boolean looksAgain) {
        page.addAttribute("title", title).addAttribute("words", words).addAttribute("looksAgain", looksAgain);
        return "frame/calm";
    }
}
