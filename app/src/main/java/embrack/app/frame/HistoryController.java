package embrack.app.frame;

import embrack.app.door.Entry;
import embrack.app.store.Hand;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.edit.Refused;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Undo and redo, from any page; an earlier revision in the place of one that cannot be read. */
@Controller
@RequestMapping("/rigs/{id}")
class HistoryController {

    private final RigStore rigs;

    HistoryController(RigStore rigs) {
        this.rigs = rigs;
    }

    @PostMapping("/undo")
    String undo(
            @PathVariable RigId id,
            Hand hand,
            @RequestParam(defaultValue = "") String back,
            Entry entry,
            HttpServletResponse response) {
        return done(id, back, said("Taken back", rigs.undo(id, hand), entry), response);
    }

    @PostMapping("/redo")
    String redo(
            @PathVariable RigId id,
            Hand hand,
            @RequestParam(defaultValue = "") String back,
            Entry entry,
            HttpServletResponse response) {
        return done(id, back, said("Made again", rigs.redo(id, hand), entry), response);
    }

    @PostMapping("/revisions/{revision}/bring-back")
    String bringBack(@PathVariable RigId id, Hand hand, @PathVariable int revision, HttpServletResponse response) {
        rigs.bringBack(id, hand, revision);
        return done(id, "", Optional.of("Revision %d is the newest again.".formatted(revision)), response);
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response) {
        Said.to(response, Spoken.words().say(refused.phrase()));
        return WayBack.to(
                RigId.of(Refusals.pathVariable(request, "id")),
                Objects.requireNonNullElse(request.getParameter("back"), ""));
    }

    /** What was done, in words; who is one of several is told as well that nothing of theirs is left. */
    private static Optional<String> said(String done, Optional<String> what, Entry entry) {
        return what.map(words -> "%s: %s.".formatted(done, words))
                .or(() -> entry.isAlone() ? Optional.empty() : Optional.of("There is nothing of yours left for that."));
    }

    private static String done(RigId id, String back, Optional<String> words, HttpServletResponse response) {
        words.ifPresent(said -> Said.to(response, said));
        return WayBack.to(id, back);
    }
}
