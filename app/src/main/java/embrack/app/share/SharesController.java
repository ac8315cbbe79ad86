package embrack.app.share;

import embrack.app.door.Entry;
import embrack.app.frame.Echo;
import embrack.app.frame.Refusals;
import embrack.app.store.Because;
import embrack.app.store.NoSuchRig;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.crew.CrewId;
import embrack.app.store.crew.Crews;
import embrack.app.store.crew.Share;
import embrack.app.store.crew.Shares;
import embrack.core.edit.Refused;
import embrack.core.show.Song;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** What a crew shares with others, and they with it: offered by a link, ended by either. */
@Controller
@RequestMapping("/crews/{crew}/shared")
class SharesController {

    private static final String COPY = "copy";

    private final Shares shares;
    private final Crews crews;
    private final RigStore rigs;

    SharesController(Shares shares, Crews crews, RigStore rigs) {
        this.shares = shares;
        this.crews = crews;
        this.rigs = rigs;
    }

    /** With a rig and a song of it, that song can be offered as well. */
    @GetMapping
    String list(
            @PathVariable CrewId crew,
            @RequestParam(defaultValue = "") String rig,
            @RequestParam(defaultValue = "") String song,
            Entry entry,
            Model page) {
        return entry.isAlone() ? "redirect:/people" : show(crew, song(crew, rig, song), Echo.NONE, page);
    }

    /** Makes a link; it is shown once, since nothing keeps it. */
    @PostMapping
    String offer(
            @PathVariable CrewId crew,
            @RequestParam(defaultValue = "") String what,
            @RequestParam(defaultValue = "") String may,
            @RequestParam(defaultValue = "") String note,
            @RequestParam(defaultValue = "7") int days,
            @RequestParam(defaultValue = "") String rig,
            @RequestParam(defaultValue = "") String song,
            Entry entry,
            Model page) {
        Optional<Share.OfSong> ofSong = song(crew, rig, song);
        if (what.equals("song") && ofSong.isEmpty()) {
            throw new Refused("what", Because.of("no.song-gone"));
        }
        Optional<Share.OfSong> offered = what.equals("song") ? ofSong : Optional.empty();
        String secret = shares.offer(
                crew, offered, may.equals(COPY), note, entry.visitor().name(), days);
        page.addAttribute(
                        "link",
                        ServletUriComponentsBuilder.fromCurrentContextPath()
                                .path("/share/" + secret)
                                .toUriString())
                .addAttribute("made", title(offered));
        return show(crew, ofSong, Echo.NONE, page);
    }

    @PostMapping("/{share}/end")
    String end(@PathVariable CrewId crew, @PathVariable long share) {
        shares.end(crew, share);
        return "redirect:/crews/%s/shared".formatted(crew);
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        CrewId crew = CrewId.of(Refusals.pathVariable(request, "crew"));
        Echo echo = Refusals.answer(refused, request, response);
        return show(crew, song(crew, typed(request, "rig"), typed(request, "song")), echo, page);
    }

    private static String typed(HttpServletRequest request, String field) {
        return Objects.requireNonNullElse(request.getParameter(field), "");
    }

    /** A song of a rig of the crew; of others nothing is said. */
    private Optional<Share.OfSong> song(CrewId crew, String rig, String song) {
        if (!rig.matches("\\d{1,18}")
                || !rigs.crew(new RigId(Long.parseLong(rig))).equals(Optional.of(crew))) {
            return Optional.empty();
        }
        var id = new RigId(Long.parseLong(rig));
        return rigs.load(id).plan().book().songs().stream()
                .filter(one -> one.id().text().equals(song))
                .map(one -> new Share.OfSong(id, one.id()))
                .findFirst();
    }

    private String show(CrewId crew, Optional<Share.OfSong> song, Echo echo, Model page) {
        page.addAttribute("shared", SharedPage.of(crew, shares.of(crew), shares.with(crew), song, this::title))
                .addAttribute("crewName", crews.name(crew))
                .addAttribute("echo", echo);
        return "share/list";
    }

    /** What is shared, in words. */
    private String title(Optional<Share.OfSong> song) {
        return song.map(this::title).orElse("all models");
    }

    private String title(Share.OfSong of) {
        try {
            return rigs.load(of.rig()).plan().book().find(of.song()).map(Song::title).stream()
                    .map(title -> title.text())
                    .findFirst()
                    .orElse("a song that is gone");
        } catch (NoSuchRig e) {
            return "a song that is gone";
        }
    }
}
