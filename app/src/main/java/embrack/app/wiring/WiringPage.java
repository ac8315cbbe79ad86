package embrack.app.wiring;

import embrack.app.frame.Spoken;
import embrack.core.compile.CompiledStep;
import embrack.core.compile.CompiledSwitch;
import embrack.core.compile.Compiler;
import embrack.core.midi.FrameRate;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.LinkKind;
import embrack.core.switches.Assignment;
import embrack.core.way.SignalPath;
import embrack.core.way.Ways;
import embrack.core.word.Fact;
import embrack.paper.drawing.Layer;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * All that the picture of the wiring shows, with one panel beside it at most.
 *
 * @param switches switches whose paths can be lit
 */
record WiringPage(
        WiringPicture picture,
        List<LegendKind> legend,
        List<SwitchChoice> switches,
        String focusWords,
        @Nullable PortPanel port,
        @Nullable DevicePanel device,
        @Nullable LinkPanel link,
        @Nullable SwitchPanel press,
        LoadForm load,
        LoadForm.@Nullable Answer answer) {

    /** A kind of link, as its line is drawn and called. */
    record LegendKind(String key, String words) {

        static List<LegendKind> all() {
            return of(Layer.MESSAGES);
        }

        static List<LegendKind> of(Layer layer) {
            return Stream.of(LinkKind.values())
                    .filter(layer::shows)
                    .map(kind -> new LegendKind(kind.key(), Spoken.words().say(Fact.word(kind.words()))))
                    .toList();
        }
    }

    /** A switch to choose. */
    record SwitchChoice(String key, String words) {}

    /**
     * A switch: where its messages go, how long each takes at best and at worst; {@code stopped} says what does not
     * arrive.
     */
    record SwitchPanel(String key, String words, String label, List<WayView> ways, List<String> stopped) {}

    static WiringPage of(Plan plan, Focus focus, LoadForm load) {
        Ways ways = new Ways(plan.rig());
        List<SignalPath> shown = Focus.ways(focus, plan, ways);
        return new WiringPage(
                WiringPicture.of(plan.rig(), Layer.MESSAGES, focus, Focus.lit(focus, plan.rig(), shown)),
                LegendKind.all(),
                plan.switches().assignments().stream()
                        .filter(a -> !a.steps().isEmpty())
                        .map(a -> new SwitchChoice(Focus.key(a), words(plan, a)))
                        .toList(),
                words(plan, focus),
                focus instanceof Focus.OnPort p ? PortPanel.of(plan.rig(), p.socket()) : null,
                focus instanceof Focus.OnDevice d ? DevicePanel.of(plan, ways, d.device(), d.to(), shown) : null,
                focus instanceof Focus.OnLink l ? LinkPanel.of(plan, ways, l.link(), shown) : null,
                focus instanceof Focus.OnSwitch s ? press(plan, ways, s.assignment()) : null,
                load,
                focus instanceof Focus.OnLink && load.isAsked() ? load.answer() : null);
    }

    /** The frame rates to choose from. */
    public List<FrameRate> rates() {
        return LoadForm.rates();
    }

    private static String words(Plan plan, Focus focus) {
        return switch (focus) {
            case Focus.Whole w -> "";
            case Focus.OnPort p -> plan.rig().words(p.socket());
            case Focus.OnDevice d -> plan.rig().name(d.device()).text();
            case Focus.OnLink l -> "link " + plan.rig().words(l.link());
            case Focus.OnSwitch s -> plan.words(s.assignment().at());
        };
    }

    private static String words(Plan plan, Assignment assignment) {
        return plan.words(assignment.at())
                + assignment.label().map(l -> ": " + l).orElse("");
    }

    private static SwitchPanel press(Plan plan, Ways ways, Assignment assignment) {
        CompiledSwitch compiled = new Compiler(plan, ways).compile(assignment);
        return new SwitchPanel(
                Focus.key(assignment),
                plan.words(assignment.at()),
                assignment.label().map(TapeLabel::text).orElse(""),
                compiled.allSteps().stream()
                        .filter(step -> step.obstacle().isEmpty())
                        .collect(Collectors.groupingBy(
                                step -> step.way().orElseThrow(), LinkedHashMap::new, Collectors.toList()))
                        .entrySet()
                        .stream()
                        .map(e -> view(ways, compiled, e.getKey(), e.getValue()))
                        .toList(),
                compiled.allSteps().stream()
                        .filter(step -> step.obstacle().isPresent())
                        .map(step -> plan.words(step.step()))
                        .toList());
    }

    /** At worst a message is the last of the press. */
    private static WayView view(Ways ways, CompiledSwitch compiled, SignalPath way, List<CompiledStep> steps) {
        int own = steps.getLast().messages().getLast().length();
        return WayView.of(ways, way, own, compiled.bytes() - own);
    }
}
