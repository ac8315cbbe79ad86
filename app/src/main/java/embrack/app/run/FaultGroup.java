package embrack.app.run;

import embrack.app.frame.Spoken;
import embrack.core.rig.Link;
import embrack.core.run.Act;
import embrack.core.run.Fault;
import embrack.core.run.Run;
import embrack.core.run.Telling;
import embrack.core.run.text.ActText;
import embrack.core.word.Wording;
import embrack.core.world.Event;
import embrack.core.world.Event.Fate;
import java.util.List;
import java.util.stream.Stream;

/** What can go wrong in a run, by sort. */
record FaultGroup(String words, List<One> faults) {

    private static final long STUTTER = 10_000_000;
    private static final long OVERRUN = 300_000_000;
    private static final long AGAIN = 30_000_000;

    /** A fault, as an act and in words. */
    record One(String act, String words) {}

    static List<FaultGroup> all(Run run) {
        var plan = run.night().plan();
        Wording wording = Spoken.of(plan);
        var telling = new Telling(run.night());
        List<Link> carrying = plan.rig().links();
        return Stream.of(
                        group(
                                "A link is out",
                                wording,
                                telling,
                                carrying.stream().map(link -> new Fault.LinkOut(link, 0))),
                        group(
                                "A box is out",
                                wording,
                                telling,
                                plan.rig().devices().stream().map(device -> new Fault.BoxOut(device.id(), 0))),
                        group(
                                "A box is off, and is switched on again after half a minute",
                                wording,
                                telling,
                                plan.rig().devices().stream().map(device -> new Fault.BoxOut(device.id(), AGAIN))),
                        group("The wrong memory, or a mute that somebody leant on", wording, telling, astray(run)),
                        group(
                                "A message gets lost",
                                wording,
                                telling,
                                carrying.stream().map(link -> new Fault.Slip(link, Fate.LOST))),
                        group(
                                "A message comes twice",
                                wording,
                                telling,
                                carrying.stream().map(link -> new Fault.Slip(link, Fate.DOUBLED))),
                        group(
                                "Messages come late",
                                wording,
                                telling,
                                carrying.stream().map(link -> new Fault.Stutter(link, STUTTER))),
                        group(
                                "Somebody presses the wrong one",
                                wording,
                                telling,
                                plan.switches().assignments().stream()
                                        .filter(assignment ->
                                                !assignment.steps().isEmpty())
                                        .map(assignment -> new Fault.Misstep(assignment.at()))),
                        pairs(run, wording),
                        group("It takes longer", wording, telling, Stream.of(new Fault.Overrun(OVERRUN))))
                .filter(group -> !group.faults().isEmpty())
                .toList();
    }

    /** What stands otherwise by somebody's hand: another memory, patch or scene; what is muted open, or not. */
    private static Stream<Fault> astray(Run run) {
        return run.night().moved().stream().sorted().flatMap(place -> switch (place.aspect()) {
            case CHOSEN -> run.actual().value(place) == 0 ? Stream.of(new Fault.Astray(place, 1)) : Stream.empty();
            case MUTED, SWITCHED ->
                Stream.of(new Fault.Astray(place, run.actual().value(place) == 0 ? 1 : 0));
            default -> Stream.empty();
        });
    }

    /** Over to the second of each pair that is at its first, though nothing asks for it. */
    private static FaultGroup pairs(Run run, Wording wording) {
        return new FaultGroup(
                "A pair goes over to its second",
                run.night().plan().rig().pairs().stream()
                        .filter(pair -> !run.actual().isOver(pair))
                        .map(pair -> new Event.GoOver(pair))
                        .map(over ->
                                new One(ActText.write(new Act.Repaired(over)), wording.say(Telling.toRepair(over))))
                        .toList());
    }

    private static FaultGroup group(String words, Wording wording, Telling telling, Stream<? extends Fault> faults) {
        return new FaultGroup(
                words,
                faults.map(fault -> new One(ActText.write(new Act.Struck(fault)), wording.say(telling.fault(fault))))
                        .toList());
    }
}
