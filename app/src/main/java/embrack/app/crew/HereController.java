package embrack.app.crew;

import embrack.app.door.Entry;
import embrack.app.store.Presence;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Who else is at a rig, and what was done there since a page was drawn. */
@Controller
class HereController {

    private static final int LONGEST = 40;

    private final Presence presence;
    private final RigStore rigs;

    HereController(Presence presence, RigStore rigs) {
        this.presence = presence;
        this.rigs = rigs;
    }

    /**
     * A page says that it is open, and is told of the others.
     *
     * @param page what tells it from other pages
     * @param room where it is, in words
     * @param seen the revision that it shows
     */
    @PostMapping("/rigs/{id}/here")
    String here(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String page,
            @RequestParam(defaultValue = "") String room,
            @RequestParam(defaultValue = "0") int seen,
            Entry entry,
            Model model) {
        int newest = rigs.newestRevision(id);
        boolean isSaid = !entry.isAlone() && page.matches("[a-z0-9-]{1,%d}".formatted(LONGEST));
        if (isSaid) {
            presence.forget();
            presence.mark(id.number(), page, entry.name(), room.substring(0, Math.min(LONGEST, room.length())));
        }
        model.addAttribute("others", isSaid ? presence.others(id.number(), entry.name()) : List.of())
                .addAttribute(
                        "later",
                        seen > 0 && seen < newest ? rigs.history(id, newest, 1).getFirst() : null);
        return "crew/here";
    }
}
