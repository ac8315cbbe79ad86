package embrack.core.offer;

import embrack.core.chart.Action;
import embrack.core.chart.Learnable;
import embrack.core.chart.PartId;
import embrack.core.chart.Verb;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.switches.Target;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** Finds levels of any device in the rig by words. */
public final class LevelOffers {

    private final Plan plan;

    public LevelOffers(Plan plan) {
        this.plan = plan;
    }

    /** The levels in which every word of the search occurs, the likeliest first, then in the order of the rig. */
    public List<Target> find(String search) {
        Asked asked = Asked.of(search);
        return plan.rig().devices().stream()
                .flatMap(device -> levels(device).map(part -> new Target(device.id(), part)))
                .filter(target -> asked.isIn(text(target)))
                .sorted(Comparator.comparingLong((Target target) -> asked.farFetched(text(target)))
                        .thenComparingLong(target -> asked.beyond(text(target))))
                .toList();
    }

    private String text(Target target) {
        return plan.words(target).toLowerCase(Locale.ROOT);
    }

    private Stream<PartId> levels(Device device) {
        return Stream.concat(
                        plan.rig().chart(device.id()).actions().stream()
                                .filter(action -> action.verb() == Verb.LEVEL)
                                .map(Action::part),
                        plan.rig().chart(device.id()).learnables().stream()
                                .filter(learnable -> learnable.verb() == Verb.LEVEL)
                                .map(Learnable::part)
                                .map(part -> part.id()))
                .distinct();
    }
}
