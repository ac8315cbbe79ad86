package embrack.core.run;

import embrack.core.rig.DeviceId;
import embrack.core.show.Cue;
import embrack.core.show.Song;
import embrack.core.sim.CueProof;
import embrack.core.sim.SongProof;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * What happens in a song, in order.
 *
 * @param player who plays it and sends its cues
 */
record Script(Song song, DeviceId player, List<Beat> load, List<Beat> inside, List<Beat> stop, List<Beat> loop) {

    /**
     * One moment of a song.
     *
     * @param at microseconds from bar 1
     * @param every whether it is one that every song sends
     * @param timed whether the clock of the song knows it
     */
    record Beat(long at, Cue cue, boolean every, boolean timed) {}

    static Script of(SongProof proof, DeviceId player) {
        return new Script(
                proof.song(),
                player,
                beats(proof, CueProof.Phase.LOAD),
                beats(proof, CueProof.Phase.INSIDE),
                beats(proof, CueProof.Phase.STOP),
                beats(proof, CueProof.Phase.LOOP));
    }

    /** What every song sends first, where it comes at the same time. */
    private static List<Beat> beats(SongProof proof, CueProof.Phase phase) {
        Song song = proof.song();
        return Stream.concat(
                        proof.always().stream()
                                .filter(cue -> cue.phase() == phase)
                                .map(cue -> beat(cue, song, true)),
                        proof.cues().stream()
                                .filter(cue -> cue.phase() == phase)
                                .map(cue -> beat(cue, song, false)))
                .sorted(Comparator.comparingLong(Beat::at))
                .toList();
    }

    private static Beat beat(CueProof proof, Song song, boolean every) {
        return new Beat(
                proof.beginsMicros(song), proof.cue(), every, proof.micros().isPresent());
    }

    /** The first beat at a time or later. */
    int firstFrom(long micros) {
        int first = 0;
        while (first < inside.size() && inside.get(first).at() < micros) {
            first++;
        }
        return first;
    }
}
