package embrack.app.run;

import embrack.app.frame.Spoken;
import embrack.core.rig.Link;
import embrack.core.run.Act;
import embrack.core.run.Fault;
import embrack.core.run.Run;
import embrack.core.run.Telling;
import embrack.core.run.text.ActText;
import embrack.core.word.Wording;
import embrack.core.world.Event.Fate;
import java.util.List;
import java.util.stream.Stream;

/** What can go wrong in a run, by sort. */
record FaultGroup(String words, List<One> faults) {

    private static final long STUTTER = 10_000_000;
    private static final long OVERRUN = 300_000_000;

    /** A fault, as an act and in words. */
    record One(String act, String words) {}

    static List<FaultGroup> all(Run run) {
        var plan = run.night().plan();
        Wording wording = Spoken.of(plan);
        var telling = new Telling(run.night());
        List<Link> carrying = plan.rig().links();
        return List.of(
                group("A link is out", wording, telling, carrying.stream().map(link -> new Fault.LinkOut(link, 0))),
                group(
                        "A box is out",
                        wording,
                        telling,
                        plan.rig().devices().stream().map(device -> new Fault.BoxOut(device.id(), 0))),
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
                                .filter(assignment -> !assignment.steps().isEmpty())
                                .map(assignment -> new Fault.Misstep(assignment.at()))),
                group("It takes longer", wording, telling, Stream.of(new Fault.Overrun(OVERRUN))));
    }

    private static FaultGroup group(String words, Wording wording, Telling telling, Stream<? extends Fault> faults) {
        return new FaultGroup(
                words,
                faults.map(fault -> new One(ActText.write(new Act.Struck(fault)), wording.say(telling.fault(fault))))
                        .toList());
    }
}
