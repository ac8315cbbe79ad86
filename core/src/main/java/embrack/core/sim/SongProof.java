package embrack.core.sim;

import embrack.core.rig.DeviceId;
import embrack.core.show.Song;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * What the proof found out about the cues of one song.
 *
 * @param player who plays it; empty when nothing in the rig does
 * @param cues one for each cue of the song, in its order; none without a player
 * @param always one for each cue that every song sends
 * @param queues where messages wait for each other, by time
 */
public record SongProof(
        Song song, Optional<DeviceId> player, List<CueProof> cues, List<CueProof> always, List<Queue> queues) {

    public SongProof {
        cues = List.copyOf(cues);
        always = List.copyOf(always);
        queues = List.copyOf(queues);
    }

    /** The proof of a cue by its number. */
    public Optional<CueProof> cue(int number) {
        return cues.stream().filter(proof -> proof.cue().number() == number).findFirst();
    }

    /** With other proofs of its cues. */
    SongProof map(UnaryOperator<CueProof> other) {
        return new SongProof(
                song,
                player,
                cues.stream().map(other).toList(),
                always.stream().map(other).toList(),
                queues);
    }
}
