package embrack.app.share;

import embrack.app.door.Entry;
import embrack.app.frame.Echo;
import embrack.app.frame.Refusals;
import embrack.app.frame.Said;
import embrack.app.frame.SongCopies;
import embrack.app.store.Because;
import embrack.app.store.Hand;
import embrack.app.store.ModelStore;
import embrack.app.store.RigStore;
import embrack.app.store.crew.CrewId;
import embrack.app.store.crew.Share;
import embrack.app.store.crew.Shares;
import embrack.core.edit.Refused;
import embrack.core.gear.Model;
import embrack.core.past.SongInWords;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Reading what another crew shares, and copying it where that is allowed. */
@Controller
@RequestMapping("/crews/{crew}/shared/{share}")
class SharedController {

    private final Shares shares;
    private final ModelStore models;
    private final RigStore rigs;
    private final SongCopies copies;

    SharedController(Shares shares, ModelStore models, RigStore rigs, SongCopies copies) {
        this.shares = shares;
        this.models = models;
        this.rigs = rigs;
        this.copies = copies;
    }

    @GetMapping
    String read(
            @PathVariable CrewId crew,
            @PathVariable long share,
            Entry entry,
            HttpServletResponse response,
            org.springframework.ui.Model page) {
        return show(crew, share, entry, Echo.NONE, response, page);
    }

    /** One of the models that are shared. */
    @GetMapping("/models/{id}")
    String model(
            @PathVariable CrewId crew,
            @PathVariable long share,
            @PathVariable String id,
            HttpServletResponse response,
            org.springframework.ui.Model page) {
        Optional<Share> found = ofModels(crew, share);
        Optional<Model> model = found.flatMap(one -> own(one.crew(), id));
        if (model.isEmpty()) {
            return gone(response, page);
        }
        page.addAttribute("model", SharedModel.of(model.get()))
                .addAttribute("share", head(crew, found.get()))
                .addAttribute("echo", Echo.NONE);
        return "share/model";
    }

    /** Copies a model that is shared. */
    @PostMapping("/models/{id}")
    String copyModel(
            @PathVariable CrewId crew,
            @PathVariable long share,
            @PathVariable String id,
            Hand hand,
            HttpServletResponse response) {
        Model model = ofModels(crew, share)
                .filter(Share::copies)
                .flatMap(one -> own(one.crew(), id))
                .orElseThrow(() -> new Refused("what", Because.of("no.share-gone")));
        models.createNumbered(crew, hand, model, "Copied from another crew");
        Said.to(response, "You have a copy of %s among your models now.".formatted(model.name()));
        return "redirect:/crews/%s/shared/%d".formatted(crew, share);
    }

    /** Copies the song that is shared. */
    @PostMapping
    String copySong(
            @PathVariable CrewId crew,
            @PathVariable long share,
            @RequestParam(defaultValue = "") String to,
            Entry entry,
            Hand hand,
            HttpServletResponse response) {
        Share.OfSong song = shares.find(crew, share)
                .filter(Share::copies)
                .flatMap(Share::song)
                .filter(one -> rigs.isThere(one.rig()))
                .orElseThrow(() -> new Refused("what", Because.of("no.share-gone")));
        SongCopies.Copied copied =
                copies.copy(rigs.load(song.rig()).plan(), song.song(), to, targets(crew, entry), hand);
        Said.to(response, copied.words());
        return "redirect:/rigs/%s/songs".formatted(copied.to());
    }

    @ExceptionHandler
    String refused(
            Refused refused,
            HttpServletRequest request,
            HttpServletResponse response,
            org.springframework.ui.Model page) {
        return show(
                CrewId.of(Refusals.pathVariable(request, "crew")),
                Long.parseLong(Refusals.pathVariable(request, "share")),
                Entry.of(request),
                Refusals.answer(refused, request, response),
                response,
                page);
    }

    private String show(
            CrewId crew,
            long share,
            Entry entry,
            Echo echo,
            HttpServletResponse response,
            org.springframework.ui.Model page) {
        Optional<Share> found = shares.find(crew, share);
        if (found.isEmpty()) {
            return gone(response, page);
        }
        page.addAttribute("share", head(crew, found.get())).addAttribute("echo", echo);
        Optional<Share.OfSong> song = found.get().song();
        if (song.isEmpty()) {
            page.addAttribute("models", models.own(found.get().crew()));
            return "share/models";
        }
        Optional<SongInWords> words = song.filter(one -> rigs.isThere(one.rig()))
                .flatMap(one -> SongInWords.of(rigs.load(one.rig()).plan(), one.song()));
        if (words.isEmpty()) {
            return gone(response, page);
        }
        page.addAttribute("song", words.get()).addAttribute("targets", targets(crew, entry));
        return "share/song";
    }

    /** What stands above each of these pages. */
    record Head(String path, String list, String from, String may, boolean copies) {}

    private static Head head(CrewId crew, Share share) {
        String list = "/crews/%s/shared".formatted(crew);
        return new Head(
                "%s/%d".formatted(list, share.id()), list, share.crewName(), SharedPage.may(share), share.copies());
    }

    private Optional<Share> ofModels(CrewId crew, long share) {
        return shares.find(crew, share).filter(one -> one.song().isEmpty());
    }

    /** A model that a crew describes itself; those that ship everybody has. */
    private Optional<Model> own(CrewId crew, String id) {
        return models.own(crew).stream()
                .filter(model -> model.id().text().equals(id))
                .findFirst();
    }

    /** The rigs of a crew that whoever asks plans. */
    private List<SongCopies.Target> targets(CrewId crew, Entry entry) {
        return copies.targets(entry, Optional.empty()).stream()
                .filter(rig -> rigs.crew(rig.id()).equals(Optional.of(crew)))
                .toList();
    }

    private static String gone(HttpServletResponse response, org.springframework.ui.Model page) {
        response.setStatus(HttpStatus.NOT_FOUND.value());
        page.addAttribute("title", "This is shared no more")
                .addAttribute("words", "The other crew ended it, or what was shared is gone. What you copied stays.")
                .addAttribute("looksAgain", false);
        return "frame/calm";
    }
}
