package embrack.core.gear.text;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.gear.Board;
import embrack.core.gear.Gesture;
import embrack.core.gear.PortId;
import embrack.core.gear.Power;
import embrack.core.gear.Scope;
import embrack.core.gear.SwitchMode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BoxTextTests {

    @Test
    void aBoxIsReadFromAPageOfLines() {
        Box box = BoxReading.of("""
                # A board with everything
                port MIDI OUT: 5-pin out
                port Socket: USB device both ways
                port Power: power in
                shared the only socket: Socket, Power; 1 at once
                switches: 10 in rows of 5, send note, cc, 8 a press
                banks: 1..12, Solo; a bank changes the channel
                gestures: press, double press
                modes: momentary, one-shot
                factory run: cc 80..88, 102
                send channel: one for the box
                display: two digits
                programs from 0
                running status
                pads: 8 in rows of 4, send note, on channel 10
                setting MIDI send channel: 1..16, factory 2
                setting Curve: linear, steep; factory steep, in each memory
                setting "Odd: name" as odd: -5..5, factory 0
                memories: 12
                keep: Hold WRITE.
                habits: listens to all channels; acts on note-off; looks for ports at start; 16 assignable inputs
                habits: press also sends when held
                power: USB or batteries, 120 mA
                """).box().orElseThrow();
        Board board = box.surface().board().orElseThrow();
        assertThat(board.banks()).hasSize(13);
        assertThat(board.gestures()).containsExactly(Gesture.PRESS, Gesture.DOUBLE_PRESS);
        assertThat(board.modes()).containsExactly(SwitchMode.MOMENTARY, SwitchMode.ONE_SHOT);
        assertThat(board.factory().fixed().getFirst().numbers()).hasSize(10).endsWith(88, 102);
        assertThat(box.sockets().shared().getFirst().atOnce()).isEqualTo(1);
        assertThat(box.surface().groups().getFirst().channel().orElseThrow().number())
                .isEqualTo(10);
        assertThat(box.memory().settings())
                .extracting(s -> s.id().text())
                .containsExactly("send-channel", "curve", "odd");
        assertThat(box.memory().settings().get(1).shown(1)).isEqualTo("steep");
        assertThat(box.memory().settings().get(1).scope()).isEqualTo(Scope.MEMORY);
        assertThat(box.quirks().words()).hasSize(5);
        assertThat(box.power().orElseThrow())
                .isEqualTo(new Power(box.power().orElseThrow().sources(), 120, 0, 0));
        assertThat(BoxReading.of(BoxWriter.write(box)).box()).contains(box);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "prot MIDI IN: 5-pin in          |  1 | \"prot\" does not begin a line. Did you mean \"port\"?",
                "port MIDI IN 5-pin in           |  6 | A colon is missing: port MIDI IN: 5-pin in",
                "port MIDI IN: 6-pin in          | 15 | What is it? 5-pin, TRS type A, TRS type B, USB "
                        + "device, USB host, Bluetooth, network, Wi-Fi, virtual, power, DMX; for sound audio, XLR, "
                        + "balanced jack, mono jack, stereo jack, headphones, phono, multicore, optical, sound network "
                        + "or computer sound.",
                "port In: XLR in, at loud         | 18 | A level is such as +4 dBu, -10 dBV or -60..+20 dBu.",
                "port In: XLR in, 2 channels      |  6 | In, XLR, carries 1, was 2 channels.",
                "sound In to Out                  |  7 | No port above is called \"In\".",
                "makes thunder at Out             |  7 | What does it make? tracks, click, spoken guide, pads, "
                        + "heartbeat, reference recording, loops, instrument, microphone.",
                "heard at In                      | 10 | Who hears it? heard at In by house",
                "port MIDI IN: 5-pin sideways    | 21 | Which way? in, out, thru or both ways.",
                "switches: 40, send cc           | 11 | A number from 1 to 32 is needed here.",
                "switches: 4 in rows of 4, cc    | 27 | What do they send? Write such as \"send note, cc\".",
                "switches: 4, send cc, 8 a pres  | 25 | How many messages in one press? Write such as \"8 a press\".",
                "faders: 8 in rows of 9, send cc |  9 | A row has 1 to 8 faders, was 9.",
                "setting Channel: 16..1          | 18 | 16..1 runs backwards; a range goes from low to high.",
                "setting Mode: a, b; factory c   | 29 | The factory's value is none of the words before.",
                "setting Channel: 1..16 factory 17 | 32 | A number from 1 to 16 is needed here.",
                "habits: sings                   |  9 | Known habits: listens to all channels; acts on "
                        + "note-off; looks for ports at start; press also sends when held; 16 assignable inputs.",
                "power: steam                    |  8 | What does it run from? USB, a supply of its own, "
                        + "batteries or mains.",
                "memories: 99 more               | 14 | \"more\" is not understood here.",
                "shared x: A, B; 1 at once       | 11 | No port above is called \"A\".",
                "banks: A, B; a bank changes hats | 29 | What does a bank change? \"what each switch "
                        + "sends\", \"the channel\" or \"the numbers, which go on\".",
                "setting Mode: off, on, in each memory | 1 | The setting \"mode\" is kept in each memory, "
                        + "and the box has none.",
                "banks: A, B                     |  1 | A line says how the switches are, and none how many: "
                        + "switches: 4 in rows of 4, send cc, 8 a press.",
            })
    void mistakesAreToldAtTheirPlace(String line, int column, String words) {
        assertThat(BoxReading.of(line.replace("on, in each", "on; in each")).problems())
                .singleElement()
                .satisfies(p -> {
                    assertThat(p.words()).isEqualTo(words);
                    assertThat(p.column()).isEqualTo(column);
                });
    }

    /** Runs of ports, what ports give, ways through, and the mistakes one makes with them. */
    @Test
    void waysThroughAndRunsOfPortsAreReadAndWrittenAgain() {
        Box box = BoxReading.of("""
                port IN: 5-pin in
                port Hub 1..3: USB host both ways, gives 500 mA, for one controller
                port Computer: USB device both ways
                pass IN to Computer
                pass hub 2 to Computer, off
                """).box().orElseThrow();
        assertThat(box.sockets().ports())
                .extracting(p -> p.name().text())
                .containsExactly("IN", "Hub 1", "Hub 2", "Hub 3", "Computer");
        assertThat(box.sockets().port(new PortId("hub-3")))
                .hasValueSatisfying(p -> assertThat(p.gives()).isEqualTo(500))
                .hasValueSatisfying(p -> assertThat(p.forOneController()).isTrue());
        assertThat(box.sockets().routes())
                .hasToString("{Route[from=hub-2, to=computer]=false, Route[from=in, to=computer]=true}");
        assertThat(BoxReading.of(BoxWriter.write(box)).box()).contains(box);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "pass IN to Elsewhere          | 12 | No port above is called \"Elsewhere\".",
                "pass Sound to Out             |  1 | Nothing comes in at Sound, so nothing can be passed on "
                        + "from there.",
                "pass IN to Sound              |  1 | Sound does not send, so nothing can be passed on there.",
                "pass IN to Out, on            | 17 | Behind the comma may stand \"off\": not passed on "
                        + "until it is switched on.",
                "port USB: USB device both ways, gives 500 | 42 | A current is given in mA.",
                "port USB: USB device both ways, gives 0 mA | 39 | A number from 1 to 20000 is needed here.",
                "port USB: USB device both ways, for one controller | 6 | Only a USB host socket can be for "
                        + "one controller, USB is USB device.",
                "port USB: USB device both ways, blue | 33 | Here may stand \"gives 500 mA\" or \"for one "
                        + "controller\".",
                "pass IN to IN                 |  1 | IN does not send, so nothing can be passed on there.",
                "port Out 8..1: audio out      |  6 | 8..1 runs backwards; a run goes from low to high.",
            })
    void mistakesWithWaysThroughAreToldAtTheirPlace(String line, int column, String words) {
        String ports = "port IN: 5-pin in\nport Out: 5-pin out\nport Sound: audio out\n";
        assertThat(BoxReading.of(ports + line).problems()).singleElement().satisfies(p -> {
            assertThat(p.words()).isEqualTo(words);
            assertThat(p.column()).isEqualTo(column);
        });
    }
}
