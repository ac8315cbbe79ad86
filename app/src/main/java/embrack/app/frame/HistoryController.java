package embrack.app.frame;

import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Undo and redo, from any page. */
@Controller
class HistoryController {

    private final RigStore rigs;

    HistoryController(RigStore rigs) {
        this.rigs = rigs;
    }

    @PostMapping("/rigs/{id}/undo")
    String undo(@PathVariable RigId id, @RequestParam(defaultValue = "") String back) {
        rigs.undo(id);
        return WayBack.to(id, back);
    }

    @PostMapping("/rigs/{id}/redo")
    String redo(@PathVariable RigId id, @RequestParam(defaultValue = "") String back) {
        rigs.redo(id);
        return WayBack.to(id, back);
    }
}
