package embrack.core.check.rule;

import embrack.core.chart.ChartWords;
import embrack.core.compile.Obstacle;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sim.Blame;
import embrack.core.sim.BookProof;
import embrack.core.sim.Cause;
import embrack.core.sim.ControlProof;
import embrack.core.sim.Proof;
import embrack.core.sound.SoundPaths;
import embrack.core.switches.Moment;
import embrack.core.way.Ways;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * What rules look at: a plan and the proofs of its switches.
 *
 * @param controlAssignments the proofs of its treadles, faders and knobs
 * @param book the proofs of its cues, and how the show runs
 * @param blames what is to blame for each place that a switch or cue leaves otherwise than meant
 * @param halted all that an obstacle stops, those together of which each is stopped by the same
 * @param ways the ways through its rig
 * @param sound the ways of sound in its rig
 */
public record Subject(
        Plan plan,
        List<Proof> proofs,
        List<ControlProof> controlAssignments,
        BookProof book,
        List<Blame> blames,
        List<List<Halted>> halted,
        Ways ways,
        SoundPaths sound) {

    public Subject {
        proofs = List.copyOf(proofs);
        blames = List.copyOf(blames);
        halted = List.copyOf(halted);
        controlAssignments = List.copyOf(controlAssignments);
    }

    /** What an obstacle of a sort stops, those together of which each is stopped by the same. */
    public List<List<Halted>> halted(Class<? extends Obstacle> sort) {
        return halted.stream()
                .filter(group -> sort.isInstance(group.getFirst().obstacle()))
                .toList();
    }

    /** What obstacles stop that stop no switch, and no way that is shut for all: nobody tells of them elsewhere. */
    public Stream<List<Halted>> haltedBesideSwitches() {
        return halted.stream()
                .filter(group -> !(group.getFirst().obstacle() instanceof Obstacle.KeptBack)
                        && group.stream().allMatch(each -> each.at().isEmpty()));
    }

    /** A message in the numbers that the manual of a box shows. */
    public String words(Message message, DeviceId box) {
        return ChartWords.of(message, plan.rig().model(box).chart().conventions());
    }

    /** What is to blame, as far as it is of one sort. */
    public <C extends Cause> Stream<Blame> blamed(Class<C> sort) {
        return blames.stream().filter(blame -> sort.isInstance(blame.cause()));
    }

    /** How grave the worst is of what one thing is to blame for. */
    public Severity severity(List<Blame> blames) {
        return blames.stream()
                .map(blame -> !blame.isMeant()
                        ? Severity.LOOK
                        : blame.proof().map(this::severity).orElse(Severity.STOPS))
                .min(Comparator.naturalOrder())
                .orElse(Severity.LOOK);
    }

    /**
     * How grave it is that a switch fails in some state: it stops the show, unless cues say when it is pressed and it
     * is right wherever they do.
     */
    public Severity severity(Proof proof) {
        return proof.moment() == Moment.PRESS && book.run().isRightAsPlayed(proof.at())
                ? Severity.LOOK
                : Severity.STOPS;
    }
}
