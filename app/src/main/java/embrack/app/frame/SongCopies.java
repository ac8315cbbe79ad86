package embrack.app.frame;

import embrack.app.door.Entry;
import embrack.app.store.Because;
import embrack.app.store.Hand;
import embrack.app.store.RigEntry;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.crew.Right;
import embrack.core.edit.Refused;
import embrack.core.edit.SongEdit;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Songs are copied to rigs that their reader plans, be they of the same crew or of another. */
@Component
public class SongCopies {

    private final RigStore rigs;

    SongCopies(RigStore rigs) {
        this.rigs = rigs;
    }

    /** A rig that a song can be copied to. */
    public record Target(RigId id, String name, String crew) {}

    /**
     * What came of it.
     *
     * @param words "Copied without 2 cues: this rig lacks the boxes."
     */
    public record Copied(RigId to, String words) {}

    /** The rigs that whoever asks plans, but one. */
    public List<Target> targets(Entry entry, Optional<RigId> but) {
        List<RigEntry> seen =
                entry.person().map(person -> rigs.visibleTo(person.id())).orElseGet(rigs::list);
        return seen.stream()
                .filter(rig -> !but.equals(Optional.of(rig.id())) && entry.may(Right.EDIT, rig.id()))
                .map(rig -> new Target(rig.id(), rig.name(), entry.crews().getOrDefault(rig.crew(), "")))
                .toList();
    }

    /**
     * Copies a song of a plan.
     *
     * @param to the number of one of the targets, as it was chosen
     * @throws Refused where there is no such song or target
     */
    public Copied copy(Plan from, SongId song, String to, List<Target> targets, Hand hand) {
        Song found = from.book().find(song).orElseThrow(() -> new Refused("song", Because.of("no.song-gone")));
        RigId target = targets.stream()
                .map(Target::id)
                .filter(rig -> rig.toString().equals(to))
                .findFirst()
                .orElseThrow(() -> new Refused("to", Because.of("no.none-of-the-list")));
        var copy = new SongEdit.CopySong(found, from.rig());
        int left = found.cues().size()
                - copy.fitted(rigs.load(target).plan().rig()).cues().size();
        // What was seen is a revision of the rig that it is of.
        rigs.edit(target, new Hand(hand.author(), Optional.empty(), hand.once()), copy);
        return new Copied(
                target,
                left == 0
                        ? "Copied."
                        : "Copied without %s: this rig lacks the boxes.".formatted(Words.count(left, "cue")));
    }
}
