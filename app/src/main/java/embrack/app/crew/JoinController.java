package embrack.app.crew;

import embrack.app.door.Entry;
import embrack.app.door.Visitors;
import embrack.app.frame.Echo;
import embrack.app.frame.Refusals;
import embrack.app.store.crew.Accounts;
import embrack.app.store.crew.Crews;
import embrack.app.store.crew.Invitation;
import embrack.app.store.crew.Person;
import embrack.core.edit.Refused;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
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

/** Joining a crew by a link that was handed over: with an account that is there, or with a new one. */
@Controller
@RequestMapping("/join/{secret}")
class JoinController {

    private final Crews crews;
    private final Accounts accounts;
    private final Visitors visitors;

    JoinController(Crews crews, Accounts accounts, Visitors visitors) {
        this.crews = crews;
        this.accounts = accounts;
        this.visitors = visitors;
    }

    @GetMapping
    String look(@PathVariable String secret, Entry entry, HttpServletResponse response, Model page) {
        return show(secret, entry, Echo.NONE, response, page);
    }

    @PostMapping
    String join(
            @PathVariable String secret,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String password,
            Entry entry,
            HttpServletRequest request,
            HttpServletResponse response,
            Model page) {
        Optional<Person> person = entry.person();
        if (person.isPresent()) {
            Crews.Joined joined = crews.join(secret, () -> person.get().id());
            visitors.workFor(joined.crew(), request);
            return "redirect:/";
        }
        Crews.Joined joined = crews.joinAnew(secret, name, password);
        visitors.signIn(joined.account(), request, response);
        return NewCodes.shown(accounts.newCodes(joined.account()), page);
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        String secret = Refusals.pathVariable(request, "secret");
        return show(secret, Entry.of(request), Refusals.answer(refused, request, response), response, page);
    }

    private String show(String secret, Entry entry, Echo echo, HttpServletResponse response, Model page) {
        Optional<Invitation> invitation = crews.invitation(secret);
        if (invitation.isEmpty()) {
            response.setStatus(HttpStatus.NOT_FOUND.value());
            page.addAttribute("title", "This invitation holds no more")
                    .addAttribute("words", "It was used, or taken back, or its time is over. Ask for a new one.")
                    .addAttribute("looksAgain", false);
            return "frame/calm";
        }
        page.addAttribute("invitation", invitation.get())
                .addAttribute("person", entry.person().map(Person::name).orElse(""))
                .addAttribute("action", "/join/" + secret)
                .addAttribute("echo", echo);
        return "crew/join";
    }
}
