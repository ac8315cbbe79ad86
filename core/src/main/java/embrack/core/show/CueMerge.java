package embrack.core.show;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * What becomes of the cues of a song when those of a list come in.
 *
 * @param song as it is then
 * @param added those that it did not have
 * @param changed those that say something else
 * @param gone those that it has no more
 */
public record CueMerge(Song song, List<Cue> added, List<Changed> changed, List<Cue> gone) {

    public CueMerge {
        added = List.copyOf(added);
        changed = List.copyOf(changed);
        gone = List.copyOf(gone);
    }

    /** How a list is taken. */
    public enum How {
        /** What has the number of a cue takes its place, all else is added. */
        UPDATE,
        /** As for an update; what the list does not have goes. */
        REPLACE,
        /** All of it is added, whatever its numbers. */
        ADD
    }

    /** A cue before and after. */
    public record Changed(Cue before, Cue after) {}

    /**
     * Takes a list in. A number that no cue of the song has now is not given again: such a cue gets the next one.
     *
     * @throws IllegalArgumentException with a sentence for a person when the song would hold too much
     */
    public static CueMerge of(Song song, List<Cue> list, How how) {
        Song merged = song;
        List<Cue> added = new ArrayList<>();
        List<Changed> changed = new ArrayList<>();
        List<Cue> gone = new ArrayList<>();
        Set<Integer> taken = new HashSet<>();
        for (Cue cue : list) {
            Cue before = how == How.ADD ? null : song.cue(cue.number()).orElse(null);
            if (before == null || !taken.add(cue.number())) {
                Cue fresh = cue.withNumber(merged.nextNumber());
                merged = merged.withCue(fresh);
                added.add(fresh);
            } else if (!before.equals(cue)) {
                merged = merged.withCue(cue);
                changed.add(new Changed(before, cue));
            }
        }
        if (how == How.REPLACE) {
            song.cues().stream().filter(cue -> !taken.contains(cue.number())).forEach(gone::add);
            merged = merged.withCues(
                    merged.cues().stream().filter(cue -> !gone.contains(cue)).toList());
        }
        return new CueMerge(merged, added, changed, gone);
    }
}
