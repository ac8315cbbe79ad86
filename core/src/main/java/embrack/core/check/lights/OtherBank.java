package embrack.core.check.lights;

import embrack.core.chart.PartId;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.DeskEdit;
import embrack.core.edit.Edit;
import embrack.core.light.Scenes;
import embrack.core.plan.Plan;
import embrack.core.proof.Broken;
import embrack.core.proof.Doing;
import embrack.core.proof.Lack;
import embrack.core.rig.DeviceId;
import embrack.core.show.Cue;
import embrack.core.show.CueAt;
import embrack.core.show.Song;
import embrack.core.sim.Blame;
import embrack.core.sim.Cause;
import embrack.core.sim.Proof;
import embrack.core.sim.ShowRun.Still;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.word.Fact;
import embrack.core.world.Place;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.stream.Stream;

/** A scene is recalled while a desk is in another bank: it shows another look, and nobody knows until it does. */
final class OtherBank implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.LIGHTS, "other-bank");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Set<SwitchAt> said = new HashSet<>();
        return Stream.concat(
                subject.blamed(Cause.OtherBank.class)
                        .filter(blame -> said.add(blame.proof().orElseThrow().at()))
                        .map(blame -> pressed(subject, blame)),
                subject.book().run().stills().stream()
                        .filter(still -> still.lack() == Lack.IS_ANOTHER)
                        .flatMap(still -> played(subject.plan(), still).stream()));
    }

    private Finding pressed(Subject subject, Blame blame) {
        Plan plan = subject.plan();
        Proof proof = blame.proof().orElseThrow();
        Broken broken = blame.story().orElseThrow();
        Place scene = broken.without().orElseThrow().started();
        Moment moment = broken.last() instanceof Doing.Foot foot ? foot.moment() : proof.moment();
        return found(subject.severity(proof))
                .about(proof.at())
                .cause("switch")
                .with("story", broken.phrase(plan))
                .with("place", new Fact.PartOf(scene.device(), scene.part()))
                .with("need", new Fact.PartOf(scene.device(), broken.place().part()))
                .mend(remedy(
                        plan,
                        plan.switches().at(proof.at()).steps(moment),
                        scene.device(),
                        scene.part(),
                        broken.place().part(),
                        (step, bank) -> new DeskEdit.ChooseBank(proof.at(), moment, step, bank)))
                .made();
    }

    private Optional<Finding> played(Plan plan, Still still) {
        Song song = plan.book().song(still.song());
        Optional<Cue> cue = plan.book().cue(still.song(), still.cue(), still.always());
        return cue.map(now -> found(Severity.STOPS)
                .cause("cue")
                .with("at", Fact.of(song, now))
                .with("place", new Fact.PartOf(still.device(), still.part()))
                .with("need", new Fact.PartOf(still.device(), still.need()))
                .mend(
                        still.always()
                                ? Optional.empty()
                                : remedy(
                                        plan,
                                        now.steps(),
                                        still.device(),
                                        still.part(),
                                        still.need(),
                                        (step, bank) ->
                                                new DeskEdit.ChooseBankInCue(song.id(), still.cue(), step, bank)))
                .in(List.of(still.always() ? CueAt.whole(song.id()) : new CueAt(song.id(), still.cue())))
                .made());
    }

    /** Has the bank chosen just before the scene, where one message chooses it. */
    private static Optional<Remedy> remedy(
            Plan plan, List<Step> steps, DeviceId desk, PartId scene, PartId bank, BiFunction<Step, Step, Edit> edit) {
        return steps.stream()
                .filter(step ->
                        step.device().equals(desk) && step.action().part().equals(scene))
                .findFirst()
                .flatMap(step ->
                        Scenes.shows(plan.rig().chart(desk), new Scenes.Place(Optional.of(bank), scene)).stream()
                                .filter(action -> action.part().equals(bank))
                                .findFirst()
                                .map(action -> new Remedy("choose", edit.apply(step, new Step(desk, action)))));
    }
}
