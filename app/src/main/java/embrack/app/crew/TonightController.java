package embrack.app.crew;

import embrack.app.door.Entry;
import embrack.app.door.Tonight;
import embrack.app.store.RigStore;
import embrack.app.store.TonightLink;
import embrack.app.store.TonightLinks;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Where links for tonight lead: a page from which whoever came by one goes on. */
@Controller
class TonightController {

    private final TonightLinks links;
    private final RigStore rigs;

    TonightController(TonightLinks links, RigStore rigs) {
        this.links = links;
        this.rigs = rigs;
    }

    /** The link itself is kept by the browser from here on, and stands in no address any more. */
    @GetMapping("/tonight/{secret}")
    String come(@PathVariable String secret, HttpServletRequest request, HttpServletResponse response, Model page) {
        Optional<TonightLink> link = links.find(secret);
        if (link.isEmpty()) {
            return over(response, page);
        }
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(Tonight.COOKIE, secret)
                        .path("/")
                        .maxAge(Duration.between(
                                OffsetDateTime.now(), link.get().until()))
                        .httpOnly(true)
                        .secure(request.isSecure())
                        .sameSite("Lax")
                        .build()
                        .toString());
        return "redirect:/tonight";
    }

    @GetMapping("/tonight")
    String tonight(Entry entry, HttpServletResponse response, Model page) {
        Optional<TonightLink> link = entry.link();
        if (link.isEmpty()) {
            return over(response, page);
        }
        page.addAttribute("tonight", link.get())
                .addAttribute(
                        "rig", rigs.load(link.get().rig()).plan().rig().name().text())
                .addAttribute("places", Tonight.places(link.get()));
        return "crew/tonight";
    }

    private static String over(HttpServletResponse response, Model page) {
        response.setStatus(HttpStatus.NOT_FOUND.value());
        page.addAttribute("title", "This link holds no more")
                .addAttribute(
                        "words", "Its time is over, or it was taken back. Ask whoever gave it to you for another.")
                .addAttribute("looksAgain", false);
        return "frame/calm";
    }
}
