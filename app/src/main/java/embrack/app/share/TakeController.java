package embrack.app.share;

import embrack.app.door.Entry;
import embrack.app.frame.Echo;
import embrack.app.frame.Refusals;
import embrack.app.store.Because;
import embrack.app.store.crew.CrewId;
import embrack.app.store.crew.Share;
import embrack.app.store.crew.Shares;
import embrack.core.crew.Right;
import embrack.core.edit.Refused;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What another crew shares is taken up by a link that was handed over, for a crew that its reader plans for. */
@Controller
@RequestMapping("/share/{secret}")
class TakeController {

    private final Shares shares;

    TakeController(Shares shares) {
        this.shares = shares;
    }

    @GetMapping
    String look(@PathVariable String secret, Entry entry, HttpServletResponse response, Model page) {
        return show(secret, entry, Echo.NONE, response, page);
    }

    @PostMapping
    String take(@PathVariable String secret, @RequestParam(defaultValue = "") String crew, Entry entry) {
        CrewId mine = crews(entry, shares.offered(secret).map(Share::crew)).keySet().stream()
                .filter(one -> one.toString().equals(crew))
                .findFirst()
                .orElseThrow(() -> new Refused("crew", Because.of("no.none-of-the-list")));
        shares.take(secret, mine, entry.visitor().name());
        return "redirect:/crews/%s/shared".formatted(mine);
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        String secret = Refusals.pathVariable(request, "secret");
        return show(secret, Entry.of(request), Refusals.answer(refused, request, response), response, page);
    }

    private String show(String secret, Entry entry, Echo echo, HttpServletResponse response, Model page) {
        Optional<Share> offered = shares.offered(secret);
        if (offered.isEmpty()) {
            response.setStatus(HttpStatus.NOT_FOUND.value());
            page.addAttribute("title", "This link holds no more")
                    .addAttribute("words", "It was used, or taken back, or its time is over. Ask for a new one.")
                    .addAttribute("looksAgain", false);
            return "frame/calm";
        }
        Share share = offered.get();
        page.addAttribute("from", share.crewName())
                .addAttribute("what", share.song().isPresent() ? "a song" : "its models")
                .addAttribute("may", SharedPage.may(share))
                .addAttribute("crews", crews(entry, Optional.of(share.crew())))
                .addAttribute("form", "/share/" + secret)
                .addAttribute("echo", echo);
        return "share/take";
    }

    /** The crews that whoever asks plans for, but one. */
    private static Map<CrewId, String> crews(Entry entry, Optional<CrewId> but) {
        Map<CrewId, String> crews = new LinkedHashMap<>(entry.crews());
        crews.keySet()
                .removeIf(one -> but.equals(Optional.of(one)) || !entry.to(one).contains(Right.EDIT));
        return crews;
    }
}
