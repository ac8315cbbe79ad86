package embrack.core.line;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Evening;
import embrack.core.gear.ControlType;
import embrack.core.line.Travels.Amiss;
import embrack.core.line.Travels.Result;
import embrack.core.midi.Channel;
import embrack.core.midi.Message.ControlChange;
import embrack.core.plan.Plan;
import java.util.List;
import java.util.Map;
import java.util.function.IntUnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class TravelsTests {

    private final Plan plan = Evening.rig()
            .move("foot-board", ControlType.TREADLE, "vocal-mixer", "input-1", 0, 100)
            .plan();

    private final Travel treadle = Travel.of(plan).getFirst();

    private long clock = 1_000_000;

    static Stream<Arguments> pedals() {
        IntUnaryOperator asPlanned = at -> at * 100 / 127;
        return Stream.of(
                Arguments.of("as planned", 0, 0, asPlanned, new Result.Right()),
                Arguments.of(
                        "other way round", 0, 0, (IntUnaryOperator) at -> 100 - at * 100 / 127, new Result.Right()),
                Arguments.of("whole range", 0, 0, (IntUnaryOperator) at -> at, wrong(new Amiss.Beyond(0, 127))),
                Arguments.of(
                        "stops early", 0, 0, (IntUnaryOperator) at -> 9 + at * 80 / 127, wrong(new Amiss.Short(9, 89))),
                Arguments.of(
                        "worn in the middle",
                        0,
                        0,
                        (IntUnaryOperator) at -> at * 100 / 127 > 40 && at * 100 / 127 < 60 ? 40 : at * 100 / 127,
                        wrong(new Amiss.Jumps(40, 60))),
                Arguments.of("channel", 5, 0, asPlanned, wrong(new Amiss.OnChannel(7, 2))),
                Arguments.of("number", 0, 1, asPlanned, wrong(new Amiss.Number(11, 10))));
    }

    private static Result wrong(Amiss amiss) {
        return new Result.Wrong(amiss);
    }

    /** Moved to both ends and back, twice, some 10 ms from value to value. */
    @ParameterizedTest(name = "{0}")
    @MethodSource("pedals")
    void aPedalIsMovedToBothEnds(String name, int channels, int numbers, IntUnaryOperator values, Result expected) {
        Travels travels = Travels.of(plan, Map.of());
        assertThat(travels.result(treadle)).isEqualTo(new Result.ToDo());
        travels = moved(travels, channels, numbers, values);
        assertThat(travels.result(treadle)).isEqualTo(expected);
        Travels.Came came = travels.came().get(treadle.key());
        Travels.Came kept = Travels.Came.parse(came.planned(), came.written()).orElseThrow();
        assertThat(Travels.of(plan, Map.of(treadle.key(), kept)).result(treadle))
                .as("kept and read again")
                .isEqualTo(expected);
        assertThat(travels.anew(List.of(treadle.box())).result(treadle)).isEqualTo(new Result.ToDo());
    }

    static Stream<Arguments> slips() {
        return Stream.of(
                Arguments.of(Slip.Kind.CHANNEL, 7, wrong(new Amiss.OnChannel(7, 2))),
                Arguments.of(Slip.Kind.OFF_BY, 1, wrong(new Amiss.Number(11, 10))),
                Arguments.of(Slip.Kind.SHORT, 60, wrong(new Amiss.Short(0, 60))),
                Arguments.of(Slip.Kind.JUMPS, 40, wrong(new Amiss.Jumps(40, 72))),
                Arguments.of(Slip.Kind.DEAD, 1, new Result.ToDo()));
    }

    /** What is made wrong at a simulated pedal is named. */
    @ParameterizedTest
    @MethodSource("slips")
    void aSlipAtASimulatedPedalIsNamed(Slip.Kind kind, int number, Result expected) {
        SimulatedRig boxes = SimulatedRig.of(plan);
        assertThat(swept(boxes)).isEqualTo(new Result.Right());
        Slip slip = new Slip(Slip.Kind.parse(kind.key()).orElseThrow(), treadle.key(), number);
        assertThat(swept(boxes.slipping(List.of(slip)))).isEqualTo(expected);
        assertThat(swept(boxes.slipping(List.of(new Slip(kind, "foot-board/treadle.1.9", number)))))
                .as("of another pedal")
                .isEqualTo(new Result.Right());
    }

    private Result swept(SimulatedRig boxes) {
        Travels travels = Travels.of(plan, Map.of());
        for (int move = 0; move < 4; move++) {
            for (int step = 0; step <= 127; step++) {
                clock += 10_000;
                for (SimulatedRig.Sent sent : boxes.move(treadle.at(), move % 2 == 0 ? step : 127 - step)
                        .sent()) {
                    travels = travels.heard(new Heard(clock, sent.from(), sent.message()));
                }
            }
        }
        return travels.result(treadle);
    }

    private Travels moved(Travels before, int channels, int numbers, IntUnaryOperator values) {
        Travels travels = before;
        for (int move = 0; move < 4; move++) {
            for (int step = 0; step <= 127; step++) {
                travels = heard(travels, channels, numbers, values.applyAsInt(move % 2 == 0 ? step : 127 - step));
            }
        }
        return travels;
    }

    private Travels heard(Travels travels, int channels, int numbers, int value) {
        clock += 10_000;
        ControlChange message = new ControlChange(
                new Channel(treadle.from().channel().number() + channels),
                treadle.from().controller() + numbers,
                value);
        return travels.heard(new Heard(clock, treadle.box(), message));
    }

    @Test
    void whatIsLeftAloneIsStill() {
        Travels travels = moved(Travels.of(plan, Map.of()), 0, 0, at -> at * 100 / 127);
        for (int i = 0; i < 20; i++) {
            clock += 90_000;
            travels = heard(travels, 0, 0, i % 2);
        }
        assertThat(travels.result(treadle)).isEqualTo(wrong(new Amiss.Flutters(1)));
    }

    /** Of a flood not every value is told; what lies between two of it is no jump. */
    @Test
    void aFloodIsNoJump() {
        Travels travels = Travels.of(plan, Map.of());
        for (int value : new int[] {0, 100, 0, 100, 0}) {
            clock += 300_000;
            travels = travels.heard(new Heard(
                    clock,
                    treadle.box(),
                    new ControlChange(treadle.from().channel(), treadle.from().controller(), value),
                    9));
        }
        assertThat(travels.result(treadle)).isEqualTo(new Result.Right());
    }

    @Test
    void halfAWayIsNotYetAll() {
        Travels travels = Travels.of(plan, Map.of());
        for (int value = 30; value < 90; value++) {
            travels = heard(travels, 0, 0, value);
        }
        assertThat(travels.result(treadle)).isEqualTo(new Result.SoFar(30, 89));
    }
}
