package embrack.core.way;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import embrack.core.Sketch;
import embrack.core.edit.Edit;
import embrack.core.edit.Refused;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.Kind;
import embrack.core.midi.FrameRate;
import embrack.core.midi.Wire;
import embrack.core.plan.Plan;
import embrack.core.rig.Buffering;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TimingTests {

    /** Board to bridge, over the air to a tablet's app that makes sound; and by cable over a merger to a light desk. */
    private static final Sketch STAGE = Sketch.of("Stage")
            .box("Board", "ten-switch-treadle-board")
            .box("Merger", "merger-2-to-1")
            .box("Thru box", "thru-box-1-to-4")
            .box("Bridge", "bluetooth-bridge-pair")
            .box("Desk", "scene-desk")
            .box("Tablet", "tablet")
            .set("tablet", "wireless-app", "installed")
            .app("Sounds", "instrument-host-layer", "tablet")
            .link(
                    "board.out > merger.in-1",
                    "merger.out > thru-box.in",
                    "thru-box.thru-1 > bridge.in",
                    "thru-box.thru-2 > desk.in",
                    "bridge.bluetooth > tablet.bluetooth",
                    "tablet.bluetooth > sounds.in");

    /** Buffers: samples divided by rate. */
    @ParameterizedTest
    @CsvSource({"32, 44100, 0.73", "128, 48000, 2.67", "64, 48000, 1.33", "512, 44100, 11.61"})
    void aBufferLastsItsSamples(int samples, int hertz, String millis) {
        assertThat(Delay.millis(Buffering.micros(samples, hertz))).isEqualTo(millis);
    }

    /** ANSI E1.11, table 6: 22.7 ms for 512 slots, about 44 a second. */
    @Test
    void aUniverseOf512SlotsComesRound44TimesASecond() {
        assertThat(Timing.DMX_FRAME_MICROS).isEqualTo(22_676);
        assertThat(1e6 / Timing.DMX_FRAME_MICROS).isCloseTo(44.1, within(0.01));
    }

    @ParameterizedTest
    @CsvSource({"7.5 ms, 0.00 / 3.75 / 7.50 ms", "15 ms, 0.00 / 7.50 / 15.00 ms"})
    void twoRadiosMeetAsOftenAsTheSlowerOne(String tablet, String wait) {
        Sketch sketch = Sketch.on(STAGE.plan()).set("tablet", "connection-interval", tablet);
        assertThat(share(sketch, "sounds", "next meeting of the two radios")
                        .delay()
                        .words())
                .isEqualTo(wait);
    }

    @Test
    void everyPieceOfAWayTakesItsTime() {
        List<Share> shares = shares(STAGE, "sounds");
        assertThat(shares)
                .extracting(Share::where, Share::what, s -> s.delay().words())
                .containsExactly(
                        tuple("Board MIDI OUT to Merger IN 1", "3 bytes on the wire", "0.96 / 0.96 / 0.96 ms"),
                        tuple("Merger OUT to Thru box IN", "3 bytes on the wire, sent anew", "0.96 / 0.96 / 0.96 ms"),
                        tuple(
                                "Bridge Bluetooth to Tablet Bluetooth",
                                "next meeting of the two radios",
                                "0.00 / 7.50 / 15.00 ms"),
                        tuple("Sounds", "buffer of 128 samples at 48 kHz, heard one later", "2.67 / 4.00 / 5.33 ms"));
        assertThat(Timing.total(shares).words()).isEqualTo("4.59 / 13.42 / 22.25 ms");
        assertThat(Timing.biggest(shares).orElseThrow().shorter())
                .isEqualTo("A shorter connection interval, 7.5 ms at best; or a cable.");
        assertThat(Timing.total(shares(STAGE, "desk")).words())
                .as("a DMX frame at the end")
                .isEqualTo("1.92 / 13.26 / 24.60 ms");
    }

    /**
     * A way that was measured takes as long as it did: 1.92 ms of it are bytes on two wires, the rest is the radio's.
     * The app's buffer of 2.67 / 4 / 5.33 ms comes behind it.
     */
    @Test
    void whatWasMeasuredCountsAtTheLinkOfWhichLeastIsKnown() {
        DeviceId board = new DeviceId("board");
        Delay loop = new Delay(6_000, 9_920, 31_920);
        Plan taken = new WiringEdit.TakeTime(board, new DeviceId("tablet"), loop).apply(STAGE.plan());
        Timing timing = new Timing(new Ways(taken.rig()));
        SignalPath way =
                new Ways(taken.rig()).between(board, new DeviceId("tablet")).orElseThrow();
        assertThat(timing.travel(way, 3)).isEqualTo(loop);
        Sketch measured = Sketch.on(taken);
        assertThat(share(measured, "sounds", "as measured").delay()).isEqualTo(new Delay(4_080, 8_000, 30_000));
        assertThat(Timing.total(shares(measured, "sounds")).words()).isEqualTo("8.67 / 13.92 / 37.25 ms");
        assertThat(Timing.total(shares(measured, "desk"))).isEqualTo(Timing.total(shares(STAGE, "desk")));
        Link radio = taken.rig().links().stream()
                .filter(link -> link.measured().isPresent())
                .findFirst()
                .orElseThrow();
        assertThat(new WiringEdit.ForgetTime(radio.from(), radio.to()).apply(taken))
                .isEqualTo(STAGE.plan());
        Edit onWire = new WiringEdit.TakeTime(board, new DeviceId("desk"), loop);
        assertThatExceptionOfType(Refused.class)
                .isThrownBy(() -> onWire.apply(STAGE.plan()))
                .withMessageContaining("nothing to take over");
    }

    @Test
    void whatIsSentBeforeItAndASessionTakeTime() {
        assertThat(new Timing(new Ways(STAGE.rig())).shares(way(STAGE, "desk"), 3, 21))
                .extracting(Share::what, s -> s.delay().words())
                .contains(tuple("what is sent before it", "0.00 / 3.36 / 6.72 ms"));
        Sketch session = Sketch.on(STAGE.plan())
                .box("Left", "computer")
                .box("Right", "computer")
                .box("Router", "router-wi-fi")
                .app("In", "network-session", "left")
                .app("Out", "network-session", "right")
                .set("in", "role", "invites")
                .app("Player", "linear-timeline-player", "right")
                .link(
                        "board.usb > left.usb-1",
                        "left.usb-1 > in.in",
                        "in.session > out.session",
                        "out.out > player.in",
                        "left.network > router.lan-1",
                        "right.network > router.lan-2");
        assertThat(share(session, "player", "network by cable").delay()).isEqualTo(new Delay(300, 1_000, 3_000));
        assertThat(share(session, "player", "next USB frame").delay().words()).isEqualTo("0.00 / 0.50 / 1.00 ms");
        Sketch air = session.pull("right.network > router.lan-2").link("right.wi-fi > router.wi-fi");
        assertThat(share(air, "player", "network, partly Wi-Fi").delay().worst())
                .isEqualTo(40_000);
    }

    @Test
    void whatIsFeltDependsOnWhatItIs() {
        assertThat(Felt.between(Kind.KEYBOARD, Kind.INSTRUMENT_HOST).judge(13_000))
                .isEqualTo("Above 12 ms it is felt: a sound under the finger.");
        assertThat(Felt.between(Kind.FLOOR_BOARD, Kind.INSTRUMENT_HOST).judge(13_000))
                .isEqualTo("Under 30 ms nobody feels it: a start or a change.");
        assertThat(Felt.CHANGE.judge(40_000)).isEqualTo("Between 30 and 50 ms some feel it: a start or a change.");
    }

    /** MIDI 1.0: 24 clocks a beat; quarter frames of two bytes, four a frame; 3125 bytes a second. */
    @ParameterizedTest
    @CsvSource({
        "120, , 48, 1.54",
        ", FPS_25, 200, 6.40",
        ", FPS_24, 192, 6.14",
        ", FPS_30, 240, 7.68",
        ", FPS_29_97_DROP, 239.76, 7.67",
        "120, FPS_25, 248, 7.94"
    })
    void clockAndTimeCodeFillTheWire(Integer bpm, FrameRate rate, double bytes, double percent) {
        var load = new WireLoad(Optional.ofNullable(bpm), Optional.ofNullable(rate), false);
        assertThat(load.bytesPerSecond()).isCloseTo(bytes, within(0.005));
        assertThat(load.percent()).isCloseTo(percent, within(0.005));
    }

    @Test
    void aTreadleTakesWhatIsLeft() {
        var treadle = new WireLoad(Optional.empty(), Optional.empty(), true);
        assertThat(treadle.sweepMicros(Wire.RunningStatus.NOT_USED)).isEqualTo(122_880);
        assertThat(treadle.sweepMicros(Wire.RunningStatus.USED)).isEqualTo(82_240);
        assertThat(treadle.percent()).isEqualTo(100);
        var all = new WireLoad(Optional.of(120), Optional.of(FrameRate.FPS_25), true);
        assertThat(all.pressDelayMicros())
                .as("one clock, one quarter frame, one control change before it")
                .isEqualTo(1_920);
        assertThat(all.words())
                .containsExactly(
                        "clock at 120 bpm: 48 bytes a second",
                        "time code at 25 frames a second: 200 bytes a second",
                        "expression sweep: all that is left, 128 control changes in 133.5 ms");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new WireLoad(Optional.of(0), Optional.empty(), false))
                .withMessage("A tempo is 1 to 999 beats a minute, was 0.");
    }

    private static SignalPath way(Sketch sketch, String receiver) {
        return new Ways(sketch.rig())
                .between(new DeviceId("board"), new DeviceId(receiver))
                .orElseThrow();
    }

    private static List<Share> shares(Sketch sketch, String receiver) {
        return new Timing(new Ways(sketch.rig())).shares(way(sketch, receiver), 3, 0);
    }

    private static Share share(Sketch sketch, String receiver, String what) {
        return shares(sketch, receiver).stream()
                .filter(s -> s.what().equals(what))
                .findFirst()
                .orElseThrow();
    }
}
