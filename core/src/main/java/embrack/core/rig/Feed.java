package embrack.core.rig;

import embrack.core.gear.Ear;
import embrack.core.gear.Sound;
import embrack.core.name.Words;
import java.util.Collections;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * One output of a playback device.
 *
 * @param sounds what is on it; none when it is not used
 * @param to who hears it; nobody when it goes nowhere, or to a box that only listens for a heartbeat
 */
public record Feed(SortedSet<Sound> sounds, SortedSet<Ear> to) {

    /** An output that is not used. */
    public static final Feed NONE = new Feed(Collections.emptySortedSet(), Collections.emptySortedSet());

    public Feed {
        sounds = Collections.unmodifiableSortedSet(new TreeSet<>(sounds));
        to = Collections.unmodifiableSortedSet(new TreeSet<>(to));
    }

    /** Whether anything is on it. */
    public boolean isUsed() {
        return !sounds.isEmpty();
    }

    /** In words: "tracks and click to house and in-ears". */
    public String words() {
        return "%s to %s"
                .formatted(
                        sounds.isEmpty()
                                ? "nothing"
                                : Words.list(sounds.stream().map(Sound::words).toList()),
                        to.isEmpty()
                                ? "nowhere"
                                : Words.list(to.stream().map(Ear::words).toList()));
    }
}
