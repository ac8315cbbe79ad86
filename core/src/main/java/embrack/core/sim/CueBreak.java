package embrack.core.sim;

import embrack.core.proof.Broken;
import embrack.core.show.CueAt;
import java.util.List;

/**
 * What cues do not do in some state that the rig can reach, whatever the order of the show says.
 *
 * @param broken the shortest story; the cue that fails is the last in it
 * @param cues all that send the same, the first of the book first
 */
public record CueBreak(Broken broken, List<CueAt> cues) {

    public CueBreak {
        cues = List.copyOf(cues);
    }
}
