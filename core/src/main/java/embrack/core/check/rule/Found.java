package embrack.core.check.rule;

import embrack.core.compile.CompiledStep;
import embrack.core.edit.Edit;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.CueAt;
import embrack.core.sim.Blame;
import embrack.core.sim.ControlProof;
import embrack.core.sim.Proof;
import embrack.core.switches.ControlAt;
import embrack.core.switches.SwitchAt;
import embrack.core.word.Fact;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** A finding in the making: facts by the names that its patterns have for them. */
public final class Found {

    private final RuleInfo rule;
    private final Severity severity;
    private final Map<String, Fact> facts = new LinkedHashMap<>();
    private List<SwitchAt> switches = List.of();
    private List<CueAt> cues = List.of();
    private Remedies remedies = Remedies.NONE;

    Found(RuleInfo rule, Severity severity) {
        this.rule = rule;
        this.severity = severity;
    }

    /** What it is about, as {@link Fact#of(Object)} takes it. */
    public Found with(String name, Object value) {
        facts.put(name, Fact.of(value));
        return this;
    }

    /** Which of the ways it can come about this is. */
    public Found cause(String word) {
        return word("cause", word);
    }

    /** A word by which patterns choose. */
    public Found word(String name, String word) {
        facts.put(name, Fact.word(word));
        return this;
    }

    /** The switches that it explains, which are its fact "switches" too. */
    public Found about(List<SwitchAt> explained) {
        switches = explained;
        return with("switches", new Fact.Switches(explained));
    }

    /** The switch that it explains. */
    public Found about(SwitchAt explained) {
        return about(List.of(explained));
    }

    /**
     * The switches, controls and cues in which it shows; as the fact "scene" the switches and controls, then the cue,
     * or the songs of several.
     */
    public Found blaming(Plan plan, List<Blame> blames) {
        return in(
                plan,
                blames.stream().flatMap(blame -> blame.proof().map(Proof::at).stream()),
                blames.stream().flatMap(blame -> blame.control().stream()),
                blames.stream().flatMap(blame -> blame.cue().stream()));
    }

    /** As {@link #blaming}, for what an obstacle stops. */
    public Found halting(Plan plan, List<Halted> halted) {
        return in(
                plan,
                halted.stream().flatMap(each -> each.at().stream()),
                halted.stream().flatMap(each -> each.control().stream()),
                halted.stream().flatMap(each -> each.cue().stream()));
    }

    /** As {@link #blaming}, for cues. */
    public Found singing(Plan plan, List<CueAt> sung) {
        return in(plan, Stream.empty(), Stream.empty(), sung.stream());
    }

    /** As the fact "scene" all of which a box is the sender, the receiver or on the way, whether it fails or not. */
    public Found needing(DeviceId box, Subject subject) {
        return scene(
                subject.plan(),
                subject.proofs().stream()
                        .filter(proof -> proof.at().board().equals(box) || isMet(box, proof.steps()))
                        .map(Proof::at),
                subject.controlAssignments().stream()
                        .map(ControlProof::at)
                        .filter(at -> at.box().equals(box)),
                subject.book().songs().stream()
                        .flatMap(song -> song.cues().stream()
                                .filter(cue -> song.player().filter(box::equals).isPresent() || isMet(box, cue.steps()))
                                .map(cue ->
                                        new CueAt(song.song().id(), cue.cue().number()))));
    }

    private static boolean isMet(DeviceId box, List<CompiledStep> steps) {
        return steps.stream()
                .anyMatch(step -> step.step().device().equals(box)
                        || step.way()
                                .filter(way -> way.hops().stream()
                                        .anyMatch(hop -> hop.arrivesAt().equals(box)))
                                .isPresent());
    }

    private Found in(Plan plan, Stream<SwitchAt> feet, Stream<ControlAt> controls, Stream<CueAt> sung) {
        about(feet.distinct().sorted().toList()).in(sung.distinct().toList());
        return scene(plan, switches.stream(), controls, cues.stream());
    }

    private Found scene(Plan plan, Stream<SwitchAt> feet, Stream<ControlAt> controls, Stream<CueAt> sung) {
        List<SwitchAt> pressed = feet.distinct().sorted().toList();
        List<CueAt> sent = sung.distinct().toList();
        List<Fact> scene = new ArrayList<>();
        if (!pressed.isEmpty()) {
            scene.add(new Fact.Switches(pressed));
        }
        controls.distinct().map(Fact.Control::new).forEach(scene::add);
        if (sent.size() == 1) {
            scene.add(moment(plan, sent.getFirst()));
        } else {
            sent.stream().map(CueAt::song).distinct().map(Fact.SongOf::new).forEach(scene::add);
        }
        return with("scene", scene);
    }

    private static Fact moment(Plan plan, CueAt at) {
        return plan.book()
                .cue(at.song(), at.number(), false)
                .map(cue -> Fact.of(plan.book().song(at.song()), cue))
                .orElseGet(() -> new Fact.SongOf(at.song()));
    }

    /** The cues that it explains, or the songs. */
    public Found in(List<CueAt> explained) {
        cues = explained;
        return this;
    }

    /** An edit that may mend it; what its button says has the key {@code NAME.do.remedy}. */
    public Found mend(String name, Edit edit) {
        return mend(Remedies.of(new Remedy(name, edit)));
    }

    /** What may mend it, where there is something. */
    public Found mend(Optional<Remedy> found) {
        return mend(found.map(Remedies::of).orElse(Remedies.NONE));
    }

    /** What may mend it, after what was said before; looked for when somebody asks. */
    public Found mend(Remedies more) {
        remedies = remedies.or(more);
        return this;
    }

    public Finding made() {
        return new Finding(rule, severity, facts, switches, cues, remedies);
    }
}
