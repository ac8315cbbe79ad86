package embrack.core.offer;

import embrack.core.chart.Action;
import embrack.core.chart.Aspect;
import embrack.core.chart.Verb;
import embrack.core.compile.CompiledStep;
import embrack.core.compile.Compiler;
import embrack.core.light.Direct;
import embrack.core.light.Look;
import embrack.core.light.Scenes;
import embrack.core.midi.DataByte;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Assignment;
import embrack.core.switches.Practice;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Finds actions of any device in the rig by words. */
public final class Offers {

    /** How much, at the end of a search: "level main to 100". */
    static final Pattern AMOUNT = Pattern.compile("\\s+(?:to|at)\\s+(\\d{1,3})\\s*$");

    private final Plan plan;
    private final Compiler compiler;

    public Offers(Plan plan) {
        this.plan = plan;
        this.compiler = new Compiler(plan);
    }

    /**
     * The actions in which every word of the search occurs, those first in which all stand at the beginning of words;
     * then of boxes that the board works already; then parts that wear tape, since those are the ones that this show
     * uses; then in the order of the rig. Words may be those that people say: "volume", "panic", the title of a song.
     *
     * @param at the switch that would send them
     * @param search words, or parts of words, in any order; none finds everything;
     *     "to 100" at the end says how much, for actions that take an amount
     */
    public List<Offer> find(SwitchAt at, String search) {
        Set<DeviceId> worked = plan.switches().of(at.board()).stream()
                .filter(assignment -> !assignment.at().equals(at))
                .flatMap(assignment -> assignment.steps().stream())
                .map(Step::device)
                .collect(Collectors.toSet());
        return find(search, worked, step -> compiler.compile(at, step));
    }

    /** As {@link #find(SwitchAt, String)}, for a player that would send them by itself. */
    public List<Offer> find(DeviceId player, String search) {
        return find(search, Set.of(), step -> compiler.compile(player, step));
    }

    private List<Offer> find(String search, Set<DeviceId> worked, Function<Step, CompiledStep> compiled) {
        Matcher amount = AMOUNT.matcher(search);
        Optional<Integer> to = amount.find()
                ? Optional.of(Integer.parseInt(amount.group(1))).filter(n -> n <= DataByte.MAX)
                : Optional.empty();
        List<Step> inBank = InBank.of(search).map(place -> place.in(plan.rig())).orElse(List.of());
        if (!inBank.isEmpty()) {
            return inBank.stream()
                    .map(step -> offer(step, compiled.apply(step)))
                    .map(offer -> offer.called(InBank.words(plan.rig(), offer.step(), search)))
                    .toList();
        }
        Asked asked = Asked.of(to.isPresent() ? amount.replaceFirst("") : search);
        return Stream.of(
                        looksInBanks(asked, compiled), looksBySlot(asked, compiled), found(asked, to, worked, compiled))
                .flatMap(Function.identity())
                .toList();
    }

    /** Looks that are sent to a desk slot by slot, each as one thing to pick. */
    private Stream<Offer> looksBySlot(Asked asked, Function<Step, CompiledStep> compiled) {
        return plan.rig().devices().stream()
                .flatMap(device -> Direct.of(plan.rig().chart(device.id())).stream()
                        .flatMap(direct -> plan.lights().looks().stream()
                                .filter(look -> asked.isIn(bySlot(device, look).toLowerCase(Locale.ROOT)))
                                .flatMap(look -> bySlot(device, look, direct, compiled).stream())));
    }

    private static String bySlot(Device device, Look look) {
        return "%s: show %s".formatted(device.name(), look.name());
    }

    private Optional<Offer> bySlot(Device device, Look look, Direct direct, Function<Step, CompiledStep> compiled) {
        List<Step> steps = direct.shows(plan.lights(), look).stream()
                .map(action -> new Step(device.id(), action))
                .toList();
        return steps.isEmpty() || steps.size() > Assignment.MAX_STEPS
                ? Optional.empty()
                : Optional.of(new Offer(
                        "%s, %s".formatted(bySlot(device, look), Words.count(steps.size(), "slot")),
                        steps.getFirst(),
                        compiled.apply(steps.getFirst()),
                        steps.subList(1, steps.size())));
    }

    /** Looks that a desk holds in banks: each with the bank that has to be chosen first, as one thing to pick. */
    private Stream<Offer> looksInBanks(Asked asked, Function<Step, CompiledStep> compiled) {
        return plan.lights().held().stream()
                .filter(held -> plan.lights().usesBanks(held.desk()))
                .map(held -> Scenes.shows(plan.rig().chart(held.desk()), held.place()).stream()
                        .map(action -> new Step(held.desk(), action))
                        .toList())
                .filter(steps -> steps.size() == 2)
                .map(steps -> inBank(steps, compiled))
                .filter(offer -> asked.isIn(offer.words().toLowerCase(Locale.ROOT)));
    }

    private Offer inBank(List<Step> steps, Function<Step, CompiledStep> compiled) {
        Step scene = steps.getLast();
        String words = "%s and %s%s"
                .formatted(
                        plan.words(steps.getFirst()),
                        plan.rig().words(scene.device(), scene.action()),
                        plan.lookOf(steps, 1)
                                .map(Look::name)
                                .map(" (%s)"::formatted)
                                .orElse(""));
        return new Offer(words, steps.getFirst(), compiled.apply(steps.getFirst()), List.of(scene));
    }

    private Stream<Offer> found(
            Asked asked, Optional<Integer> to, Set<DeviceId> worked, Function<Step, CompiledStep> compiled) {
        return Stream.of(true, false)
                .flatMap(taped -> plan.rig().devices().stream().flatMap(device -> actions(device, taped, to)))
                .filter(step -> asked.isIn(text(step)))
                .filter(step -> !isOneOfSeveralBanks(step))
                .sorted(Comparator.comparingLong((Step step) -> asked.farFetched(text(step)))
                        .thenComparingLong(step -> asked.beyond(text(step)))
                        .thenComparing(this::isLessWanted)
                        .thenComparing(step -> !worked.contains(step.device())))
                .map(step -> offer(step, compiled.apply(step)));
    }

    private Offer offer(Step step, CompiledStep compiled) {
        List<Step> along = along(step).stream().toList();
        String words = plan.words(step)
                + along.stream()
                        .map(other -> " and " + plan.rig().words(other.device(), other.action()))
                        .collect(Collectors.joining());
        return new Offer(words, step, compiled, along);
    }

    /** Whether a scene is offered with its banks already. */
    private boolean isOneOfSeveralBanks(Step step) {
        return plan.lights().usesBanks(step.device())
                && plan.placeOf(List.of(step), 0)
                        .filter(place -> plan.lights().of(step.device()).stream()
                                .anyMatch(held -> held.place().scene().equals(place.scene())))
                        .isPresent();
    }

    /** A chase comes with its auto-run, as one thing to pick; what a message only turns round is never added. */
    private Optional<Step> along(Step step) {
        boolean ends = step.action().verb() == Verb.OFF || step.action().verb() == Verb.STOP;
        return ends
                ? Optional.empty()
                : plan.rig()
                        .chart(step.device())
                        .need(step.action().part())
                        .flatMap(need -> plan.rig().chart(step.device()).actions().stream()
                                .filter(action -> action.part().equals(need) && action.verb() == Verb.ON)
                                .findFirst())
                        .map(action -> new Step(step.device(), action));
    }

    private Stream<Step> actions(Device device, boolean taped, Optional<Integer> to) {
        return plan.rig().chart(device.id()).wishes().stream()
                .map(action -> to.isPresent() && action.verb().takesAmount()
                        ? new Action(action.verb(), action.part(), to)
                        : action)
                .distinct()
                .filter(action -> device.labels().containsKey(action.part()) == taped)
                .map(action -> new Step(device.id(), action));
    }

    /** Whether the crew likes to work another way: mutes that toggle, or rather mutes that do not. */
    private boolean isLessWanted(Step step) {
        boolean hasBoth = step.action().verb().aspect() == Aspect.MUTED
                && plan.rig().chart(step.device()).wishes().stream()
                                .filter(action ->
                                        action.part().equals(step.action().part())
                                                && action.verb().aspect() == Aspect.MUTED)
                                .map(action -> action.verb() == Verb.TOGGLE_MUTE)
                                .distinct()
                                .count()
                        > 1;
        return hasBoth
                && (step.action().verb() == Verb.TOGGLE_MUTE)
                        != (plan.practices().answer(Practice.MUTES) == 1);
    }

    private String text(Step step) {
        return (plan.words(step) + " " + printedName(step.device(), step.action()) + " "
                        + plan.rig().chart(step.device()).shownAt(step.action()).orElse(""))
                .toLowerCase(Locale.ROOT);
    }

    private String printedName(DeviceId device, Action action) {
        return plan.rig()
                .model(device)
                .part(action.part())
                .map(part -> part.name().text())
                .orElse("");
    }
}
