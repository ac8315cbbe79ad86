package embrack.core.plan;

import embrack.core.gear.Action;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Step;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** Finds actions of any device in the rig by words. */
public final class Offers {

    private final Plan plan;
    private final Compiler compiler;

    public Offers(Plan plan) {
        this.plan = plan;
        this.compiler = new Compiler(plan);
    }

    /**
     * The actions in which every word of the search occurs, in the order of the rig; parts that wear tape come first,
     * since those are the ones that this show uses.
     *
     * @param sender the board that would send them
     * @param search words, or parts of words, in any order; none finds everything
     */
    public List<Offer> find(DeviceId sender, String search) {
        List<String> words = Stream.of(search.toLowerCase(Locale.ROOT).split("\\s+")).filter(w -> !w.isEmpty()).toList();
        return Stream.of(true, false)
                .flatMap(taped -> plan.rig().devices().stream().flatMap(device -> actions(device, taped)))
                .filter(step -> matches(step, words))
                .map(step -> new Offer(plan.words(step), step, compiler.compile(sender, step)))
                .toList();
    }

    private Stream<Step> actions(Device device, boolean taped) {
        return plan.rig().model(device.id()).actions().stream()
                .filter(action -> device.labels().containsKey(action.part()) == taped)
                .map(action -> new Step(device.id(), action));
    }

    private boolean matches(Step step, List<String> words) {
        String text = (plan.words(step) + " " + printedName(step.device(), step.action())).toLowerCase(Locale.ROOT);
        return words.stream().allMatch(text::contains);
    }

    private String printedName(DeviceId device, Action action) {
        return plan.rig().model(device).part(action.part()).map(part -> part.name().text()).orElse("");
    }
}
