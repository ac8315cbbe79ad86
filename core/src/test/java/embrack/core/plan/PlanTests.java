package embrack.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import embrack.core.Evening;
import embrack.core.LightFaults;
import embrack.core.RandomRigs;
import embrack.core.chart.Action;
import embrack.core.chart.PartId;
import embrack.core.chart.Verb;
import embrack.core.gear.ControlType;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Switches;
import embrack.core.switches.Target;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A plan is whole or is refused, and says of itself what is there. */
class PlanTests {

    private static final int MORE_THAN_ANY_BOARD_HAS = 30;

    static Stream<Plan> plans() {
        return Stream.of(Evening.plan(), LightFaults.squalls().plan(), RandomRigs.withGestures(7, 9));
    }

    /**
     * Without a device a plan stands just when nothing in it is about that device. What is about which is found by
     * walking through everything that switches, songs, shows and lights are made of.
     */
    @ParameterizedTest
    @MethodSource("plans")
    void whatIsReferredToHasToBeThere(Plan plan) {
        Set<DeviceId> meant = new HashSet<>();
        walk(plan.switches().assignments(), meant);
        walk(plan.switches().controlAssignments(), meant);
        walk(plan.book(), meant);
        walk(plan.lights(), meant);
        assertThat(meant).isNotEmpty();
        for (Device device : plan.rig().devices()) {
            Rig without = plan.rig().withoutDevice(device.id());
            if (meant.contains(device.id())) {
                assertThatIllegalArgumentException().as(device.name().text()).isThrownBy(() -> plan.withRig(without));
            } else {
                assertThatCode(() -> plan.withRig(without))
                        .as(device.name().text())
                        .doesNotThrowAnyException();
            }
        }
    }

    private static void walk(Object what, Set<DeviceId> found) {
        switch (what) {
            case DeviceId id -> found.add(id);
            case Collection<?> all -> all.forEach(each -> walk(each, found));
            case Map<?, ?> map ->
                map.forEach((key, value) -> {
                    walk(key, found);
                    walk(value, found);
                });
            case Optional<?> maybe -> maybe.ifPresent(value -> walk(value, found));
            case Record parts -> {
                for (RecordComponent part : parts.getClass().getRecordComponents()) {
                    try {
                        part.getAccessor().setAccessible(true);
                        walk(part.getAccessor().invoke(parts), found);
                    } catch (ReflectiveOperationException e) {
                        throw new AssertionError(e);
                    }
                }
            }
            default -> {
                // A number, a word or a name is about no device.
            }
        }
    }

    /** A switch is there just when a plan can give it something to do. */
    @Property(tries = 25)
    void switchesAreThereWhereTheyCanBeUsed(
            @ForAll @IntRange(max = 1_000_000) int seed, @ForAll @IntRange(min = 2, max = 10) int boxes) {
        Plan plan = RandomRigs.of(seed, boxes);
        for (Device device : plan.rig().devices()) {
            List<SwitchAt> listed = new ArrayList<>();
            for (int bank = 1; bank <= plan.banks(device.id()); bank++) {
                listed.addAll(plan.pressedOn(device.id(), bank));
            }
            assertThat(listed).doesNotHaveDuplicates().allMatch(plan::has);
            assertThat(plan.boards().contains(device.id())).isEqualTo(!listed.isEmpty());
            Step step = new Step(device.id(), new Action(Verb.MUTE, new PartId("anything")));
            for (Optional<ControlType> of : pressed()) {
                for (int bank : new int[] {1, 2, plan.banks(device.id()), plan.banks(device.id()) + 1}) {
                    for (int number : new int[] {1, 2, 8, 10, MORE_THAN_ANY_BOARD_HAS, 200}) {
                        SwitchAt at = new SwitchAt(device.id(), of, bank, number);
                        boolean has = plan.has(at);
                        assertThat(has).as(at.key()).isEqualTo(listed.contains(at));
                        assertThat(holds(plan, new Assignment(at, Optional.empty(), List.of(step))))
                                .as(at.key())
                                .isEqualTo(has);
                        if (has) {
                            assertThat(plan.words(at))
                                    .contains(plan.rig().name(device.id()).text(), at.words());
                            assertThat(plan.board(at).banks()).contains(plan.bankName(at));
                        }
                    }
                }
            }
        }
    }

    private static List<Optional<ControlType>> pressed() {
        List<Optional<ControlType>> pressed = new ArrayList<>(List.of(Optional.empty()));
        Stream.of(ControlType.values())
                .filter(type -> !type.isSwept())
                .map(Optional::of)
                .forEach(pressed::add);
        return pressed;
    }

    private static boolean holds(Plan plan, Assignment assignment) {
        try {
            return plan.withSwitches(new Switches(List.of(assignment)))
                    .switches()
                    .at(assignment.at())
                    .equals(assignment);
        } catch (IllegalArgumentException refused) {
            assertThat(refused.getMessage()).isNotBlank();
            return false;
        }
    }

    /** So it is with what is moved. */
    @Property(tries = 25)
    void controlsAreThereWhereTheyCanBeUsed(
            @ForAll @IntRange(max = 1_000_000) int seed, @ForAll @IntRange(min = 2, max = 10) int boxes) {
        Plan plan = RandomRigs.of(seed, boxes);
        for (Device device : plan.rig().devices()) {
            List<ControlAt> listed = plan.controlsOf(device.id(), 1);
            assertThat(listed).doesNotHaveDuplicates().allMatch(plan::has);
            if (!listed.isEmpty()) {
                assertThat(plan.controllers()).contains(device.id());
            }
            Target level = new Target(device.id(), new PartId("anything"));
            for (ControlType type :
                    Stream.of(ControlType.values()).filter(ControlType::isSwept).toList()) {
                for (int number : new int[] {1, 2, 9, 200}) {
                    ControlAt at = new ControlAt(device.id(), type, 1, number);
                    ControlAssignment use = ControlAssignment.blank(at).withTarget(level);
                    assertThat(plan.has(at)).as(at.toString()).isEqualTo(listed.contains(at));
                    if (plan.has(at)) {
                        Plan with = plan.withSwitches(Switches.NONE.with(use));
                        assertThat(with.switches().at(at)).isEqualTo(use);
                        assertThat(with.meant()).containsEntry(device.id(), Set.of(device.id()));
                        assertThat(plan.words(at)).contains(at.words());
                    } else {
                        assertThatIllegalArgumentException()
                                .as(at.toString())
                                .isThrownBy(() -> plan.withSwitches(Switches.NONE.with(use)));
                    }
                }
            }
        }
    }

    /** The first player of the rig plays what nobody else was chosen for. */
    @Test
    void songsArePlayedByWhoWasChosenOrByTheFirst() {
        Plan plan = Evening.plan();
        assertThat(plan.players()).containsExactly(new DeviceId("player"));
        assertThat(plan.book().songs()).allSatisfy(song -> {
            assertThat(song.player()).isEmpty();
            assertThat(plan.player(song)).contains(new DeviceId("player"));
        });
        assertThat(plan.book().songs().getFirst().cues()).isNotEmpty();
        assertThat(plan.sendsOn().keySet()).isSubsetOf(plan.controllers());
    }
}
