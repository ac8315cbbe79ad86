package embrack.core.plan;

import embrack.core.chart.Action;
import embrack.core.midi.DataByte;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Finds actions of any device in the rig by words. */
public final class Offers {

    /** How much, at the end of a search: "level main to 100". */
    private static final Pattern AMOUNT = Pattern.compile("\\s+(?:to|at)\\s+(\\d{1,3})\\s*$");

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
     * @param at the switch that would send them
     * @param search words, or parts of words, in any order; none finds everything;
     *     "to 100" at the end says how much, for actions that take an amount
     */
    public List<Offer> find(SwitchAt at, String search) {
        Matcher amount = AMOUNT.matcher(search);
        Optional<Integer> to = amount.find() ? Optional.of(Integer.parseInt(amount.group(1))).filter(n -> n <= DataByte.MAX) : Optional.empty();
        List<String> words = Stream.of(to.isPresent() ? amount.replaceFirst("") : search)
                .flatMap(text -> Stream.of(text.toLowerCase(Locale.ROOT).split("\\s+"))).filter(w -> !w.isEmpty()).toList();
        return Stream.of(true, false)
                .flatMap(taped -> plan.rig().devices().stream().flatMap(device -> actions(device, taped, to)))
                .filter(step -> matches(step, words))
                .map(step -> new Offer(plan.words(step), step, compiler.compile(at, step)))
                .toList();
    }

    private Stream<Step> actions(Device device, boolean taped, Optional<Integer> to) {
        return plan.rig().model(device.id()).actions().stream()
                .map(action -> to.isPresent() && action.verb().takesAmount() ? new Action(action.verb(), action.part(), to) : action)
                .distinct()
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
