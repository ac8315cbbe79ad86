package embrack.core.switches;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import embrack.core.chart.Action;
import embrack.core.chart.PartId;
import embrack.core.chart.Verb;
import embrack.core.gear.ControlType;
import embrack.core.level.Takeover;
import embrack.core.name.TapeLabel;
import embrack.core.rig.DeviceId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.Tuple;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is kept of switches and controls, held against sorted maps that are changed in the same way. */
class SwitchesTests {

    private static final List<DeviceId> BOXES =
            Stream.of("foot-board", "keys", "mixer", "desk").map(DeviceId::new).toList();

    /** One change of what switches do, and the same change of plain maps. */
    private interface Change {

        Switches of(Switches before);

        void in(SortedMap<SwitchAt, Assignment> switches, SortedMap<ControlAt, ControlAssignment> controls);
    }

    private record Put(Assignment assignment) implements Change {
        @Override
        public Switches of(Switches before) {
            return before.with(assignment);
        }

        @Override
        public void in(SortedMap<SwitchAt, Assignment> switches, SortedMap<ControlAt, ControlAssignment> controls) {
            boolean isAnything = assignment.label().isPresent()
                    || assignment.duty().isPresent()
                    || !assignment.steps().isEmpty();
            switches.remove(assignment.at());
            if (isAnything) {
                switches.put(assignment.at(), assignment);
            }
        }
    }

    private record Move(ControlAssignment control) implements Change {
        @Override
        public Switches of(Switches before) {
            return before.with(control);
        }

        @Override
        public void in(SortedMap<SwitchAt, Assignment> switches, SortedMap<ControlAt, ControlAssignment> controls) {
            controls.remove(control.at());
            if (control.label().isPresent() || !control.targets().isEmpty()) {
                controls.put(control.at(), control);
            }
        }
    }

    private record Take(DeviceId box) implements Change {
        @Override
        public Switches of(Switches before) {
            return before.without(box);
        }

        @Override
        public void in(SortedMap<SwitchAt, Assignment> switches, SortedMap<ControlAt, ControlAssignment> controls) {
            switches.keySet().removeIf(at -> at.board().equals(box));
            controls.keySet().removeIf(at -> at.box().equals(box));
            switches.replaceAll((at, assignment) -> assignment.without(box));
            controls.replaceAll((at, control) -> control.without(box));
            switches.values().removeIf(Assignment::isBlank);
            controls.values().removeIf(ControlAssignment::isBlank);
        }
    }

    @Property(tries = 300)
    void whatIsKeptIsWhatAMapWouldKeep(@ForAll("changes") @Size(max = 30) List<Change> changes, @ForAll Random random) {
        Switches kept = Switches.NONE;
        SortedMap<SwitchAt, Assignment> switches = new TreeMap<>();
        SortedMap<ControlAt, ControlAssignment> controls = new TreeMap<>();
        for (Change change : changes) {
            kept = change.of(kept);
            change.in(switches, controls);
        }
        assertThat(kept.assignments()).containsExactlyElementsOf(switches.values());
        assertThat(kept.controlAssignments()).containsExactlyElementsOf(controls.values());
        for (DeviceId box : BOXES) {
            assertThat(kept.of(box)).allMatch(a -> a.at().board().equals(box));
            assertThat(kept.using(box))
                    .containsExactlyElementsOf(switches.values().stream()
                            .filter(a ->
                                    a.steps().stream().anyMatch(s -> s.device().equals(box)))
                            .toList());
            assertThat(kept.moving(box))
                    .containsExactlyElementsOf(controls.values().stream()
                            .filter(c -> c.targets().stream()
                                    .anyMatch(t -> t.device().equals(box)))
                            .toList());
            assertThat(kept.without(box).using(box)).isEmpty();
        }
        List<Assignment> shuffled = new ArrayList<>(switches.values());
        Collections.shuffle(shuffled, random);
        Switches again = new Switches(shuffled, List.copyOf(controls.values()));
        assertThat(again).isEqualTo(kept).hasSameHashCodeAs(kept);
        assertThat(kept.withSteps(steps -> List.of()).assignments())
                .allMatch(a -> a.steps().isEmpty() && !a.isBlank());
    }

    @Provide
    Arbitrary<List<Change>> changes() {
        Arbitrary<Change> put = Combinators.combine(
                        switchesAt(),
                        labels(),
                        steps().list().ofMaxSize(3),
                        steps().list().ofMaxSize(2))
                .as((at, label, press, hold) -> new Put(new Assignment(at, label, press).withSteps(Moment.HOLD, hold)));
        Arbitrary<Change> move = Combinators.combine(controlsAt(), labels(), targets())
                .as((at, label, targets) -> new Move(new ControlAssignment(at, label, Takeover.JUMP, targets)));
        Arbitrary<Change> take = Arbitraries.of(BOXES).map(Take::new);
        return Arbitraries.frequencyOf(Tuple.of(5, put), Tuple.of(3, move), Tuple.of(1, take))
                .list();
    }

    private static Arbitrary<SwitchAt> switchesAt() {
        Arbitrary<Optional<ControlType>> sorts =
                Arbitraries.of(List.of(Optional.empty(), Optional.of(ControlType.PAD), Optional.of(ControlType.KEY)));
        return Combinators.combine(
                        Arbitraries.of(BOXES.subList(0, 2)),
                        sorts,
                        Arbitraries.integers().between(1, 2),
                        Arbitraries.integers().between(1, 3))
                .as(SwitchAt::new);
    }

    private static Arbitrary<ControlAt> controlsAt() {
        return Combinators.combine(
                        Arbitraries.of(BOXES.subList(0, 2)),
                        Arbitraries.of(ControlType.KNOB, ControlType.FADER, ControlType.TREADLE),
                        Arbitraries.integers().between(1, 2))
                .as((box, type, number) -> new ControlAt(box, type, 1, number));
    }

    private static Arbitrary<Optional<TapeLabel>> labels() {
        return Arbitraries.of(
                List.of(Optional.empty(), Optional.of(new TapeLabel("Mute")), Optional.of(new TapeLabel("Go"))));
    }

    private static Arbitrary<Step> steps() {
        return Combinators.combine(Arbitraries.of(BOXES), Arbitraries.integers().between(1, 3))
                .as((box, part) -> new Step(box, new Action(Verb.MUTE, new PartId("input-" + part))));
    }

    private static Arbitrary<List<Target>> targets() {
        return Arbitraries.subsetOf(BOXES.subList(2, 4))
                .map(boxes -> boxes.stream()
                        .map(box -> new Target(box, new PartId("input-1")))
                        .toList());
    }

    @Test
    void eachIsThereOnce() {
        Assignment first =
                new Assignment(new SwitchAt(BOXES.getFirst(), 1, 3), Optional.of(new TapeLabel("One")), List.of());
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Switches(List.of(first, first.withLabel(Optional.of(new TapeLabel("Two"))))))
                .withMessage("switch 3 in bank 1 of \"foot-board\" is there twice");
        ControlAssignment fader = ControlAssignment.blank(new ControlAt(BOXES.get(1), ControlType.FADER, 1, 2))
                .withLabel(Optional.of(new TapeLabel("Band")));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Switches(List.of(), List.of(fader, fader)))
                .withMessage("fader 2 of \"keys\" is there twice");
        Target level = new Target(BOXES.get(2), new PartId("main"));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> fader.withTarget(level).withTarget(level))
                .withMessage("a control moves each level once");
    }

    @Test
    void thereIsAnEndToStepsLevelsAndWaits() {
        Step step = new Step(BOXES.get(2), new Action(Verb.MUTE, new PartId("input-1")));
        Assignment blank = Assignment.blank(new SwitchAt(BOXES.getFirst(), 1, 1));
        List<Step> most = Collections.nCopies(Assignment.MAX_STEPS, step);
        assertThat(blank.withSteps(Moment.PRESS, most).steps()).hasSize(Assignment.MAX_STEPS);
        assertThatIllegalArgumentException()
                .isThrownBy(() -> blank.withSteps(Moment.PRESS, most).withStep(Moment.PRESS, step))
                .withMessage("a switch has at most 128 steps, was 129");
        List<Target> levels = IntStream.rangeClosed(1, ControlAssignment.MAX_TARGETS + 1)
                .mapToObj(n -> new Target(BOXES.get(2), new PartId("input-" + n)))
                .toList();
        ControlAssignment knob = ControlAssignment.blank(new ControlAt(BOXES.get(1), ControlType.KNOB, 1, 1));
        assertThat(knob.withTargets(levels.subList(1, levels.size())).isBlank()).isFalse();
        assertThatIllegalArgumentException()
                .isThrownBy(() -> knob.withTargets(levels))
                .withMessage("a control moves at most 16 levels, was 17");
        assertThat(step.withWait(Step.MAX_WAIT_MILLIS).isAboutTheSame(step)).isTrue();
        assertThatIllegalArgumentException().isThrownBy(() -> step.withWait(Step.MAX_WAIT_MILLIS + 1));
        assertThatIllegalArgumentException().isThrownBy(() -> step.withWait(-1));
    }

    /** Keys stand in links and are read again; whatever else is typed there is no switch. */
    @Property(tries = 200)
    void keysAreReadAgain(@ForAll("places") SwitchAt at) {
        assertThat(SwitchAt.parse(at.key())).contains(at);
        assertThat(at.inBank(7)
                        .numbered(9)
                        .on(BOXES.get(3))
                        .inBank(at.bank())
                        .numbered(at.number())
                        .on(at.board()))
                .isEqualTo(at);
    }

    @Provide
    Arbitrary<SwitchAt> places() {
        return switchesAt().map(at -> at.inBank(at.bank() * 400).numbered(at.number() * 300));
    }

    @ParameterizedTest
    @CsvSource({
        "foot-board",
        "foot-board.1",
        "foot-board.0.1",
        "foot-board.1.0",
        "foot-board.1.01",
        "foot-board.1.1000",
        "foot-board.1.fader1",
        "foot-board.1.bell1",
        "Foot board.1.1",
        "foot-board.1.1.",
        ".1.1",
        "foot-board.-1.1"
    })
    void whatIsNoKeyIsNone(String key) {
        assertThat(SwitchAt.parse(key)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"KNOB, knobs are moved", "FADER, faders are moved", "TREADLE, treadles are moved"})
    void whatIsMovedIsNotPressed(ControlType type, String why) {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new SwitchAt(BOXES.get(1), Optional.of(type), 1, 1))
                .withMessageContaining(why);
    }
}
