package embrack.core.way;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.MappingFaults;
import embrack.core.Sketch;
import embrack.core.edit.GearEdit;
import embrack.core.edit.WiringEdit;
import embrack.core.rig.Area;
import embrack.core.rig.DeviceId;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class RigChangeTests {

    private static final List<String> BOXES = List.of("foot-board", "vocal-mixer", "loop-table");

    /** An edit, the boxes that hear otherwise, those that are otherwise in more than that, who sends through these. */
    private static Stream<Arguments> edits() {
        return Stream.of(
                edit("a name", s -> s.edit(new GearEdit.RenameDevice(id("loop-table"), "Loops")), "", "", ""),
                edit("a place", s -> s.edit(new WiringEdit.Stand(id("loop-table"), Area.RACK)), "", "", ""),
                edit("a channel", s -> s.set("loop-table", "receive-channel", "9"), "loop-table", "", ""),
                edit(
                        "a way that is shut",
                        s -> s.filter("vocal-mixer", "in > thru", false, "", ""),
                        "",
                        "vocal-mixer",
                        "foot-board vocal-mixer"),
                edit(
                        "a cable",
                        s -> s.pull("vocal-mixer.thru > loop-table.in"),
                        "",
                        "vocal-mixer loop-table",
                        "foot-board vocal-mixer loop-table"),
                edit(
                        "a box that came",
                        s -> s.box("Choir mixer", "rack-mixer-24").link("loop-table.thru > choir-mixer.in"),
                        "",
                        "loop-table",
                        "foot-board loop-table"),
                edit(
                        "a box that went",
                        s -> s.edit(new GearEdit.RemoveDevice(id("loop-table"), true)),
                        "",
                        "vocal-mixer loop-table",
                        "foot-board vocal-mixer loop-table"));
    }

    private static Arguments edit(
            String name, UnaryOperator<Sketch> edit, String hearing, String otherwise, String upstream) {
        return Arguments.of(name, edit, hearing, otherwise, upstream);
    }

    private static DeviceId id(String text) {
        return new DeviceId(text);
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("edits")
    void tellsWhatMessagesMeetOtherwise(
            String name, UnaryOperator<Sketch> edit, String hearing, String otherwise, String upstream) {
        Sketch before = MappingFaults.loops();
        var change = new RigChange(
                new Ways(before.rig()),
                new Ways(edit.apply(MappingFaults.loops()).rig()));
        assertThat(BOXES.stream().filter(box -> change.hearsOtherwise(id(box))))
                .containsExactlyElementsOf(all(hearing));
        assertThat(BOXES.stream().filter(box -> change.isOtherwise(id(box)))).containsExactlyElementsOf(all(otherwise));
        assertThat(BOXES.stream().filter(box -> change.isUpstream(id(box)))).containsExactlyElementsOf(all(upstream));
        assertThat(change.isNone()).isEqualTo((hearing + otherwise).isEmpty());
    }

    private static List<String> all(String words) {
        return words.isEmpty() ? List.of() : List.of(words.split(" "));
    }
}
