package embrack.core.sim;

import embrack.core.show.SongId;
import embrack.core.switches.SwitchAt;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * What was proven of a prompt book.
 *
 * @param songs one for each song, in the order of the book
 * @param run tonight's show, or all songs in the order of the book when there is none
 * @param breaks what cues do not do in some state, in whatever order
 */
public record BookProof(List<SongProof> songs, ShowRun run, List<CueBreak> breaks) {

    public static final BookProof NONE = new BookProof(List.of(), ShowRun.NONE, List.of());

    public BookProof {
        songs = List.copyOf(songs);
        breaks = List.copyOf(breaks);
    }

    public Optional<SongProof> song(SongId id) {
        return songs.stream().filter(proof -> proof.song().id().equals(id)).findFirst();
    }

    /**
     * With the verdicts of cues that a foot presses: that of its switch, unless it only fails at other moments than
     * those at which it is pressed.
     */
    public BookProof withFeet(Function<SwitchAt, Optional<Verdict>> switches) {
        return new BookProof(
                songs.stream()
                        .map(song -> song.map(proof -> proof.cue()
                                .foot()
                                .map(at -> footed(proof, at, switches))
                                .orElse(proof)))
                        .toList(),
                run,
                breaks);
    }

    /** With what cues do not do in some state. */
    public BookProof withBreaks(List<CueBreak> others) {
        return new BookProof(songs, run, others);
    }

    private CueProof footed(CueProof proof, SwitchAt at, Function<SwitchAt, Optional<Verdict>> switches) {
        Verdict anyTime = switches.apply(at).orElse(Verdict.EXACT);
        boolean held = anyTime.isRight() || anyTime == Verdict.NOT_KNOWN || anyTime == Verdict.NO_WAY;
        return proof.withVerdict(!held && run.isRightAsPlayed(at) ? Verdict.EXACT : anyTime);
    }
}
