package embrack.app.crew;

import embrack.app.door.Entry;
import embrack.app.door.Visitors;
import embrack.app.frame.Echo;
import embrack.app.frame.Refusals;
import embrack.app.store.crew.AccountId;
import embrack.app.store.crew.Accounts;
import embrack.app.store.crew.Crews;
import embrack.core.edit.Refused;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** From one person at one machine to a crew: the first account, and crews of one's own. */
@Controller
class PeopleController {

    private final Accounts accounts;
    private final Crews crews;
    private final Visitors visitors;

    PeopleController(Accounts accounts, Crews crews, Visitors visitors) {
        this.accounts = accounts;
        this.crews = crews;
        this.visitors = visitors;
    }

    /** The crew at work; for who is alone, how to be it no more; for who belongs to none, their account. */
    @GetMapping("/people")
    String people(Entry entry, Model page) {
        if (entry.isAlone()) {
            page.addAttribute("echo", Echo.NONE);
            return "crew/alone";
        }
        return entry.rights().isEmpty() ? "redirect:/account" : "redirect:/crews/" + entry.crew();
    }

    /** The first account: from then on, everybody signs in. */
    @PostMapping("/people/begin")
    String begin(
            @RequestParam(defaultValue = "") String crew,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String password,
            HttpServletRequest request,
            HttpServletResponse response,
            Model page) {
        AccountId first = accounts.first(crew, name, password);
        visitors.signIn(first, request, response);
        return NewCodes.shown(accounts.newCodes(first), page);
    }

    /** One more crew, led by who makes it. */
    @PostMapping("/crews")
    String create(@RequestParam(defaultValue = "") String crew, Entry entry, HttpServletRequest request) {
        AccountId lead = entry.person()
                .orElseThrow(() -> new Refused("crew", Because.of("no.alone")))
                .id();
        var made = crews.create(crew, lead);
        visitors.workFor(made, request);
        return "redirect:/crews/" + made;
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        Entry entry = Entry.of(request);
        if (!entry.isAlone()) {
            throw refused;
        }
        page.addAttribute("echo", Refusals.answer(refused, request, response));
        return "crew/alone";
    }
}
