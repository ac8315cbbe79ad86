package embrack.app.numbers;

import embrack.core.midi.NumberPad;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The number pad. */
@Controller
class NumbersController {

    @GetMapping("/numbers")
    String convert(@RequestParam(defaultValue = "") String q, Model page) {
        page.addAttribute("q", q.strip()).addAttribute("lines", List.of()).addAttribute("problem", "");
        if (!q.isBlank()) {
            try {
                page.addAttribute("lines", NumberPad.of(q).lines());
            } catch (IllegalArgumentException e) {
                page.addAttribute("problem", e.getMessage());
            }
        }
        return "numbers/numbers";
    }
}
