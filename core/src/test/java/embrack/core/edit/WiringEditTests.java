package embrack.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import embrack.core.Sketch;
import embrack.core.gear.Ear;
import embrack.core.gear.ModelId;
import embrack.core.gear.PortId;
import embrack.core.gear.Purpose;
import embrack.core.gear.Route;
import embrack.core.gear.Sound;
import embrack.core.gear.library.Library;
import embrack.core.plan.Plan;
import embrack.core.rig.Area;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Feed;
import embrack.core.rig.Rig;
import embrack.core.rig.Traffic;
import embrack.core.word.Language;
import embrack.core.word.Wording;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class WiringEditTests {

    private static final Sketch RIG = Sketch.of("Edits")
            .box("Board", "ten-switch-treadle-board")
            .box("Merger", "merger-2-to-1")
            .box("Computer", "computer")
            .box("Other", "computer")
            .box("Bridge", "bluetooth-bridge-pair")
            .app("Piano", "instrument-host-layer", "computer")
            .app("Tracks", "linear-timeline-player", "computer")
            .app("Spare piano", "instrument-host-layer", "other")
            .link(
                    "board.out > merger.in-1",
                    "board.usb > computer.usb-1",
                    "computer.usb-1 > piano.in",
                    "tracks.out > piano.in",
                    "bridge.bluetooth > computer.bluetooth");
    private static final Route THROUGH = new Route(new PortId("in-1"), new PortId("out"));

    private static List<Arguments> refusals() {
        return List.of(
                Arguments.of(
                        new WiringEdit.LiveIn(id("board"), Optional.of(id("computer"))),
                        "host",
                        "Board is a box and no app, so it stands beside a computer and does not live in it."),
                Arguments.of(
                        new WiringEdit.LiveIn(id("piano"), Optional.of(id("merger"))),
                        "host",
                        "Merger is no computer or tablet, so Piano cannot live in it."),
                Arguments.of(
                        new WiringEdit.LiveIn(id("piano"), Optional.of(id("gone"))),
                        "host",
                        "That box is no longer in the rig. Choose another."),
                Arguments.of(
                        new WiringEdit.StandIn(id("piano"), Optional.of(id("tracks"))),
                        "second",
                        "Piano and Tracks are not the same hardware, so neither can stand in for the other."),
                Arguments.of(
                        new WiringEdit.StandIn(id("piano"), Optional.of(id("piano"))),
                        "second",
                        "A device cannot stand in for itself."),
                Arguments.of(filter("17", ""), "channels", "Channels go from 1 to 16; 17 is none."),
                Arguments.of(filter("two", ""), "channels", "Write a whole number in digits."),
                Arguments.of(filter("", "0"), "onto", "Channels go from 1 to 16; 0 is none."),
                Arguments.of(
                        new WiringEdit.Filter(
                                id("merger"), new Route(new PortId("out"), new PortId("in-1")), true, Set.of(), "", ""),
                        "open",
                        "This box no longer has that way through."),
                Arguments.of(
                        new WiringEdit.Hear(id("board"), new PortId("out"), Set.of(Sound.CLICK), Set.of()),
                        "sounds",
                        "Board has no sound output \"out\""),
                Arguments.of(
                        new WiringEdit.Measure(
                                Sketch.socket("bridge.bluetooth"), Sketch.socket("computer.bluetooth"), "3"),
                        "length",
                        "Only a cable has a length; this link is wireless."),
                Arguments.of(
                        new WiringEdit.ForgetTime(Sketch.socket("board.out"), Sketch.socket("piano.in")),
                        "time",
                        "That link is no longer there."),
                Arguments.of(
                        new WiringEdit.Measure(Sketch.socket("board.out"), Sketch.socket("piano.in"), "3"),
                        "length",
                        "That link is no longer there."),
                Arguments.of(
                        new WiringEdit.Connect(Sketch.socket("gone.out"), Sketch.socket("piano.in")),
                        "from",
                        "That box is no longer in the rig. Choose another."));
    }

    @ParameterizedTest
    @MethodSource("refusals")
    void whatCannotBeDoneIsRefusedAtItsField(Edit edit, String field, String words) {
        assertThatExceptionOfType(Refused.class)
                .isThrownBy(() -> edit.apply(RIG.plan()))
                .satisfies(refused -> {
                    assertThat(refused.words()).isEqualTo(words);
                    assertThat(refused.field()).isEqualTo(field);
                });
    }

    @Test
    void everyEditSaysWhatItDoes() {
        assertThat(summaries(
                        new WiringEdit.Connect(Sketch.socket("computer.usb-2"), Sketch.socket("board.usb")),
                        new WiringEdit.Disconnect(Sketch.socket("board.out"), Sketch.socket("merger.in-1")),
                        new WiringEdit.Stand(id("merger"), Area.RACK),
                        new WiringEdit.LiveIn(id("piano"), Optional.of(id("other"))),
                        new WiringEdit.LiveIn(id("piano"), Optional.empty()),
                        new WiringEdit.Hear(
                                id("computer"),
                                new PortId("headphones-left"),
                                Set.of(Sound.CLICK, Sound.GUIDE),
                                Set.of(Ear.IN_EARS)),
                        new WiringEdit.StandIn(id("piano"), Optional.of(id("spare-piano"))),
                        filter("2", "")))
                .containsExactly(
                        "Link from Board USB to Computer USB 2",
                        "Pull the link from Board MIDI OUT to Merger IN 1",
                        "Put Merger: Rack",
                        "Run Piano on Other",
                        "Take Piano off its computer",
                        "Computer Headphones left: click and spoken guide to in-ears",
                        "Have Spare piano stand in for Piano",
                        "Change what Merger passes on");
    }

    @Test
    void anAppThatMovesLosesTheLinksInsideItsOldComputerAndNoOthers() {
        Rig moved = Sketch.on(RIG.plan()).lives("piano", "other").rig();
        assertThat(moved.links())
                .extracting(moved::words)
                .containsExactly(
                        "from Board MIDI OUT to Merger IN 1",
                        "from Board USB to Computer USB 1",
                        "from Bridge Bluetooth to Computer Bluetooth");
        assertThat(moved.box(id("piano"))).isEqualTo(id("other"));
        assertThat(Sketch.on(RIG.plan()).lives("piano", "computer").rig()).isEqualTo(RIG.rig());
    }

    @Test
    void swappedHardwareKeepsWhatStillFits() {
        Sketch before = Sketch.on(RIG.plan())
                .filter("merger", "in-1 > out", true, "3", "")
                .pair("piano", "spare-piano")
                .feed("computer.headphones-left", List.of(Sound.PADS), List.of(Ear.HOUSE));
        Rig thru = before.edit(new GearEdit.SwapHardware(
                        id("merger"),
                        Library.find(new ModelId("thru-box-1-to-4")).orElseThrow()))
                .rig();
        assertThat(thru.device(id("merger")).filters()).isEmpty();
        assertThat(thru.links())
                .extracting(thru::words)
                .doesNotContain("from Board MIDI OUT to Merger IN 1")
                .hasSize(4);
        Rig tablet = before.edit(new GearEdit.SwapHardware(
                        id("piano"),
                        Library.find(new ModelId("instrument-host-straight")).orElseThrow()))
                .rig();
        assertThat(tablet.pairs()).as("no longer alike").isEmpty();
        assertThat(tablet.device(id("computer"))
                        .feed(new PortId("headphones-left"))
                        .words())
                .isEqualTo("pads to house");
        assertThat(Sketch.on(before.plan())
                        .feed("computer.headphones-left", List.of(), List.of())
                        .rig()
                        .device(id("computer"))
                        .feeds())
                .isEmpty();
        assertThat(Feed.NONE.words()).isEqualTo("nothing to nowhere");
    }

    @Test
    void removingSaysWhatGoesAlong() {
        assertThat(GearEdit.RemoveDevice.goesWith(RIG.plan(), id("computer")))
                .isEqualTo("With it go 4 links and the home of 2 apps. Undo brings all of it back.");
        assertThat(GearEdit.RemoveDevice.goesWith(RIG.plan(), id("spare-piano")))
                .isEmpty();
        Plan stepped = Sketch.on(RIG.plan())
                .step("board 1: piano select:patch-2", "board 2: piano select:patch-3")
                .plan();
        assertThat(GearEdit.RemoveDevice.goesWith(stepped, id("piano"))).startsWith("With it go 2 links and 2 steps.");
        assertThat(GearEdit.RemoveDevice.goesWith(stepped, id("board")))
                .startsWith("With it go 2 links and 2 planned switches.");
    }

    private static List<String> summaries(Edit... edits) {
        Wording words = Wording.without(Language.ENGLISH);
        return List.of(edits).stream()
                .map(edit -> words.say(edit.summary(RIG.plan())))
                .toList();
    }

    private static WiringEdit.Filter filter(String channels, String onto) {
        return new WiringEdit.Filter(id("merger"), THROUGH, true, EnumSet.of(Traffic.NOTES), channels, onto);
    }

    private static DeviceId id(String text) {
        return new DeviceId(text);
    }

    /** Two sessions that both wait to be asked are told apart as they are joined; what was set stays. */
    @Test
    void aSessionAsksForTheOneInTheOtherComputer() {
        Sketch two = Sketch.of("Network")
                .box("Left", "computer")
                .box("Right", "computer")
                .app("Asks", "network-session", "left")
                .app("Waits", "network-session", "right");
        Plan joined = Sketch.on(two.plan()).link("asks.session > waits.session").plan();
        assertThat(joined.rig().setting(new DeviceId("asks"), Purpose.ROLE)).contains(0);
        assertThat(joined.rig().setting(new DeviceId("waits"), Purpose.ROLE)).contains(1);
        Plan chosen = Sketch.on(two.plan())
                .set("waits", "role", "invites")
                .link("asks.session > waits.session")
                .plan();
        assertThat(chosen.rig().setting(new DeviceId("waits"), Purpose.ROLE)).contains(0);
    }
}
