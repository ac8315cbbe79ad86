package embrack.app.crew;

import embrack.app.door.Entry;
import embrack.app.door.Visitors;
import embrack.app.frame.Echo;
import embrack.app.frame.Refusals;
import embrack.app.frame.Said;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.crew.AccountId;
import embrack.app.store.crew.Belongings;
import embrack.app.store.crew.CrewId;
import embrack.app.store.crew.Crews;
import embrack.app.store.crew.Member;
import embrack.core.crew.Role;
import embrack.core.edit.Refused;
import embrack.paper.drawing.QrCode;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** Who belongs to a crew, what they are in it, who is invited, what guests see. */
@Controller
@RequestMapping("/crews/{crew}")
class CrewController {

    private final Crews crews;
    private final Belongings belongings;
    private final RigStore rigs;
    private final Visitors visitors;

    CrewController(Crews crews, Belongings belongings, RigStore rigs, Visitors visitors) {
        this.crews = crews;
        this.belongings = belongings;
        this.rigs = rigs;
        this.visitors = visitors;
    }

    @GetMapping
    String crew(@PathVariable CrewId crew, Entry entry, Model page) {
        return entry.isAlone() ? "redirect:/people" : show(crew, entry, Echo.NONE, page);
    }

    /** From here on, new rigs and models are made for this crew. */
    @PostMapping("/work")
    String work(@PathVariable CrewId crew, HttpServletRequest request) {
        visitors.workFor(crew, request);
        return "redirect:/";
    }

    @PostMapping("/name")
    String rename(
            @PathVariable CrewId crew,
            @RequestParam(name = "crew-name", defaultValue = "") String name,
            HttpServletResponse response) {
        crews.rename(crew, name);
        Said.to(response, "The crew is called %s now.".formatted(name.strip()));
        return back(crew);
    }

    @PostMapping("/members/{account}/role")
    String appoint(
            @PathVariable CrewId crew, @PathVariable AccountId account, @RequestParam(defaultValue = "") String role) {
        crews.appoint(crew, account, role(role));
        return back(crew);
    }

    @PostMapping("/members/{account}/remove")
    String remove(@PathVariable CrewId crew, @PathVariable AccountId account) {
        rigs.share(crew, account, List.of());
        crews.leave(crew, account);
        return back(crew);
    }

    /** Says which rigs a guest sees. */
    @PostMapping("/members/{account}/rigs")
    String share(
            @PathVariable CrewId crew,
            @PathVariable AccountId account,
            @RequestParam(defaultValue = "") List<RigId> rig) {
        boolean isGuest = crews.members(crew).stream()
                .anyMatch(member -> member.account().equals(account) && member.role() == Role.GUEST);
        if (!isGuest) {
            throw new Refused("member", Because.of("no.not-a-guest"));
        }
        rigs.share(crew, account, rig);
        return back(crew);
    }

    /** Makes a link; it is shown once, since nothing keeps it. */
    @PostMapping("/invitations")
    String invite(
            @PathVariable CrewId crew,
            @RequestParam(defaultValue = "") String role,
            @RequestParam(defaultValue = "") String note,
            @RequestParam(defaultValue = "7") int days,
            Entry entry,
            Model page) {
        String secret = crews.invite(crew, role(role), note, entry.visitor().name(), days);
        String link = ServletUriComponentsBuilder.fromCurrentContextPath()
                .path("/join/" + secret)
                .toUriString();
        page.addAttribute("link", link)
                .addAttribute("code", QrCode.of(link, QrCode.QUIET))
                .addAttribute("invited", note.strip());
        return show(crew, entry, Echo.NONE, page);
    }

    /** Where a page that shows a link comes back to. */
    @GetMapping("/invitations")
    String invitations(@PathVariable CrewId crew) {
        return back(crew);
    }

    @PostMapping("/invitations/{invitation}/end")
    String end(@PathVariable CrewId crew, @PathVariable long invitation) {
        crews.end(crew, invitation);
        return back(crew);
    }

    /** For good, with all that it has. */
    @PostMapping("/delete")
    String delete(
            @PathVariable CrewId crew,
            @RequestParam(name = "deleted-name", defaultValue = "") String name,
            HttpServletResponse response) {
        belongings.delete(crew, name);
        Said.to(response, "%s is deleted, with all that it had.".formatted(name.strip()));
        return "redirect:/";
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        Echo echo = Refusals.answer(refused, request, response);
        return show(CrewId.of(Refusals.pathVariable(request, "crew")), Entry.of(request), echo, page);
    }

    private String show(CrewId crew, Entry entry, Echo echo, Model page) {
        List<Member> members = crews.members(crew);
        page.addAttribute(
                        "crew",
                        CrewPage.of(
                                crew,
                                crews.name(crew),
                                entry,
                                members,
                                crews.invitations(crew),
                                rigs.ofCrew(crew),
                                rigs::isShared))
                .addAttribute("echo", echo);
        return "crew/crew";
    }

    private static Role role(String key) {
        return Role.of(key).orElseThrow(() -> new Refused("role", Because.of("no.no-role")));
    }

    private static String back(CrewId crew) {
        return "redirect:/crews/" + crew;
    }
}
