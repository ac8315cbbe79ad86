package embrack.app.crew;

import embrack.app.door.Entry;
import embrack.app.frame.Echo;
import embrack.app.frame.Frame;
import embrack.app.frame.Refusals;
import embrack.app.frame.Room;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.app.store.TonightLink;
import embrack.app.store.TonightLinks;
import embrack.core.edit.Refused;
import embrack.paper.drawing.QrCode;
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
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** Links for tonight: made, shown once, taken back. */
@Controller
@RequestMapping("/rigs/{id}/links")
class LinksController {

    private final RigStore rigs;
    private final Reports reports;
    private final TonightLinks links;

    LinksController(RigStore rigs, Reports reports, TonightLinks links) {
        this.rigs = rigs;
        this.reports = reports;
        this.links = links;
    }

    @GetMapping
    String links(@PathVariable RigId id, Entry entry, Model page) {
        return show(id, entry, Echo.NONE, page);
    }

    /** Makes a link; it is shown once, since nothing keeps it. */
    @PostMapping
    String make(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String what,
            @RequestParam(defaultValue = "false") boolean ticks,
            @RequestParam(defaultValue = "") String note,
            @RequestParam(defaultValue = "24") int hours,
            Entry entry,
            Model page) {
        if (entry.isAlone()) {
            throw new Refused("what", Because.of("no.alone"));
        }
        LinksPage.Choice chosen = LinksPage.choices(rigs.load(id).plan()).stream()
                .filter(choice -> choice.key().equals(what))
                .findFirst()
                .orElseThrow(() -> new Refused("what", Because.of("no.no-link-about")));
        boolean mayTick = ticks && chosen.sort() != TonightLink.Sort.PERFORMER;
        String secret = links.make(id, chosen.sort(), chosen.about(), mayTick, note, hours, entry.name());
        String link = ServletUriComponentsBuilder.fromCurrentContextPath()
                .path("/tonight/" + secret)
                .toUriString();
        page.addAttribute("link", link)
                .addAttribute("code", QrCode.of(link, QrCode.QUIET))
                .addAttribute("made", chosen.words())
                .addAttribute("isHereOnly", link.matches("http://(localhost|127\\..*|\\[::1]).*"));
        return show(id, entry, Echo.NONE, page);
    }

    @PostMapping("/{link}/end")
    String end(@PathVariable RigId id, @PathVariable long link) {
        links.end(id, link);
        return "redirect:/rigs/%s/links".formatted(id);
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        Echo echo = Refusals.answer(refused, request, response);
        return show(RigId.of(Refusals.pathVariable(request, "id")), Entry.of(request), echo, page);
    }

    private String show(RigId id, Entry entry, Echo echo, Model page) {
        StoredRig stored = rigs.load(id);
        page.addAttribute("frame", Frame.of(stored, reports.of(stored), Room.FOLDER, "/links"))
                .addAttribute("links", LinksPage.of(stored, links.of(id), entry.isAlone()))
                .addAttribute("echo", echo);
        return "crew/links";
    }
}
