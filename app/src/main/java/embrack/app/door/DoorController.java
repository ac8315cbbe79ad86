package embrack.app.door;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The page at the second door. */
@Controller
class DoorController {

    private final Passphrase passphrase;
    private final Patience patience = new Patience(System::nanoTime);

    DoorController(Passphrase passphrase) {
        this.passphrase = passphrase;
    }

    @GetMapping("/door")
    String door(Model page) {
        return knock(page, "");
    }

    @PostMapping("/door")
    String enter(
            @RequestParam(name = "words", defaultValue = "") String words,
            HttpServletRequest request,
            HttpServletResponse response,
            Model page) {
        String place = request.getRemoteAddr();
        Duration wait = patience.wait(place);
        if (wait.isPositive()) {
            response.setStatus(HttpStatus.TOO_MANY_REQUESTS.value());
            response.setHeader(HttpHeaders.RETRY_AFTER, String.valueOf(wait.toSeconds() + 1));
            return knock(
                    page, "Too many wrong tries. Wait %d seconds, then try again.".formatted(wait.toSeconds() + 1));
        }
        if (!passphrase.is(words)) {
            patience.wrong(place);
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return knock(
                    page,
                    "That is not the passphrase. It was printed by ./embrack start --lan on the machine that "
                            + "runs Embrack.");
        }
        patience.right(place);
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(Doorkeeper.COOKIE, passphrase.pass())
                        .path("/")
                        .maxAge(Passphrase.HOLDS)
                        .httpOnly(true)
                        .secure(request.isSecure())
                        .sameSite("Strict")
                        .build()
                        .toString());
        return "redirect:/";
    }

    private static String knock(Model page, String problem) {
        page.addAttribute("problem", problem);
        return "door/door";
    }
}
