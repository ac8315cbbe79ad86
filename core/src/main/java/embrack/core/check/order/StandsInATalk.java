package embrack.core.check.order;

import embrack.core.chart.Aspect;
import embrack.core.chart.Chart;
import embrack.core.chart.Meaning;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.gear.Kind;
import embrack.core.plan.Plan;
import embrack.core.show.CueAt;
import embrack.core.show.Entry;
import embrack.core.show.Item;
import embrack.core.show.Show;
import embrack.core.sim.Jump;
import embrack.core.sim.ShowRun.Between;
import embrack.core.sim.ShowRun.Leftover;
import embrack.core.word.Fact;
import embrack.core.world.Place;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** In a part in which people speak or leave, it is dark, the house is muted, a loop goes on, or an effect is open. */
final class StandsInATalk implements Rule {

    private static final Set<Item> SPOKEN =
            EnumSet.of(Item.TALK, Item.ANNOUNCEMENT, Item.MESSAGE, Item.PRAYER, Item.COUNTDOWN, Item.WALK_OUT);
    private static final Set<Kind> EFFECTS = EnumSet.of(Kind.SOUND_SWITCHER, Kind.INSTRUMENT_HOST);

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.ORDER, "stands-in-a-talk");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Set<Place> said = subject.book().run().leftovers().stream()
                .filter(left -> left.jump() instanceof Jump.None)
                .map(Leftover::place)
                .collect(Collectors.toCollection(HashSet::new));
        return subject.plan().book().tonight().stream()
                .flatMap(show -> subject.book().run().between().stream()
                        .flatMap(between -> finding(subject.plan(), show, between).stream()
                                .filter(found -> said.add(between.place()))));
    }

    private Optional<Finding> finding(Plan plan, Show show, Between between) {
        return show.order().stream()
                .filter(entry -> entry.number() == between.entry() && SPOKEN.contains(entry.item()))
                .findFirst()
                .flatMap(entry -> cause(plan, between).map(cause -> finding(show, entry, between, cause)));
    }

    private static Optional<String> cause(Plan plan, Between between) {
        Chart chart = plan.rig().chart(between.place().device());
        Kind kind = plan.rig().model(between.place().device()).kind();
        Aspect aspect = between.place().aspect();
        boolean isOn = between.value() != 0;
        if (isOn && chart.isMeant(between.place().part(), Meaning.BLACKOUT)) {
            return Optional.of("dark");
        }
        if (isOn && aspect == Aspect.MUTED && chart.isMeant(between.place().part(), Meaning.HOUSE)) {
            return Optional.of("muted");
        }
        if (isOn && aspect == Aspect.TRANSPORT && kind == Kind.LOOPER) {
            return Optional.of("goes-on");
        }
        return isOn && aspect == Aspect.SWITCHED && EFFECTS.contains(kind) ? Optional.of("open") : Optional.empty();
    }

    private Finding finding(Show show, Entry entry, Between between, String cause) {
        return found(Severity.LOOK)
                .with("show", show.name())
                .with("part", entry.name())
                .with(
                        "place",
                        new Fact.PartOf(
                                between.place().device(), between.place().part()))
                .cause(cause)
                .in(between.before().map(CueAt::whole).stream().toList())
                .made();
    }
}
