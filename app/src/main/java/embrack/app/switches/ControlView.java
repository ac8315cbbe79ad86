package embrack.app.switches;

import embrack.app.frame.FindingView;
import embrack.app.frame.Mark;
import embrack.core.check.Report;
import embrack.core.compile.CompiledControl;
import embrack.core.compile.Compiler;
import embrack.core.level.Curve;
import embrack.core.level.Law;
import embrack.core.level.Takeover;
import embrack.core.midi.DataByte;
import embrack.core.midi.Message;
import embrack.core.offer.LevelOffers;
import embrack.core.plan.Plan;
import embrack.core.sim.ControlProof;
import embrack.core.sim.Verdict;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Target;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The selected treadle, fader or knob: the levels it moves, how they follow it, and what happens when it stands
 * elsewhere.
 */
record ControlView(
        Head head,
        Optional<Mark> mark,
        String proven,
        List<LevelRow> levels,
        List<PanelView.Choice> takeovers,
        Elsewhere elsewhere,
        List<FindingView> findings,
        Search search,
        Lists lists) {

    /** The control. */
    record Head(String path, String words, String label) {}

    /** What is searched for and found. */
    record Search(String find, List<OfferRow> offers, int moreOffers) {}

    /**
     * What can be chosen.
     *
     * @param heelToToe what heel and toe are called for this kind of control
     */
    record Lists(List<String> heelToToe, List<PanelView.Choice> curves, List<PanelView.Choice> laws) {}

    private static final int OFFERS_SHOWN = 8;

    /**
     * A level that is moved.
     *
     * @param shownAt what the level is at five positions, from heel to toe
     */
    record LevelRow(
            String deviceId,
            String part,
            String words,
            Ends ends,
            String message,
            String obstacle,
            Drawn drawn,
            List<String> shownAt) {}

    /** From which level to which, and how; {@code top} and {@code cap} in dB. */
    record Ends(String from, String to, String curve, String law, int top, String cap) {}

    /**
     * The curve in a square of 100.
     *
     * @param unity the height of 0 dB in the square, from its top; negative when it is not in it
     */
    record Drawn(String path, double unity) {}

    /** What happens when it stands elsewhere than the value; fader and value 0 to 127. */
    record Elsewhere(int fader, int value, String down, String up, String touch, List<String> steps) {}

    /** A level to add. */
    record OfferRow(String device, String part, String words) {}

    static ControlView of(Report report, ControlAt at, String path, int fader, int value, String find) {
        Plan plan = report.plan();
        ControlAssignment controlAssignment = plan.switches().at(at);
        CompiledControl compiled = new Compiler(plan).compile(controlAssignment);
        Optional<ControlProof> proof = report.proof(at);
        List<Target> offers = find.isBlank()
                ? List.of()
                : new LevelOffers(plan)
                        .find(find).stream()
                                .filter(target -> controlAssignment.targets().stream()
                                        .noneMatch(t -> t.device().equals(target.device())
                                                && t.part().equals(target.part())))
                                .toList();
        return new ControlView(
                new Head(
                        BoardView.href(path, at),
                        plan.words(at),
                        controlAssignment.label().map(Object::toString).orElse("")),
                proof.map(p -> Mark.of(p.verdict())),
                proof.filter(p -> p.verdict() == Verdict.EXACT)
                        .map(p -> "From end to end and back, all boxes compared: exactly as meant.")
                        .orElse(""),
                compiled.targets().stream().map(target -> level(plan, target)).toList(),
                Stream.of(Takeover.values())
                        .map(t -> new PanelView.Choice(t.name(), t.words(), t == controlAssignment.takeover()))
                        .toList(),
                elsewhere(controlAssignment, fader, value),
                FindingView.all(report.findings().stream().filter(f -> f.isAbout(at)), plan),
                new Search(
                        find,
                        offers.stream()
                                .limit(OFFERS_SHOWN)
                                .map(t ->
                                        new OfferRow(t.device().text(), t.part().text(), plan.words(t)))
                                .toList(),
                        Math.max(0, offers.size() - OFFERS_SHOWN)),
                new Lists(
                        switch (at.type()) {
                            case TREADLE -> List.of("heel down", "toe down");
                            case FADER -> List.of("at the bottom", "at the top");
                            default -> List.of("turned left", "turned right");
                        },
                        Stream.of(Curve.values())
                                .map(c -> new PanelView.Choice(c.name(), c.words(), false))
                                .toList(),
                        Stream.of(Law.values())
                                .map(l -> new PanelView.Choice(l.name(), l.words(), false))
                                .toList()));
    }

    private static LevelRow level(Plan plan, CompiledControl.CompiledTarget compiled) {
        Target target = compiled.target();
        String message = compiled.at().isEmpty()
                ? ""
                : message(compiled.at().getFirst(), compiled.at().getLast());
        double unity = target.law().isInDecibels() && target.topDecibels() >= 0
                ? 100 - target.law().valueAtMost(0, target.topDecibels()) * 100.0 / DataByte.MAX
                : -1;
        return new LevelRow(
                target.device().text(),
                target.part().text(),
                plan.words(target),
                new Ends(
                        plan.typed(target, target.range().from()),
                        plan.typed(target, target.range().to()),
                        target.range().curve().name(),
                        target.law().name(),
                        target.topDecibels(),
                        target.capDecibels().map(String::valueOf).orElse("")),
                message,
                compiled.obstacle()
                        .map(obstacle -> PanelView.obstacle(plan, obstacle))
                        .orElse(""),
                new Drawn(LevelCurve.of(target).path(), unity),
                Stream.of(0, 32, 64, 96, 127)
                        .map(position ->
                                plan.shown(target, target.at(position).amount().orElseThrow()))
                        .toList());
    }

    private static String message(Message heel, Message toe) {
        return heel instanceof Message.Voice voice
                ? "ch %d  %s %d  %d to %d"
                        .formatted(
                                voice.channel().number(),
                                voice.type().shortName(),
                                voice.data1(),
                                voice.data2(),
                                toe.data2())
                : heel.hex();
    }

    private static Elsewhere elsewhere(ControlAssignment controlAssignment, int fader, int value) {
        Takeover takeover = controlAssignment.takeover();
        var start = new Takeover.Position(fader / (double) DataByte.MAX, value / (double) DataByte.MAX);
        Optional<Target> target = controlAssignment.targets().stream().findFirst();
        Law law = target.map(Target::law).orElse(Law.PERCENT);
        int top = target.map(Target::topDecibels).orElse(0);
        int touched = value + (int) Math.round(takeover.jump(start) * DataByte.MAX);
        String touch =
                switch (takeover) {
                    case JUMP -> "On the first touch it %s.".formatted(law.move(value, touched, top));
                    case CATCH ->
                        fader == value
                                ? "It follows at once."
                                : "Nothing moves until the control passes %s.".formatted(law.shown(value, top));
                    case SCALED ->
                        fader == value
                                ? "It follows at once."
                                : "Every move is shared out over the room that is left, until both meet.";
                };
        List<String> steps = Stream.of(0.75, 0.5, 0.25, 0.0)
                .map(share -> start.fader() * share)
                .map(to -> "%d: %s"
                        .formatted(
                                Math.round(to * DataByte.MAX),
                                law.shown(
                                        (int) Math.round(
                                                takeover.move(start, to).value() * DataByte.MAX),
                                        top)))
                .toList();
        return new Elsewhere(
                fader,
                value,
                LevelCurve.of(takeover, start, 0).path(),
                LevelCurve.of(takeover, start, 1).path(),
                touch,
                steps);
    }
}
