package embrack.app.frame;

import embrack.core.edit.Refused;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.ui.Model;
import org.springframework.web.servlet.HandlerMapping;

/** Turns a refused edit into the same page again, with what was typed and the reason at its field. */
public final class Refusals {

    private Refusals() {}

    /** Marks the response as refused and gives back what was typed. The address in the browser stays as it is. */
    public static Echo answer(Refused refused, HttpServletRequest request, HttpServletResponse response) {
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        response.setHeader("HX-Push-Url", "false");
        return Echo.of(request, refused);
    }

    /**
     * As {@link #answer}, when the page no longer has the form, because somebody took away what it was about: the whole
     * page is shown anew, with the reason at its top.
     */
    public static Echo answerWithoutForm(
            Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        response.setHeader("HX-Retarget", "#page");
        response.setHeader("HX-Reselect", "#page");
        page.addAttribute("notice", Spoken.words().say(refused.phrase()));
        return answer(refused, request, response);
    }

    /** A variable of the path that the request was sent to; empty when the path has none of that name. */
    public static String pathVariable(HttpServletRequest request, String name) {
        return request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE) instanceof Map<?, ?> variables
                        && variables.get(name) instanceof String value
                ? value
                : "";
    }
}
