package embrack.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.RandomRigs;
import embrack.core.Sketch;
import embrack.core.chart.LearnableId;
import embrack.core.chart.Learned;
import embrack.core.check.Report;
import embrack.core.compile.Compiler;
import embrack.core.effort.Work;
import embrack.core.gear.ControlType;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Assignment;
import embrack.core.switches.Moment;
import embrack.core.world.Engine;
import embrack.core.world.Journey;
import java.util.List;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** One message at a time: what a box is taught is what comes in, and nothing else does. */
class LessonsTests {

    private static final DeviceId TRACKS = new DeviceId("tracks");

    private static Sketch tracks() {
        return Sketch.of("Tracks")
                .box("Board", "ten-switch-treadle-board")
                .box("Tablet", "tablet")
                .app("Tracks", "tablet-track-player", "tablet")
                .link("tablet.socket > board.usb", "tablet.socket > tracks.in");
    }

    @Test
    void whatComesWithOthersIsProgrammedAloneFirst() {
        Plan plan = tracks().step(
                        "board 1: tracks play:tracks", "board 1: tracks next:song", "board 2: tracks stop:tracks")
                .plan();
        Lessons lessons = new Lessons(Report.of(plan));
        assertThat(lessons.of(TRACKS, LearnableId.parse("stop:tracks")))
                .isEqualTo(new Lesson.Pressed(Sketch.at("board 2"), Moment.PRESS));
        assertThat(lessons.of(TRACKS, LearnableId.parse("play:tracks")))
                .isInstanceOfSatisfying(Lesson.Alone.class, alone -> {
                    assertThat(alone.at()).isEqualTo(Sketch.at("board 1"));
                    assertThat(alone.message().hex()).startsWith("B");
                });
        Sheet sheet = Sheets.of(Report.of(plan)).stream()
                .filter(each -> each.title().equals("Tracks learns"))
                .findFirst()
                .orElseThrow();
        assertThat(sheet.sections())
                .extracting(Section::heading)
                .containsExactly(
                        "Before",
                        "First, what is sent together with other messages",
                        "Have it learn, one at a time",
                        "After");
        assertThat(sheet.lines().map(Section.Line::words))
                .contains("Save Board too: Hold EXIT for two seconds; the display counts down and says KEPT.")
                .anyMatch(line -> line.contains("with this message alone, press it, and program the rest afterwards"));
    }

    @Test
    void whatElseSendsItAloneIsUsedAndControlsAreMovedThroughTheirWholeWay() {
        Plan plan = tracks().step("board 1: tracks play:tracks", "board 1: tracks next:song")
                .then("board 3", Moment.HOLD, "tracks play:tracks")
                .plan();
        assertThat(new Lessons(Report.of(plan)).of(TRACKS, LearnableId.parse("play:tracks")))
                .isEqualTo(new Lesson.Pressed(Sketch.at("board 3"), Moment.HOLD));
        Plan pads = Sketch.of("Pads")
                .box("Board", "ten-switch-treadle-board")
                .box("Computer", "computer")
                .app("Pads", "launch-grid-player", "computer")
                .link("computer.usb-1 > board.usb", "computer.usb-1 > pads.in")
                .move("board", ControlType.TREADLE, "pads", "pads", 0, 127)
                .plan();
        assertThat(Sheets.of(Report.of(pads)).stream().flatMap(Sheet::lines).map(Section.Line::words))
                .anyMatch(line -> line.contains("then move Board, bank A, expression pedal 1 through its whole way"));
    }

    /** About eighteen links fit in five minutes, at 17 s each. Common practice, no source. */
    @Test
    void linksTakeTheirTime() {
        assertThat(new Work(80, 20).words()).isEqualTo("26 min 40 s");
        assertThat(new Work(8, 20).words()).isEqualTo("2 min 40 s");
        assertThat(new Work(17, 17).fitsInto(5)).isTrue();
        assertThat(new Work(18, 17).words()).isEqualTo("5 min 6 s");
    }

    /** Each lesson that a foot gives is played: one message comes in that the box could learn, the one on its sheet. */
    @Property(tries = 60)
    void aLessonTeachesWhatItSays(
            @ForAll @IntRange(max = 1_000_000) int seed, @ForAll @IntRange(min = 3, max = 14) int boxes) {
        Plan plan = RandomRigs.withGestures(seed, boxes).settled();
        Lessons lessons = new Lessons(Report.of(plan));
        for (Device device : plan.rig().devices()) {
            device.learned().forEach((learnable, learned) -> {
                Lesson lesson = lessons.of(device.id(), learnable);
                if (lesson instanceof Lesson.Pressed press) {
                    assertThat(heard(plan, device, press))
                            .as(lesson.toString())
                            .hasSize(1)
                            .allMatch(m -> is(m, learned));
                } else if (lesson instanceof Lesson.Alone alone) {
                    assertThat(alone.message()).matches(m -> is(m, learned));
                }
            });
        }
    }

    private static List<Message> heard(Plan plan, Device device, Lesson.Pressed press) {
        Assignment assignment = plan.switches().at(press.at());
        Journey journey = new Engine(plan).journey(new Compiler(plan).compile(assignment), press.moment(), 0);
        return journey.deliveries().stream()
                .filter(delivery -> delivery.to().device().equals(device.id()))
                .map(Journey.Delivery::message)
                .filter(message -> Stream.of(message)
                        .anyMatch(m -> plan.rig().model(device.id()).chart().learnables().stream()
                                .anyMatch(learnable -> learnable.refusal(m).isEmpty())))
                .filter(message -> !message.isRelease())
                .toList();
    }

    private static boolean is(Message message, Learned learned) {
        return message.type() == learned.type() && message.data1() == learned.number();
    }
}
