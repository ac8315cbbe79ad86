package embrack.app.switches;

import embrack.app.frame.FindingView;
import embrack.app.frame.Mark;
import embrack.core.check.Report;
import embrack.core.gear.Board;
import embrack.core.gear.ShownMessage;
import embrack.core.midi.Wire;
import embrack.core.plan.CompiledStep;
import embrack.core.plan.CompiledSwitch;
import embrack.core.plan.Compiler;
import embrack.core.plan.Obstacle;
import embrack.core.plan.Offer;
import embrack.core.plan.Offers;
import embrack.core.plan.Plan;
import embrack.core.sim.Place;
import embrack.core.sim.Proof;
import embrack.core.sim.Prover;
import embrack.core.sim.Story;
import embrack.core.sim.Verdict;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** The selected switch: its tape, its steps with their messages, what is proven and what can be added. */
record PanelView(String path, int number, String label, Optional<Mark> mark, List<StepRow> steps, String proven, String route,
        List<PressRow> presses, List<FindingView> findings, List<String> cautions, String find, List<OfferRow> offers, int moreOffers) {

    private static final int OFFERS_SHOWN = 8;
    private static final int PRESS_ROWS_SHOWN = 6;

    /**
     * A step.
     *
     * @param reads what the board's display reads where it cannot show a number in full
     * @param obstacle why it is not sent, in a few words; empty when it is
     */
    record StepRow(int index, String deviceId, String device, String key, String words, String message, String bytes, String reads, String obstacle) {
    }

    /** What was meant and what happens at one place after one press. */
    record PressRow(int press, String place, String meant, String happens, boolean isWrong) {
    }

    /** An action to add. */
    record OfferRow(String device, String key, String words, String message, String bytes, String obstacle) {
    }

    static PanelView of(Report report, SwitchAt at, String path, String find) {
        Plan plan = report.plan();
        Optional<Proof> proof = report.proof(at);
        CompiledSwitch compiled = new Compiler(plan).compile(plan.switches().at(at));
        List<Offer> offers = find.isBlank() ? List.of() : new Offers(plan).find(at, find);
        return new PanelView(BoardView.href(path, at), at.number(), plan.switches().at(at).label().map(Object::toString).orElse(""),
                proof.map(p -> Mark.of(p.verdict())),
                IntStream.range(0, compiled.steps().size()).mapToObj(i -> step(plan, at, i, compiled.steps().get(i))).toList(),
                proof.map(PanelView::proven).orElse(""),
                proof.map(p -> String.join("; ", Story.of(plan, p).path())).orElse(""),
                proof.map(p -> presses(plan, p)).orElse(List.of()),
                report.findings(at).stream().map(FindingView::of).toList(),
                plan.switches().at(at).steps().stream().flatMap(s -> s.action().caution().stream()).distinct().toList(),
                find, offers.stream().limit(OFFERS_SHOWN).map(offer -> offer(plan, at, offer)).toList(),
                Math.max(0, offers.size() - OFFERS_SHOWN));
    }

    private static StepRow step(Plan plan, SwitchAt at, int index, CompiledStep compiled) {
        Step step = compiled.step();
        List<ShownMessage> shown = shown(plan, at, compiled);
        return new StepRow(index, step.device().text(), plan.rig().name(step.device()).text(), step.action().key(),
                plan.rig().words(step.device(), step.action()), joined(shown, ShownMessage::line),
                joined(shown, ShownMessage::bytes), joined(shown, ShownMessage::reads), compiled.obstacle().map(PanelView::obstacle).orElse(""));
    }

    private static OfferRow offer(Plan plan, SwitchAt at, Offer offer) {
        List<ShownMessage> shown = shown(plan, at, offer.compiled());
        return new OfferRow(offer.step().device().text(), offer.step().action().key(), offer.words(),
                joined(shown, ShownMessage::line), joined(shown, ShownMessage::bytes),
                offer.compiled().obstacle().map(PanelView::obstacle).orElse(""));
    }

    private static String joined(List<ShownMessage> shown, Function<ShownMessage, String> text) {
        return shown.stream().map(text).filter(s -> !s.isEmpty()).collect(Collectors.joining(" + "));
    }

    private static List<ShownMessage> shown(Plan plan, SwitchAt at, CompiledStep compiled) {
        Board board = plan.board(at.board());
        return compiled.messages().stream().map(message -> ShownMessage.on(board, message)).toList();
    }

    private static String obstacle(Obstacle obstacle) {
        return switch (obstacle) {
            case Obstacle.NoChartLine o -> "the box has no message for it";
            case Obstacle.NothingLearned o -> "the box has to learn a message for it first";
            case Obstacle.SendsItsOwn o -> "this switch sends %s %d and nothing else".formatted(o.type().shortName(), o.number());
            case Obstacle.CannotSend o -> "the board cannot send " + o.type().plural();
            case Obstacle.NoPath o -> "no link leads there";
            case Obstacle.KeptBack o -> o.where();
            case Obstacle.OneTooMany o -> "one more than the board sends in a press";
        };
    }

    private static String proven(Proof proof) {
        return proof.verdict() == Verdict.EXACT
                ? "%d presses from each end, all boxes compared: exactly as meant. The last message is there %s after the press."
                        .formatted(Prover.PRESSES, Wire.millis(proof.worstMicros()))
                : "";
    }

    private static List<PressRow> presses(Plan plan, Proof proof) {
        return proof.tellingTrial().presses().stream()
                .flatMap(press -> proof.wrongPlaces().stream().limit(2).map(place -> new PressRow(press.number(), name(plan, place),
                        place.aspect().word(press.ideal().value(place)), place.aspect().word(press.actual().value(place)),
                        press.differences().contains(place))))
                .limit(PRESS_ROWS_SHOWN).toList();
    }

    private static String name(Plan plan, Place place) {
        return plan.rig().partName(place.device(), place.part()).text();
    }
}
