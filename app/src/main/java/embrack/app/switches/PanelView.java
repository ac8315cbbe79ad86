package embrack.app.switches;

import embrack.app.frame.FindingView;
import embrack.app.frame.Mark;
import embrack.app.frame.Spoken;
import embrack.core.chart.LearnableId;
import embrack.core.check.Report;
import embrack.core.compile.CompiledStep;
import embrack.core.compile.CompiledSwitch;
import embrack.core.compile.Compiler;
import embrack.core.compile.Obstacle;
import embrack.core.gear.Board;
import embrack.core.gear.Counted;
import embrack.core.gear.Gesture;
import embrack.core.gear.ShownMessage;
import embrack.core.gear.SwitchMode;
import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import embrack.core.midi.Wire;
import embrack.core.name.Words;
import embrack.core.offer.Offer;
import embrack.core.offer.Offers;
import embrack.core.place.Surroundings;
import embrack.core.plan.Plan;
import embrack.core.proof.Broken;
import embrack.core.proof.Doing;
import embrack.core.proof.Lack;
import embrack.core.sim.Proof;
import embrack.core.sim.Story;
import embrack.core.sim.Verdict;
import embrack.core.switches.Assignment;
import embrack.core.switches.Duty;
import embrack.core.switches.Moment;
import embrack.core.switches.ShortForm;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Place;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * The selected switch: its tape, its steps at one moment with their messages, what is proven and what can be added.
 */
record PanelView(
        At at,
        When when,
        Does does,
        Proved proof,
        List<FindingView> findings,
        List<String> cautions,
        Search search,
        Kinds kinds,
        Display display,
        Foot foot) {

    /**
     * The switch.
     *
     * @param key what it is on the clipboard
     */
    record At(String path, String key, String words, int number, String label) {}

    /**
     * Its moments, the one that is looked at, its verdict.
     *
     * @param on the moment that is shown
     * @param moments the moments that its board knows, and those that have steps
     */
    record When(Moment on, List<MomentTab> moments, Optional<Mark> mark) {}

    /**
     * What it does then.
     *
     * @param byItself what the board sends at this moment without being told
     */
    record Does(List<StepRow> steps, String byItself) {}

    /** What simulation showed. */
    record Proved(String proven, String route, Optional<Tale> tale) {}

    /** What is searched for and found. */
    record Search(String find, List<OfferRow> offers, int moreOffers) {}

    /** What it can be. */
    record Kinds(List<Choice> modes, List<Choice> duties) {}

    /**
     * What the box itself shows.
     *
     * @param shownAs what the display of the box shows for it
     */
    record Display(int labelRoom, String shortLabel, String shownAs) {}

    /**
     * What a foot should know.
     *
     * @param waits whether the board can wait between messages
     * @param misses what a foot does that lands beside it
     */
    record Foot(boolean waits, List<String> misses, boolean isBlank) {}

    private static final int OFFERS_SHOWN = 8;
    private static final int PRESS_ROWS_SHOWN = 6;

    /** A moment to look at, with how many steps it has. */
    record MomentTab(String words, String href, int steps, boolean isHere) {}

    /** Something to choose. */
    record Choice(String key, String words, boolean isChosen) {}

    /**
     * A step.
     *
     * @param reads what the board's display reads where it cannot show a number in full
     * @param obstacle why it is not sent, in a few words; empty when it is
     */
    record StepRow(
            int index,
            String deviceId,
            String device,
            String key,
            String words,
            int waited,
            String message,
            String bytes,
            String reads,
            String obstacle,
            String learned) {}

    /**
     * The shortest story in which a gesture fails.
     *
     * @param gesture press, hold or double press
     * @param end what is so in the end, and what was meant
     */
    record Tale(String gesture, List<Told> told, String end) {}

    /** One thing that a story tells. */
    record Told(int number, String words) {}

    /** An action to add; {@code along} are the keys of what comes with it. */
    record OfferRow(
            String device, String key, String along, String words, String message, String bytes, String obstacle) {}

    static PanelView of(Report report, SwitchAt at, String path, Moment on, String find) {
        Plan plan = report.plan();
        Assignment assignment = plan.switches().at(at);
        Board board = plan.board(at);
        CompiledSwitch compiled = new Compiler(plan).compile(assignment);
        Optional<Proof> proof = report.proofs(at).stream()
                .filter(p -> Proof.moments(p.moment()).contains(on))
                .findFirst();
        List<Offer> offers = find.isBlank() ? List.of() : new Offers(plan).find(at, find);
        List<CompiledStep> steps = compiled.steps(on);
        String href = BoardView.href(path, at);
        return new PanelView(
                new At(
                        href,
                        at.key(),
                        Words.capital(at.words()),
                        at.number(),
                        assignment.label().map(Object::toString).orElse("")),
                new When(on, moments(board, assignment, on, href), proof.map(p -> Mark.of(p.verdict()))),
                new Does(
                        IntStream.range(0, steps.size())
                                .mapToObj(i -> step(plan, at, i, steps.get(i)))
                                .toList(),
                        byItself(compiled, on)),
                new Proved(
                        proof.map(PanelView::proven).orElse(""),
                        proof.map(p -> String.join("; ", Story.of(plan, p).path()))
                                .orElse(""),
                        proof.flatMap(p -> tale(plan, p))),
                FindingView.all(report.findings(at).stream(), plan),
                assignment.steps().stream()
                        .flatMap(s -> plan.rig().chart(s.device()).caution(s.action()).stream())
                        .distinct()
                        .toList(),
                new Search(
                        find,
                        offers.stream()
                                .limit(OFFERS_SHOWN)
                                .map(offer -> offer(plan, at, offer))
                                .toList(),
                        Math.max(0, offers.size() - OFFERS_SHOWN)),
                new Kinds(modes(board, assignment, compiled), duties(assignment)),
                new Display(
                        board.labelCharacters(),
                        assignment.shortLabel().map(Object::toString).orElse(""),
                        assignment
                                .label()
                                .filter(l -> board.labelCharacters() > 0)
                                .map(l -> ShortForm.of(l, board.labelCharacters()))
                                .orElse("")),
                new Foot(
                        board.longestWaitMillis() > 0,
                        assignment.isBlank() ? List.of() : around(plan, Surroundings.of(plan, at)),
                        assignment.isBlank()));
    }

    private static List<String> around(Plan plan, Surroundings surroundings) {
        return Stream.concat(
                        surroundings.misses().stream()
                                .map(miss -> Spoken.of(plan).say(miss.phrase())),
                        surroundings.toKill().stream())
                .toList();
    }

    private static List<MomentTab> moments(Board board, Assignment assignment, Moment on, String href) {
        return Stream.of(Moment.values())
                .filter(moment ->
                        isKnown(board, moment) || !assignment.steps(moment).isEmpty() || moment == on)
                .map(moment -> new MomentTab(
                        moment.words(),
                        moment == Moment.PRESS ? href : href + "?on=" + moment.key(),
                        assignment.steps(moment).size(),
                        moment == on))
                .toList();
    }

    private static boolean isKnown(Board board, Moment moment) {
        return switch (moment) {
            case AGAIN -> board.modes().contains(SwitchMode.ALTERNATING);
            case RELEASE ->
                board.gestures().contains(Gesture.RELEASE) || board.modes().contains(SwitchMode.MOMENTARY);
            default -> board.gestures().contains(moment.gesture());
        };
    }

    private static List<Choice> modes(Board board, Assignment assignment, CompiledSwitch compiled) {
        List<Choice> modes = new ArrayList<>();
        modes.add(new Choice(
                "", "as fits: " + compiled.mode().words(), assignment.mode().isEmpty()));
        board.modes()
                .forEach(mode -> modes.add(new Choice(
                        mode.name(),
                        mode.words(),
                        assignment.mode().filter(mode::equals).isPresent())));
        assignment
                .mode()
                .filter(mode -> !board.modes().contains(mode))
                .ifPresent(mode -> modes.add(new Choice(mode.name(), mode.words(), true)));
        return board.modes().size() == 1 && assignment.mode().isEmpty() ? List.of() : modes;
    }

    private static List<Choice> duties(Assignment assignment) {
        return Stream.concat(
                        Stream.of(new Choice("", "none", assignment.duty().isEmpty())),
                        Stream.of(Duty.values())
                                .map(duty -> new Choice(duty.name(), duty.words(), assignment.isFor(duty))))
                .toList();
    }

    private static String byItself(CompiledSwitch compiled, Moment on) {
        List<Message> sent = compiled.byItself().getOrDefault(on, List.of());
        return sent.isEmpty()
                ? ""
                : "The switch sends by itself: %s"
                        .formatted(sent.stream().map(Message::hex).collect(Collectors.joining(", ")));
    }

    /** What the receiver makes of what it learned: "momentary, low 0, high 127"; empty where it learned nothing. */
    private static String learned(Plan plan, Step step) {
        LearnableId learnable = LearnableId.of(step.action());
        return Optional.ofNullable(plan.rig().device(step.device()).learned().get(learnable))
                .map(learned -> "%s, low %s, high %s"
                        .formatted(
                                learned.response().alternating() ? "on, then off" : "momentary",
                                plan.shown(
                                        step.device(),
                                        learnable,
                                        learned.response().low()),
                                plan.shown(
                                        step.device(),
                                        learnable,
                                        learned.response().high())))
                .orElse("");
    }

    private static StepRow step(Plan plan, SwitchAt at, int index, CompiledStep compiled) {
        Step step = compiled.step();
        List<ShownMessage> shown = shown(plan, at, compiled);
        return new StepRow(
                index,
                step.device().text(),
                plan.rig().name(step.device()).text(),
                step.action().key(),
                plan.deed(step)
                        + compiled.messages().stream()
                                .reduce((before, last) -> last)
                                .map(last -> Counted.words(
                                        plan.board(at), plan.rig().chart(step.device()), step.action(), last))
                                .orElse(""),
                step.waitMillis(),
                joined(shown, ShownMessage::line),
                joined(shown, ShownMessage::bytes),
                joined(shown, ShownMessage::reads),
                compiled.obstacle()
                        .map(obstacle -> PanelView.obstacle(plan, obstacle))
                        .orElse(""),
                learned(plan, step));
    }

    static OfferRow offer(Plan plan, SwitchAt at, Offer offer) {
        List<ShownMessage> shown = shown(plan, at, offer.compiled());
        return new OfferRow(
                offer.step().device().text(),
                offer.step().action().key(),
                offer.along().stream().map(s -> s.action().key()).collect(Collectors.joining(",")),
                offer.words(),
                joined(shown, ShownMessage::line),
                joined(shown, ShownMessage::bytes),
                offer.compiled()
                        .obstacle()
                        .map(obstacle -> obstacle instanceof Obstacle.NothingLearned ? "" : obstacle(plan, obstacle))
                        .orElse(""));
    }

    private static String joined(List<ShownMessage> shown, Function<ShownMessage, String> text) {
        return shown.stream().map(text).filter(s -> !s.isEmpty()).collect(Collectors.joining(" + "));
    }

    private static List<ShownMessage> shown(Plan plan, SwitchAt at, CompiledStep compiled) {
        Board board = plan.board(at);
        return compiled.messages().stream()
                .map(message -> ShownMessage.on(board, message))
                .toList();
    }

    static String obstacle(Plan plan, Obstacle obstacle) {
        return switch (obstacle) {
            case Obstacle.NoChartLine o -> "the box has no message for it";
            case Obstacle.NothingLearned o -> "no number is free for it that the box could learn";
            case Obstacle.SendsItsOwn o ->
                "this switch sends %s %d and nothing else".formatted(o.type().shortName(), o.number());
            case Obstacle.CannotSend o -> "the board cannot send " + o.type().plural();
            case Obstacle.NoGesture o ->
                "the board cannot tell a %s".formatted(o.gesture().words());
            case Obstacle.NoMode o ->
                "switches of this board never send %s".formatted(o.mode().words());
            case Obstacle.TwoMessages o -> "the board has two values of one message here, not two messages";
            case Obstacle.CannotWait o ->
                o.longestMillis() == 0
                        ? "the board does not wait"
                        : "the board waits %d ms at most".formatted(o.longestMillis());
            case Obstacle.CannotShape o -> "neither box can be given a range";
            case Obstacle.NoPath o -> "no link leads there";
            case Obstacle.KeptBack o -> Spoken.of(plan).say(o.where());
            case Obstacle.OneNumber o -> "one more than the control sends as it moves";
            case Obstacle.OneTooMany o ->
                "more than the %d %s that the board sends in a press"
                        .formatted(o.most(), o.of().map(MessageType::plural).orElse("messages"));
        };
    }

    private static String proven(Proof proof) {
        String what =
                proof.moment() == Moment.PRESS ? "presses" : proof.moment().words() + "s";
        return proof.verdict() == Verdict.EXACT
                ? ("Holds whatever was pressed before%s: exactly as meant. The last message is there %s after " + "%s.")
                        .formatted(
                                proof.states() > 1
                                        ? ", in %s that matter here".formatted(Words.count(proof.states(), "state"))
                                        : "",
                                Wire.millis(proof.worstMicros()),
                                slowest(proof))
                : "";
    }

    /** The moment from which the last message is counted. */
    private static String slowest(Proof proof) {
        return proof.last().moment() == Moment.RELEASE
                ? "the foot lets go"
                : "the " + proof.last().moment().words();
    }

    private static Optional<Tale> tale(Plan plan, Proof proof) {
        return proof.broken().map(broken -> {
            List<Told> told = new ArrayList<>();
            for (Doing doing : broken.doings()) {
                told.add(new Told(told.size() + 1, Spoken.of(plan).say(doing.phrase(plan))));
            }
            return new Tale(proof.moment().key(), told, end(plan, broken));
        });
    }

    private static String end(Plan plan, Broken broken) {
        String place = name(plan, broken.place());
        return broken.without()
                .map(without -> (without.lack() == Lack.STANDS_STILL
                                ? "%s is off, %s stands still"
                                : "%s is not chosen, %s shows what another bank holds there")
                        .formatted(place, name(plan, without.started())))
                .orElseGet(() -> "%s is %s; %s was meant"
                        .formatted(
                                place,
                                broken.place().word(plan.rig(), broken.actual()),
                                broken.place().word(plan.rig(), broken.meant())));
    }

    private static String name(Plan plan, Place place) {
        return plan.rig().partName(place.device(), place.part()).text();
    }
}
