package embrack.core.check.remedy;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.MappingFaults;
import embrack.core.check.rule.Remedy;
import embrack.core.edit.GearEdit;
import embrack.core.gear.Board;
import embrack.core.gear.Model;
import embrack.core.gear.SwitchMode;
import embrack.core.gear.library.Library;
import embrack.core.midi.MessageType;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Moment;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Which board of the library is offered instead of one: the first that can do all that is asked of the old one. */
class OtherHardwareTests {

    private static final DeviceId BOARD = new DeviceId("foot-board");

    private static Model offered(Plan plan) {
        Optional<Remedy> remedy = OtherHardware.instead(plan, BOARD).all().findFirst();
        return ((GearEdit.SwapHardware) remedy.orElseThrow().edit()).model();
    }

    private static Board boardOf(Plan plan) {
        return offered(plan).board().orElseThrow();
    }

    static Stream<Arguments> needs() {
        return Stream.of(
                Arguments.of(
                        "a program change",
                        MappingFaults.sounds()
                                .step("foot-board 1: piano select:patch-1")
                                .plan()),
                Arguments.of(
                        "a hold",
                        MappingFaults.sounds()
                                .then("foot-board 1", Moment.HOLD, "piano select:patch-1")
                                .plan()),
                Arguments.of(
                        "a double press",
                        MappingFaults.sounds()
                                .then("foot-board 1", Moment.DOUBLE_PRESS, "piano select:patch-1")
                                .plan()),
                Arguments.of(
                        "alternating",
                        MappingFaults.sounds()
                                .step("foot-board 1: piano select:patch-1")
                                .then("foot-board 1", Moment.AGAIN, "piano select:patch-2")
                                .plan()),
                Arguments.of(
                        "three in a press",
                        MappingFaults.sounds()
                                .step(
                                        "foot-board 1: piano select:patch-1",
                                        "foot-board 1: piano select:patch-2",
                                        "foot-board 1: piano select:patch-3")
                                .plan()));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("needs")
    void whatIsOfferedDoesAllThatTheOldOneWasAskedFor(String need, Plan plan) {
        Board board = boardOf(plan);
        assertThat(board.factory().fixed()).isEmpty();
        plan.switches().of(BOARD).forEach(assignment -> {
            assertThat(board.gestures())
                    .containsAll(assignment.moments().keySet().stream()
                            .map(Moment::gesture)
                            .toList());
            if (!assignment.steps(Moment.AGAIN).isEmpty()) {
                assertThat(board.modes()).contains(SwitchMode.ALTERNATING);
            }
            assertThat(board.messagesPerPress())
                    .isGreaterThanOrEqualTo(assignment.steps(Moment.PRESS).size());
        });
        assertThat(board.sends()).contains(MessageType.PROGRAM_CHANGE);
        Plan swapped = new GearEdit.SwapHardware(BOARD, offered(plan)).apply(plan);
        assertThat(swapped.switches()).isEqualTo(plan.switches());
    }

    /** In the order of the library, so that one plan is always offered the same. */
    @ParameterizedTest(name = "{0}")
    @MethodSource("needs")
    void noBoardBeforeItWouldServe(String need, Plan plan) {
        Model offered = offered(plan);
        List<Model> before = Library.all().subList(0, Library.all().indexOf(offered));
        assertThat(before.stream().flatMap(model -> model.board().stream()))
                .allSatisfy(board -> assertThat(OtherHardware.instead(plan, BOARD, candidate -> candidate.equals(board))
                                .all())
                        .isEmpty());
    }

    @Test
    void nothingIsOfferedWhenNoBoardCanDoIt() {
        Plan plan = MappingFaults.sounds()
                .step("foot-board 1: piano select:patch-1")
                .plan();
        assertThat(OtherHardware.instead(plan, BOARD, board -> false).all()).isEmpty();
        assertThat(OtherHardware.instead(plan, BOARD, board -> board.longestWaitMillis() > 0)
                        .all()
                        .findFirst()
                        .orElseThrow()
                        .edit())
                .isInstanceOfSatisfying(
                        GearEdit.SwapHardware.class,
                        swap -> assertThat(swap.model().board().orElseThrow().longestWaitMillis())
                                .isPositive());
    }
}
