package embrack.core.check;

import embrack.core.check.rule.Finding;
import embrack.core.compile.CompiledStep;
import embrack.core.compile.CompiledSwitch;
import embrack.core.compile.Compiler;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.switches.Assignment;
import embrack.core.switches.SwitchAt;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What an edit would do to a plan, told before it is made.
 *
 * @param lost what no longer fits and would be dropped, each a sentence
 * @param reprogram switches that would send something else, so that their boards must be programmed anew
 * @param arising findings that there are not now
 * @param settled findings that there would not be any more
 */
public record Impact(List<String> lost, List<SwitchAt> reprogram, List<Finding> arising, List<Finding> settled) {

    public Impact {
        lost = List.copyOf(lost);
        reprogram = List.copyOf(reprogram);
        arising = List.copyOf(arising);
        settled = List.copyOf(settled);
    }

    /** The difference between two plans. */
    public static Impact of(Plan before, Plan after) {
        List<Finding> old = Report.of(before).findings();
        List<Finding> young = Report.of(after).findings();
        return new Impact(lost(before, after), reprogram(before, after), without(young, old), without(old, young));
    }

    /** Whether nothing changes that anybody could notice. */
    public boolean isNone() {
        return lost.isEmpty() && reprogram.isEmpty() && arising.isEmpty() && settled.isEmpty();
    }

    /** What no longer fits, each a sentence. */
    public static List<String> lost(Plan before, Plan after) {
        List<String> lost = new ArrayList<>();
        before.rig().links().stream()
                .filter(cable -> !after.rig().links().contains(cable))
                .forEach(cable -> lost.add(
                        "The cable %s is pulled.".formatted(before.rig().words(cable))));
        for (Device device : before.rig().devices()) {
            Optional<Device> now = after.rig().find(device.id());
            device.settings().keySet().stream()
                    .filter(id -> now.filter(d -> d.settings().containsKey(id)).isEmpty())
                    .forEach(id -> lost.add("%s of %s is set back to the factory's."
                            .formatted(
                                    before.rig()
                                            .model(device.id())
                                            .setting(id)
                                            .map(s -> s.name().text())
                                            .orElse(id.text()),
                                    device.name())));
            device.labels().forEach((part, label) -> {
                if (now.filter(d -> d.labels().containsKey(part)).isEmpty()) {
                    lost.add("The tape \"%s\" of %s comes off.".formatted(label, device.name()));
                }
            });
        }
        return lost;
    }

    private static List<SwitchAt> reprogram(Plan before, Plan after) {
        var old = new Compiler(before);
        var young = new Compiler(after);
        return before.switches().assignments().stream()
                .filter(a -> !messages(old, a)
                        .equals(messages(young, after.switches().at(a.at()))))
                .map(Assignment::at)
                .toList();
    }

    private static List<List<Message>> messages(Compiler compiler, Assignment assignment) {
        CompiledSwitch compiled = compiler.compile(assignment);
        return Stream.concat(
                        compiled.allSteps().stream().map(CompiledStep::messages), compiled.byItself().values().stream())
                .toList();
    }

    private static List<Finding> without(List<Finding> findings, List<Finding> known) {
        Set<Finding> old = new HashSet<>(known);
        return findings.stream().filter(finding -> !old.contains(finding)).toList();
    }
}
