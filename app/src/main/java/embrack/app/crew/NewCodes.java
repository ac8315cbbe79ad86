package embrack.app.crew;

import java.util.List;
import org.springframework.ui.Model;

/** Recovery codes are shown once, as they are made; nothing keeps them. */
final class NewCodes {

    private NewCodes() {}

    static String shown(List<String> codes, Model page) {
        page.addAttribute("codes", codes);
        return "crew/codes";
    }
}
