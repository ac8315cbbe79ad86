package embrack.core.check.switches;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.edit.GearEdit;
import embrack.core.edit.NumberEdit;
import embrack.core.gear.SettingId;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sim.Place;
import embrack.core.sim.Proof;
import embrack.core.sim.Verdict;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** A switch does what it should and moves something else too. */
final class AlsoMoves implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("switches.also-moves", "Something else moves too");
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
        Set<String> parts = proofs.stream()
                .flatMap(proof -> proof.wrongPlaces().stream())
                .filter(place -> place.device().equals(ends.device()))
                .map(place -> plan.rig().partName(place.device(), place.part()).text())
                .collect(Collectors.toCollection(TreeSet::new));
        boolean uninvolved = proofs.stream()
                .noneMatch(p -> p.targets().stream().anyMatch(t -> t.device().equals(ends.device())));
        Optional<Remedy> remedy = otherNumber(plan, proofs.getFirst(), ends.device())
                .or(() -> uninvolved && !hearsAll(plan, ends.device())
                        ? ownChannel(plan, ends.device())
                        : Optional.empty());
        return new Finding(
                info(),
                Severity.LOOK,
                plan.words(proofs.stream().map(Proof::at).toList()),
                "%s moves too: %s.".formatted(plan.rig().name(ends.device()), Words.list(parts)),
                hearsAll(plan, ends.device())
                        ? "The messages reach %s as well, and it listens to all channels."
                                .formatted(plan.rig().name(ends.device()))
                        : uninvolved
                                ? "The messages reach %s as well, and it listens to the same channel."
                                        .formatted(plan.rig().name(ends.device()))
                                : "One of the messages means more to %s than its chart says."
                                        .formatted(plan.rig().name(ends.device())),
                remedy.map(r -> r.edit() instanceof NumberEdit
                                ? "Have it learn another number."
                                : "Give %s a channel of its own."
                                        .formatted(plan.rig().name(ends.device())))
                        .orElse("Look at what these parts answer to, and keep the messages apart."),
                proofs.stream().map(Proof::at).toList(),
                remedy);
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
                .map(edit -> new Remedy("Choose another number", edit));
    }

    private static boolean hearsAll(Plan plan, DeviceId device) {
        return plan.rig().model(device).answers().quirks().hearsAllChannels()
                || plan.rig().setting(device, SettingId.RECEIVE_CHANNEL).isEmpty();
    }

    private static Optional<Remedy> ownChannel(Plan plan, DeviceId device) {
        Set<Integer> taken = new HashSet<>();
        plan.rig()
                .devices()
                .forEach(d -> Stream.of(SettingId.RECEIVE_CHANNEL, SettingId.SEND_CHANNEL)
                        .forEach(setting -> plan.rig().setting(d.id(), setting).ifPresent(taken::add)));
        return IntStream.rangeClosed(2, 16)
                .filter(channel -> !taken.contains(channel))
                .boxed()
                .findFirst()
                .map(channel -> new Remedy(
                        "Set %s to channel %d".formatted(plan.rig().name(device), channel),
                        new GearEdit.ChangeSetting(device, SettingId.RECEIVE_CHANNEL, String.valueOf(channel))));
    }
}
