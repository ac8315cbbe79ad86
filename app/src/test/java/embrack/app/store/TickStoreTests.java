package embrack.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import embrack.app.AppTest;
import embrack.core.sheet.Progress.Tick;
import embrack.core.sheet.Section;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

@AppTest
class TickStoreTests {

    private static final Section.Line SET =
            new Section.Task("vocal-mixer/set/receive-channel", "Set MIDI receive channel to 2.");

    @Autowired
    private TickStore ticks;

    @Autowired
    private RigStore rigs;

    @Test
    void aTickKeepsWhatTheLineSaidAndWhoTickedIt() {
        RigId rig = copy();
        ticks.tick(rig, SET, "the technician");
        ticks.tick(rig, new Section.Task("cables/a>b", "A cable."), "somebody else");
        assertThat(ticks.all(rig))
                .extracting(Tick::key, Tick::words, Tick::who)
                .contains(tuple(SET.key(), SET.words(), "the technician"));
        assertThat(ticks.all(rig)).allMatch(tick -> tick.when().matches("\\d{1,2} \\w{3,4}, \\d\\d:\\d\\d"));
    }

    @Test
    void aLineThatIsTickedAgainSaysWhatItSaysNow() {
        RigId rig = copy();
        ticks.tick(rig, SET, "one");
        ticks.tick(rig, new Section.Task(SET.key(), "Set MIDI receive channel to 9."), "another");
        assertThat(ticks.all(rig))
                .singleElement()
                .extracting(Tick::words, Tick::who)
                .containsExactly("Set MIDI receive channel to 9.", "another");
    }

    @Test
    void ticksAreTakenBackOneByOneOrAllAndBelongToOneRig() {
        RigId rig = copy();
        RigId other = copy();
        ticks.tick(rig, SET, "one");
        ticks.tick(rig, new Section.Task("x", "X."), "one");
        ticks.tick(other, SET, "one");
        ticks.untick(rig, "x");
        assertThat(ticks.all(rig)).extracting(Tick::key).containsExactly(SET.key());
        ticks.clear(rig);
        assertThat(ticks.all(rig)).isEmpty();
        assertThat(ticks.all(other)).hasSize(1);
    }

    private RigId copy() {
        return rigs.create(rigs.load(new RigId(1)).plan(), "Copy");
    }
}
