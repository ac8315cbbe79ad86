package embrack.core.line;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.gear.Board;
import embrack.core.gear.FactoryMessage;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.library.Library;
import embrack.core.gear.text.Box;
import embrack.core.gear.text.BoxWriter;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.midi.Message.ControlChange;
import embrack.core.midi.Message.NoteOff;
import embrack.core.midi.Message.NoteOn;
import embrack.core.midi.Message.ProgramChange;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A board that is pressed switch by switch is described as its text has it. */
class DescribedTests {

    /** The lines of the library's board with factory numbers that are about its switches, from pressing it. */
    @Test
    void aBoardOfTheLibraryIsDescribedAsItIs() {
        Model model = Library.find(new ModelId("ten-switch-factory-board")).orElseThrow();
        Board board = model.surface().board().orElseThrow();
        Described described = new Described(new Described.Layout(10, 5, List.of("A")), List.of());
        for (int number = 1; number <= 10; number++) {
            described = described.with(List.of(sent(board.fixed(1, number).orElseThrow())));
        }
        described = described.with(List.of(sent(board.fixed(1, 1).orElseThrow())));
        assertThat(described.next()).isEmpty();
        List<String> text = BoxWriter.write(Box.of(model)).lines().toList();
        assertThat(described.lines())
                .hasSize(7)
                .allSatisfy(line -> assertThat(text).contains(line));
        assertThat(described.into(BoxWriter.write(Box.of(model))).lines().toList())
                .as("nothing else of the text is lost, and nothing is said twice")
                .containsExactlyInAnyOrderElementsOf(text);
    }

    private static Message sent(FactoryMessage message) {
        return new ControlChange(new Channel(1), message.number(), 127);
    }

    /** Ten switches in four banks, as boxes of each sort send. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "channel; one-shot; banks: A, B, C, D; a bank changes the channel; factory run: cc 80..88, 102",
                "numbers; alternating; banks: A, B, C, D; a bank changes the numbers, which go on; "
                        + "factory run: cc 10..19",
                "nothing; momentary; banks: A, B, C, D; ; factory run: note 36..45",
                "chosen; one-shot; banks: A, B, C, D; ; "
            })
    void tenSwitchesInFourBanks(String sort, String mode, String banks, String change, String run) {
        Described described = new Described(new Described.Layout(10, 5, List.of("A", "B", "C", "D")), List.of());
        for (int press = 0; described.next().isPresent(); press++) {
            Described.Next next = described.next().orElseThrow();
            assertThat(press).isLessThanOrEqualTo(40);
            described = described.with(List.of(sent(sort, next, next.again() && mode.equals("alternating"))));
            if (mode.equals("momentary")) {
                described = described.with(List.of(new NoteOff(new Channel(3), 35 + next.number(), 0)));
            }
        }
        assertThat(described.lines())
                .contains(
                        "switches: 10 in rows of 5, send %s, 1 a press"
                                .formatted(sort.equals("nothing") ? "note" : sort.equals("chosen") ? "pc" : "cc"),
                        change == null || change.isBlank() ? banks : banks + "; " + change,
                        "modes: " + mode,
                        mode.equals("momentary") ? "gestures: press, release" : "gestures: press");
        if (run == null) {
            assertThat(described.lines()).noneMatch(line -> line.startsWith("factory run"));
            assertThat(described.remarks().getFirst().key()).isEqualTo("described.programmed");
        } else {
            assertThat(described.lines()).contains(run);
        }
    }

    private static Message sent(String sort, Described.Next next, boolean off) {
        int value = off ? 0 : 127;
        return switch (sort) {
            case "channel" ->
                new ControlChange(new Channel(next.bank()), next.number() == 10 ? 102 : 79 + next.number(), value);
            case "numbers" -> new ControlChange(new Channel(3), next.number() + 9 + 10 * (next.bank() - 1), value);
            case "nothing" -> new NoteOn(new Channel(3), 35 + next.number(), 127);
            default -> new ProgramChange(new Channel(3), (next.number() * 7 + next.bank() * 3) % 128);
        };
    }
}
