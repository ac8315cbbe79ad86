package embrack.files.plan;

import static embrack.files.json.Shapes.list;
import static embrack.files.json.Shapes.whole;
import static embrack.files.json.Shapes.wholeFrom;
import static embrack.files.json.Shapes.word;

import embrack.core.chart.Action;
import embrack.core.gear.ControlType;
import embrack.core.gear.SwitchMode;
import embrack.core.level.Curve;
import embrack.core.level.Law;
import embrack.core.level.Range;
import embrack.core.level.Takeover;
import embrack.core.plan.Plan;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Duty;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Switches;
import embrack.core.switches.Target;
import embrack.files.json.Field;
import embrack.files.json.Layout;
import embrack.files.model.FileWords;
import embrack.files.model.Texts;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The fields of what switches and other controls do. */
final class SwitchLayout {

    private static final Map<String, ControlType> PRESSED = Stream.of(ControlType.values())
            .filter(type -> !type.isSwept())
            .collect(Collectors.toMap(ControlType::key, type -> type));

    private static final String PRESSED_WORDS = "what it is if it is no switch: a pad, key or button of the box";

    /** A switch of a board. */
    static final Layout<RigSoFar, SwitchAt> SWITCH_AT = Layout.of("switch-at", "A switch of a board.", t -> {
        var board = t.needs("board", DeviceLayout.KNOWN, "the board", SwitchAt::board);
        var of = t.may("of", word(PRESSED), PRESSED_WORDS, SwitchAt::of);
        var bank = t.needs("bank", wholeFrom(1), "counted from 1", SwitchAt::bank);
        var number = t.needs("switch", wholeFrom(1), "counted from 1", SwitchAt::number);
        return g -> new SwitchAt(g.get(board), g.get(of), g.get(bank), g.get(number));
    });

    /** An action on a device. */
    static final Layout<RigSoFar, Step> STEP = Layout.of("step", "An action on a device.", t -> {
        var device = t.needs("device", DeviceLayout.KNOWN, "the device", Step::device);
        var verb = t.needs(
                "verb", DeviceLayout.VERB, "what it does", s -> s.action().verb());
        var part = t.needs("part", Texts.PART, "with what", s -> s.action().part());
        var amount = t.may(
                "amount",
                whole(0, 127),
                "how much, for the verb `level` and no other",
                s -> s.action().amount());
        var wait = t.or("waitMillis", whole(0, 10_000), 0, "ms to wait before it", Step::waitMillis);
        return g -> new Step(
                g.get(device),
                new Action(
                        g.get(verb),
                        g.context()
                                .today(g.context().rig().device(g.get(device)).model(), g.get(part)),
                        g.get(amount)),
                g.get(wait));
    });

    /** What a switch does. */
    static final Layout<RigSoFar, Assignment> SWITCH = Layout.of("switch", "What a switch does.", t -> {
        var board = t.needs("board", DeviceLayout.KNOWN, "the board", a -> a.at().board());
        var of = t.may("of", word(PRESSED), PRESSED_WORDS, a -> a.at().of());
        var bank = t.needs("bank", wholeFrom(1), "counted from 1", a -> a.at().bank());
        var number = t.needs("switch", wholeFrom(1), "counted from 1", a -> a.at().number());
        var label = t.may("label", Texts.LABEL, "its tape", Assignment::label);
        var shortLabel = t.may(
                "shortLabel",
                Texts.LABEL,
                "what the box's own display shows, where that is not made from the label",
                Assignment::shortLabel);
        var duty = t.may(
                "duty",
                word(FileWords.byWord(Duty.values())),
                "`kill` stops everything that plays; `safe` brings every box into its safe state",
                Assignment::duty);
        var mode = t.may(
                "mode",
                word(FileWords.byWord(SwitchMode.values())),
                "what it sends as it goes down and up; missing for the plainest that serves",
                Assignment::mode);
        var press = t.needs(
                stepsOn(Moment.PRESS),
                list(STEP, Assignment.MAX_STEPS),
                words(Moment.PRESS),
                a -> a.steps(Moment.PRESS));
        Map<Moment, Field<Optional<List<Step>>>> others = new EnumMap<>(Moment.class);
        for (Moment moment : Moment.values()) {
            if (moment != Moment.PRESS) {
                others.put(
                        moment,
                        t.may(
                                stepsOn(moment),
                                list(STEP, Assignment.MAX_STEPS),
                                words(moment),
                                a -> Optional.ofNullable(a.moments().get(moment))));
            }
        }
        return g -> {
            Map<Moment, List<Step>> moments = new TreeMap<>(Map.of(Moment.PRESS, g.get(press)));
            others.forEach((moment, field) -> g.get(field).ifPresent(steps -> moments.put(moment, steps)));
            Assignment assignment = new Assignment(
                    new SwitchAt(g.get(board), g.get(of), g.get(bank), g.get(number)),
                    g.get(label),
                    g.get(shortLabel),
                    g.get(duty),
                    g.get(mode),
                    new TreeMap<>(moments));
            requireWhole(g.context(), new Switches(List.of(assignment)));
            return assignment;
        };
    });

    private static final Layout<RigSoFar, Target> LEVEL = Layout.of("level", "A level that a control moves.", t -> {
        var device = t.needs("device", DeviceLayout.KNOWN, "the device", Target::device);
        var part = t.needs("part", Texts.PART, "whose level", Target::part);
        var from = t.needs(
                "from",
                whole(0, 127),
                "the level at the heel or bottom",
                l -> l.range().from());
        var to = t.needs(
                "to",
                whole(0, 127),
                "the level at the toe or top",
                l -> l.range().to());
        var curve = t.needs(
                "curve",
                word(FileWords.byWord(Curve.values())),
                "how it goes from one to the other",
                l -> l.range().curve());
        var law = t.needs(
                "law",
                word(FileWords.byWord(Law.values())),
                "what a level is: `decibels` 40 log, `gain` 20 log, `percent`",
                Target::law);
        var top = t.needs("topDecibels", whole(-24, 24), "dB, what the highest level is", Target::topDecibels);
        var cap = t.may("capDecibels", whole(), "dB, what must never be passed", Target::capDecibels);
        return g -> new Target(
                g.get(device),
                g.get(part),
                new Range(g.get(from), g.get(to), g.get(curve)),
                g.get(law),
                g.get(top),
                g.get(cap));
    });

    /** What an expression pedal, fader or knob moves. */
    static final Layout<RigSoFar, ControlAssignment> CONTROL =
            Layout.of("control", "What an expression pedal, fader or knob moves.", t -> {
                var box = t.needs("box", DeviceLayout.KNOWN, "the box that it is on", c -> c.at().box());
                var type = t.needs(
                        "type",
                        word(FileWords.byWord(ControlType.values())),
                        "`treadle` is an expression pedal",
                        c -> c.at().type());
                var bank = t.needs("bank", whole(1, 128), "counted from 1", c -> c.at().bank());
                var number = t.needs("number", whole(1, 128), "counted from 1", c -> c.at().number());
                var label = t.may("label", Texts.LABEL, "its tape", ControlAssignment::label);
                var takeover = t.needs(
                        "takeover",
                        word(FileWords.byWord(Takeover.values())),
                        "what it does while it stands elsewhere than the level: `jump`, at once; `catch`, when both"
                                + " meet; `scaled`, closing in",
                        ControlAssignment::takeover);
                var targets = t.needs(
                        "levels",
                        list(LEVEL, ControlAssignment.MAX_TARGETS),
                        "what it moves",
                        ControlAssignment::targets);
                return g -> {
                    ControlAssignment assignment = new ControlAssignment(
                            new ControlAt(g.get(box), g.get(type), g.get(bank), g.get(number)),
                            g.get(label),
                            g.get(takeover),
                            g.get(targets));
                    requireWhole(g.context(), new Switches(List.of(), List.of(assignment)));
                    return assignment;
                };
            });

    private SwitchLayout() {}

    private static String stepsOn(Moment moment) {
        return switch (moment) {
            case PRESS -> "steps";
            case AGAIN -> "stepsAgain";
            case RELEASE -> "stepsOnRelease";
            case HOLD -> "stepsOnHold";
            case DOUBLE_PRESS -> "stepsOnDoublePress";
        };
    }

    private static String words(Moment moment) {
        return switch (moment) {
            case PRESS -> "what a press does, in order";
            case AGAIN -> "what every second press does, of a switch that alternates";
            case RELEASE -> "what it does when it is let go";
            case HOLD -> "what it does when it is held";
            case DOUBLE_PRESS -> "what it does when it is pressed twice";
        };
    }

    /** Refuses what does not go with the rig, at the place where it stands. */
    private static void requireWhole(RigSoFar rig, Switches switches) {
        Plan ignored = new Plan(rig.rig(), switches);
        assert ignored.switches().equals(switches);
    }
}
