package embrack.core.check.switches;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.GearEdit;
import embrack.core.edit.NumberEdit;
import embrack.core.gear.Purpose;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sim.Proof;
import embrack.core.sim.Verdict;
import embrack.core.word.Fact;
import embrack.core.world.Place;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** A switch does what it should and moves something else too. */
final class AlsoMoves implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "also-moves");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Map<Stopped.Ends, List<Proof>> byEnds = new LinkedHashMap<>();
        subject.proofs().stream()
                .filter(proof -> proof.verdict() == Verdict.ALSO && !ModeUndoes.explains(subject.plan(), proof))
                .forEach(proof -> proof.wrongPlaces().stream()
                        .map(Place::device)
                        .distinct()
                        .forEach(device -> byEnds.computeIfAbsent(
                                        new Stopped.Ends(proof.at().board(), device), e -> new ArrayList<>())
                                .add(proof)));
        return byEnds.entrySet().stream().map(e -> finding(subject.plan(), e.getKey(), e.getValue()));
    }

    private Finding finding(Plan plan, Stopped.Ends ends, List<Proof> proofs) {
        List<Fact> parts = proofs.stream()
                .flatMap(proof -> proof.wrongPlaces().stream())
                .filter(place -> place.device().equals(ends.device()))
                .map(Place::part)
                .distinct()
                .sorted(Comparator.comparing(
                        part -> plan.rig().partName(ends.device(), part).text()))
                .<Fact>map(part -> new Fact.PartOf(ends.device(), part))
                .toList();
        boolean uninvolved = proofs.stream()
                .noneMatch(p -> p.targets().stream().anyMatch(t -> t.device().equals(ends.device())));
        Optional<Remedy> remedy = otherNumber(plan, proofs.getFirst(), ends.device())
                .or(() -> uninvolved && !hearsAll(plan, ends.device())
                        ? ownChannel(plan, ends.device())
                        : Optional.empty());
        return found(Severity.LOOK)
                .about(proofs.stream().map(Proof::at).toList())
                .with("device", ends.device())
                .with("parts", parts)
                .cause(hearsAll(plan, ends.device()) ? "all-channels" : uninvolved ? "same-channel" : "means-more")
                .mend(remedy)
                .made();
    }

    /** Another number for what was learned, by the box that moves too or by the one that was meant. */
    private static Optional<Remedy> otherNumber(Plan plan, Proof proof, DeviceId also) {
        return Stream.concat(Stream.of(also), proof.targets().stream().map(Place::device))
                .distinct()
                .flatMap(device -> plan.rig().device(device).learned().entrySet().stream()
                        .filter(e -> proof.compiled().sent().stream()
                                .anyMatch(m -> m.type() == e.getValue().type()
                                        && m.data1() == e.getValue().number()))
                        .map(e -> new NumberEdit.PinNumber(
                                device, e.getKey(), e.getValue().type(), "", "")))
                .filter(edit -> Mending.works(plan, edit, proof.at()))
                .findFirst()
                .map(edit -> new Remedy("choose-number", edit));
    }

    private static boolean hearsAll(Plan plan, DeviceId device) {
        return plan.rig().model(device).implementation().quirks().hearsAllChannels()
                || plan.rig().setting(device, Purpose.RECEIVE_CHANNEL).isEmpty();
    }

    private static Optional<Remedy> ownChannel(Plan plan, DeviceId device) {
        Set<Integer> taken = new HashSet<>();
        plan.rig()
                .devices()
                .forEach(d -> Stream.of(Purpose.RECEIVE_CHANNEL, Purpose.SEND_CHANNEL)
                        .forEach(setting -> plan.rig().setting(d.id(), setting).ifPresent(taken::add)));
        return IntStream.rangeClosed(2, 16)
                .filter(channel -> !taken.contains(channel))
                .boxed()
                .findFirst()
                .map(channel -> new Remedy(
                                "set-channel",
                                new GearEdit.ChangeSetting(
                                        device,
                                        plan.rig()
                                                .settingFor(device, Purpose.RECEIVE_CHANNEL)
                                                .id(),
                                        String.valueOf(channel)))
                        .with("channel", channel));
    }
}
