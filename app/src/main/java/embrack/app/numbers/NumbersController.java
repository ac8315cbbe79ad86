package embrack.app.numbers;

import embrack.core.edit.Refused;
import embrack.core.midi.NumberPad;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The number pad. */
@Controller
class NumbersController {

    @GetMapping("/numbers")
    String convert(@RequestParam(defaultValue = "") String q, Model page) {
        List<?> lines =
                q.isBlank() ? List.of() : Refused.at("q", () -> NumberPad.of(q).lines());
        return pad(q, lines, "", page);
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, Model page) {
        return pad(String.valueOf(request.getParameter("q")), List.of(), refused.words(), page);
    }

    private static String pad(String q, List<?> lines, String problem, Model page) {
        page.addAttribute("q", q.strip()).addAttribute("lines", lines).addAttribute("problem", problem);
        return "numbers/numbers";
    }
}
