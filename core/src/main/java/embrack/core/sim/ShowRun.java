package embrack.core.sim;

import embrack.core.chart.PartId;
import embrack.core.proof.Lack;
import embrack.core.rig.DeviceId;
import embrack.core.show.SongId;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Place;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A whole show, run in its order, and again for each likely jump.
 *
 * @param upsets cues that leave something else than they are meant to, each once, the first time
 * @param leftovers what one song leaves behind for the next, in the order of the show
 * @param stills what cues start and what stands still all the same
 * @param between how the rig stands in parts in which no song is played
 * @param jumps how many jumps were tried
 * @param feet switches that cues have pressed, and whether each did what it should every time
 */
public record ShowRun(
        List<Upset> upsets,
        List<Leftover> leftovers,
        List<Still> stills,
        List<Between> between,
        int jumps,
        Map<SwitchAt, Boolean> feet) {

    public static final ShowRun NONE = new ShowRun(List.of(), List.of(), List.of(), List.of(), 0, Map.of());

    public ShowRun {
        upsets = List.copyOf(upsets);
        leftovers = List.copyOf(leftovers);
        stills = List.copyOf(stills);
        between = List.copyOf(between);
        feet = Map.copyOf(feet);
    }

    /** Whether a switch is pressed where cues say so, and does what it should wherever they do. */
    public boolean isRightAsPlayed(SwitchAt at) {
        return feet.getOrDefault(at, false);
    }

    /**
     * A cue after which a place is not as it is meant to be.
     *
     * @param cue its number in the song
     * @param always whether the cue is one that every song sends
     * @param by what changed the place last before it; empty where nothing did, so that it stood so from the start
     */
    public record Upset(
            Jump jump, SongId song, int cue, boolean always, Place place, int meant, int actual, Optional<Turn> by) {}

    /**
     * What changed a place: a cue, or a switch that somebody pressed.
     *
     * @param always whether the cue is one that every song sends
     */
    public record Turn(SongId song, int cue, boolean always, Optional<SwitchAt> foot) {}

    /**
     * What stands otherwise than before the show, in a part in which no song is played.
     *
     * @param entry the number of the part
     * @param before the song that was played before it, if any was
     */
    public record Between(int entry, Optional<SongId> before, Place place, int value) {}

    /** What a cue starts, and what is so of it since the part that it needs is off. */
    public record Still(SongId song, int cue, boolean always, DeviceId device, PartId part, PartId need, Lack lack) {}

    /**
     * What a song changed and did not change back.
     *
     * @param song the one that left it
     * @param into the one that finds it; empty after the last
     * @param value how it stands
     * @param later whether the next song sets it, but only after its first section
     */
    public record Leftover(Jump jump, SongId song, Optional<SongId> into, Place place, int value, boolean later) {}
}
