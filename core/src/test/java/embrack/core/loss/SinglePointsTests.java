package embrack.core.loss;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Sketch;
import embrack.core.WiringFaults;
import embrack.core.rig.Comparison;
import embrack.core.rig.Pair;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SinglePointsTests {

    /** One controller, one interface, two computers with the same player. */
    private static final Sketch PAIR = Sketch.of("Pair")
            .box("Board", "ten-switch-treadle-board")
            .box("Interface", "playback-interface-a-b")
            .box("Computer A", "computer")
            .box("Computer B", "computer")
            .app("Player A", "instrument-host-layer", "computer-a")
            .app("Player B", "instrument-host-layer", "computer-b")
            .set("player-a", "receive-channel", "5")
            .set("player-b", "receive-channel", "5")
            .link(
                    "board.out > interface.in",
                    "interface.computer-a > computer-a.usb-1",
                    "interface.computer-b > computer-b.usb-1",
                    "computer-a.usb-1 > player-a.in",
                    "computer-b.usb-1 > player-b.in")
            .step("board 1: player-a select:patch-2");

    @Test
    void theWorstComesFirst() {
        Sketch two = WiringFaults.clean()
                .box("Desk board", "ten-switch-treadle-board")
                .link("desk-board.out > merger.in-2")
                .step("desk-board 1: vocal-mixer mute:input-2");
        List<Loss> losses = SinglePoints.of(two.plan());
        assertThat(losses)
                .extracting(loss ->
                        loss.failure().words(two.rig()) + ": " + loss.switches().size())
                .containsExactly(
                        "5-pin link from Merger OUT to Vocal mixer MIDI IN: 3",
                        "Merger: 3",
                        "Vocal mixer: 3",
                        "5-pin link from Voice board MIDI OUT to Merger IN 1: 2",
                        "Voice board: 2",
                        "5-pin link from Desk board MIDI OUT to Merger IN 2: 1",
                        "Desk board: 1");
    }

    @Test
    void aPairSurvivesWhatIsDoubleAndNothingElse() {
        Sketch pair = Sketch.on(PAIR.plan()).pair("player-a", "player-b");
        assertThat(pair.plan().switches().assignments()).isNotEmpty();
        assertThat(SinglePoints.of(PAIR.plan()))
                .extracting(loss -> loss.failure().words(PAIR.rig()))
                .contains("Computer A", "Player A");
        assertThat(SinglePoints.of(pair.plan()))
                .extracting(loss -> loss.failure().words(pair.rig()))
                .containsExactlyInAnyOrder("Board", "Interface", "5-pin link from Board MIDI OUT to Interface MIDI IN");
        assertThat(SinglePoints.withSurvived(pair.plan()))
                .filteredOn(loss -> loss.switches().isEmpty())
                .extracting(loss -> loss.failure().words(pair.rig()))
                .containsExactlyInAnyOrder(
                        "USB link from Interface Computer A to Computer A USB 1",
                        "Computer A",
                        "inside a computer link from Computer A USB 1 to Player A In",
                        "Player A");
    }

    /** What is changed on B, and the difference that is listed. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "player-b    | buffer        | 512 samples | Buffer: 128 samples, 512 samples",
                "player-b    | receive-channel | 6         | MIDI receive channel: 5, 6",
                "computer-b  | wireless-app  | installed   | Computer, Wireless app: missing, installed",
            })
    void aPairIsComparedSettingBySetting(String device, String setting, String value, String difference) {
        Sketch other = Sketch.on(PAIR.plan()).pair("player-a", "player-b").set(device, setting, value);
        assertThat(differences(other)).containsExactly(difference);
    }

    @Test
    void aPairIsComparedLinkByLink() {
        Sketch other = Sketch.on(PAIR.plan()).pair("player-a", "player-b");
        assertThat(differences(other)).isEmpty();
        assertThat(differences(other.pull("computer-b.usb-1 > player-b.in")))
                .contains("In: Computer A (inside a computer), nothing");
        Sketch one = Sketch.on(PAIR.plan()).pair("player-a", "player-b").lives("player-b", "computer-a");
        assertThat(differences(one)).contains("Computer: lives in Computer A, lives in the same one: it dies with it");
    }

    @Test
    void aSupplyTakesWithItWhatRunsFromIt() {
        Sketch powered = Sketch.of("Supply")
                .box("Charger", "usb-charger-2")
                .box("Board", "four-switch-desk-board")
                .box("Mixer", "rack-mixer-24")
                .set("mixer", "receive-channel", "2")
                .link("board.usb > charger.usb-1", "board.out > mixer.in")
                .step("board 1: mixer mute:main");
        Loss charger = SinglePoints.of(powered.plan()).stream()
                .filter(loss -> loss.failure().words(powered.rig()).equals("Charger"))
                .findFirst()
                .orElseThrow();
        assertThat(charger.switches()).hasSize(1);
        assertThat(charger.dark()).extracting(d -> d.text()).containsExactly("board");
    }

    private static List<String> differences(Sketch sketch) {
        Pair pair = sketch.rig().pairs().getFirst();
        return Comparison.of(sketch.rig(), pair).stream()
                .map(d -> "%s: %s, %s".formatted(d.what(), d.first(), d.second()))
                .toList();
    }
}
