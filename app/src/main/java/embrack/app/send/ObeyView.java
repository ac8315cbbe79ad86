package embrack.app.send;

import embrack.app.frame.Spoken;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.send.Caution;
import embrack.core.send.Probes;
import embrack.core.word.Phrase;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A box at a port of a page, which may obey a run.
 *
 * @param isOpen whether somebody at that page said yes to it
 * @param minds what to mind before: what the show has it do can hurt somebody
 */
record ObeyView(String key, String name, String port, boolean isOpen, List<String> minds) {

    /** The boxes that the show has do something, by the first port that leads to each. */
    static List<ObeyView> all(Plan plan, Map<String, Optional<DeviceId>> plugged, Set<DeviceId> open) {
        Probes probes = Probes.of(plan);
        Set<DeviceId> obeying = Set.copyOf(probes.boxes());
        List<ObeyView> all = new ArrayList<>();
        plugged.forEach((port, box) -> box.filter(obeying::contains)
                .filter(b -> all.stream().noneMatch(one -> one.key().equals(b.text())))
                .ifPresent(b -> all.add(new ObeyView(
                        b.text(), plan.rig().name(b).text(), port, open.contains(b), minds(plan, probes, b)))));
        return all;
    }

    private static List<String> minds(Plan plan, Probes probes, DeviceId box) {
        Set<Caution> cautions = EnumSet.noneOf(Caution.class);
        probes.all().stream()
                .filter(probe -> probe.device().equals(box))
                .forEach(probe -> cautions.addAll(probe.cautions()));
        List<Phrase> minds = new ArrayList<>(Caution.before(plan, box));
        cautions.stream().map(Caution::words).forEach(minds::add);
        return minds.stream().map(Spoken.of(plan)::say).distinct().toList();
    }
}
