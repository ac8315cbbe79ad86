package embrack.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Evening;
import embrack.core.Sketch;
import embrack.core.SoundFaults;
import embrack.core.edit.HandEdit;
import embrack.core.edit.SoundEdit;
import embrack.core.gear.ControlType;
import embrack.core.gear.PortId;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import java.util.List;
import org.junit.jupiter.api.Test;

/** How every box stands before the first press, as the proofs assume it. */
class AtDoorsTests {

    private static final Plan RIG = Sketch.of("Doors")
            .box("Board", "ten-switch-treadle-board")
            .box("Mixer", "rack-mixer-24")
            .box("Lights", "small-scene-desk")
            .box("Keys", "keyboard-workstation")
            .box("Spare", "four-switch-program-board")
            .link("board.out > mixer.in", "mixer.thru > lights.in")
            .step("board 1: mixer mute:input-1", "board 2: mixer open:input-1", "board 3: mixer mute:return-1")
            .plan();

    @Test
    void onlyWhatIsWorkedIsSaidBoxByBoxByPlace() {
        assertThat(lines(RIG, "board")).contains("Bank A is on its display.");
        assertThat(lines(RIG, "mixer")).containsExactly("Open: Input 1 and Return 1.");
        assertThat(AtDoors.of(RIG).sections())
                .extracting(Section::heading)
                .containsExactly("Floor: Board", "Rack: Mixer");
    }

    @Test
    void whatPeopleSetAtDoorsIsWhereTheProofsStart() {
        Plan set = new HandEdit.SetAtDoors(new DeviceId("mixer"), "mute Return 1").apply(RIG);
        assertThat(lines(set, "mixer")).containsExactly("Open: Input 1.", "Muted: Return 1.");
    }

    @Test
    void aPedalStandsWhereItsLevelBegins() {
        Plan quiet = Sketch.on(RIG)
                .move("board", ControlType.TREADLE, "mixer", "main", 0, 127)
                .plan();
        assertThat(lines(quiet, "board"))
                .anyMatch(line -> line.startsWith("Expression pedal 1 heel down: so Mixer: level of Main stands"));
        Plan turned = Sketch.on(RIG)
                .move("board", ControlType.TREADLE, "mixer", "main", 127, 0)
                .plan();
        assertThat(lines(turned, "board")).anyMatch(line -> line.startsWith("Expression pedal 1 toe down"));
    }

    @Test
    void eachSongSaysWhatHasToBePutBackAndByWhat() {
        Sheet sheet = AtDoors.of(Evening.plan());
        assertThat(sheet.lines())
                .extracting(Section.Line::key)
                .doesNotHaveDuplicates()
                .allMatch(key -> key.startsWith(AtDoors.KEYS));
        assertThat(sheet.sections()).extracting(Section::heading).endsWith("After Slow boats");
        assertThat(lines(Evening.plan(), "player"))
                .contains("Output port is on.", "Stopped, at the beginning of Lanterns.");
        assertThat(lines(Evening.plan(), "lantern-desk")).containsExactly("Off: Blackout.");
        assertThat(lines(Evening.plan(), "after/slow-boats"))
                .contains("Lantern desk, Scene 1 is chosen, and no switch puts it back: at the box, by hand.");
        Plan given = Sketch.on(Evening.plan())
                .step("foot-board 9: guitar-sounds off:loop-1")
                .plan();
        assertThat(lines(given, "guitar-sounds")).containsExactly("Off: Loop 1.");
    }

    /** A console says where its 48 V are, and what has to be off so that the audience does not hear it. */
    @Test
    void aConsoleIsLookedAtBeforeAnybodyHearsIt() {
        Plan plan = SoundFaults.mill()
                .edit(new SoundEdit.SwitchPhantom(new DeviceId("mixer"), new PortId("input-3"), true))
                .plan();
        assertThat(lines(plan, "mixer"))
                .containsExactly(
                        "48 V is on at Input 3, and nowhere else.",
                        "Off, so that nobody hears it who must not: click of Tablet. That is Input 1 to Mix left, "
                                + "Mix right, Group 1, Group 2, Group 3, Group 4 and Aux 2.");
    }

    private static List<String> lines(Plan plan, String box) {
        return AtDoors.of(plan).sections().stream()
                .flatMap(section -> section.lines().stream())
                .filter(line -> line.key().startsWith("doors/" + box + "/"))
                .map(Section.Line::words)
                .toList();
    }
}
