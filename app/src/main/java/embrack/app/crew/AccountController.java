package embrack.app.crew;

import embrack.app.door.Entry;
import embrack.app.door.Visitors;
import embrack.app.frame.Echo;
import embrack.app.frame.Refusals;
import embrack.app.frame.Said;
import embrack.app.store.crew.Accounts;
import embrack.app.store.crew.CrewId;
import embrack.app.store.crew.Crews;
import embrack.app.store.crew.Person;
import embrack.core.edit.Refused;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** One's own account: password, recovery codes, where one is signed in, the crews that one belongs to. */
@Controller
@RequestMapping("/account")
class AccountController {

    private final Accounts accounts;
    private final Crews crews;
    private final Visitors visitors;

    AccountController(Accounts accounts, Crews crews, Visitors visitors) {
        this.accounts = accounts;
        this.crews = crews;
        this.visitors = visitors;
    }

    @GetMapping
    String account(Entry entry, HttpServletRequest request, Model page) {
        return entry.isAlone() ? "redirect:/people" : show(entry, Echo.NONE, request, page);
    }

    /** Another password; whoever is signed in elsewhere is so no more. */
    @PostMapping("/password")
    String password(
            @RequestParam(defaultValue = "") String present,
            @RequestParam(defaultValue = "") String password,
            Entry entry,
            HttpServletRequest request,
            HttpServletResponse response) {
        Person person = person(entry);
        accounts.change(person, present, password);
        visitors.endOthers(person.id(), request);
        Said.to(response, "Your password is another one now. Everywhere else you are signed out.");
        return "redirect:/account";
    }

    @PostMapping("/codes")
    String codes(Entry entry, Model page) {
        return NewCodes.shown(accounts.newCodes(person(entry).id()), page);
    }

    @GetMapping("/codes")
    String codesSeen() {
        return "redirect:/account";
    }

    @PostMapping("/sessions/{key}/end")
    String end(@PathVariable String key, Entry entry) {
        visitors.end(person(entry).id(), key);
        return "redirect:/account";
    }

    @PostMapping("/sessions/others/end")
    String endOthers(Entry entry, HttpServletRequest request) {
        visitors.endOthers(person(entry).id(), request);
        return "redirect:/account";
    }

    /** Leaves a crew. */
    @PostMapping("/crews/{crew}/leave")
    String leave(@PathVariable CrewId crew, Entry entry) {
        crews.leave(crew, person(entry).id());
        return "redirect:/account";
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        Entry entry = Entry.of(request);
        return entry.isAlone()
                ? "redirect:/people"
                : show(entry, Refusals.answer(refused, request, response), request, page);
    }

    private String show(Entry entry, Echo echo, HttpServletRequest request, Model page) {
        Person person = person(entry);
        page.addAttribute("person", person)
                .addAttribute("codesLeft", accounts.codesLeft(person.id()))
                .addAttribute("sessions", visitors.sessions(person.id(), request))
                .addAttribute("echo", echo);
        return "crew/account";
    }

    private static Person person(Entry entry) {
        return entry.person().orElseThrow(() -> new Refused("", Because.of("no.alone")));
    }
}
