package embrack.core.gear;

import java.util.Collections;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What a box does with sound.
 *
 * @param runs ways through it
 * @param sources what begins in it, by the socket where it comes out
 * @param ears who hears what comes in, by the socket
 */
public record SoundInside(List<SoundRun> runs, SortedMap<PortId, Sound> sources, SortedMap<PortId, Ear> ears) {

    /** Of a box that sound does not pass. */
    public static final SoundInside NONE =
            new SoundInside(List.of(), Collections.emptySortedMap(), Collections.emptySortedMap());

    public SoundInside {
        runs = List.copyOf(runs);
        sources = Collections.unmodifiableSortedMap(new TreeMap<>(sources));
        ears = Collections.unmodifiableSortedMap(new TreeMap<>(ears));
    }

    /** All ways through it, in order. */
    public List<SoundWay> ways() {
        return runs.stream().flatMap(run -> run.ways().stream()).toList();
    }
}
