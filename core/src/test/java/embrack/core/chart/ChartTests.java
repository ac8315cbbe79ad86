package embrack.core.chart;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.text.Problem;
import embrack.core.text.Problem.Level;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ChartTests {

    private static final Channel TWO = new Channel(2);

    /** What is typed, how many rows it is, and what one action sends on channel 2. */
    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "recall Scene 1..8: note 0..7                              |   8 | recall:scene-8     | 91 07 7F",
                "mute Input 1-16: cc 40-55 = 127                           |  16 | mute:input-2       | B1 29 7F",
                "open Input 1 to 16: cc 40 to 55 under 64                  |  16 | open:input-16      | B1 37 00",
                "go Item 1..4: note 12 = 100 over 63 + pc 0..3             |   4 | go:item-3          | 91 0C 64 C1 02",
                "run Chase 1..6: note 20..25 + note 60                     |   6 | run:chase-2        | 91 "
                        + "15 7F 91 3C 7F",
                "select Patch 1..4, 9: pc 0..3, 20                         |   5 | select:patch-9     | C1 14",
                "play Pad {C, C#, \"E flat\"}: note 24..26                  |   3 | play:pad-c-sharp   | 91 19 7F",
                "mute Strip 1..2: note 60..61, alternating                 |   2 | toggle-mute:strip-1 | 91 3C 7F",
                "level Main: cc 7 = 0..100                                 |   1 | level:main:100     | B1 07 64",
                "go Cue 1..5: msc go 1..5 list 2                           |   5 | go:cue-5           | F0 "
                        + "7F 7F 02 01 01 35 00 32 F7",
                "play Tracks: mmc play                                     |   1 | play:tracks        | F0 "
                        + "7F 7F 06 02 F7",
                "stop Tracks: stop   # the real-time message               |   1 | stop:tracks        | FC",
                "load Song 1..3: song 0..2                                 |   3 | load:song-2        | F3 01",
                "clear \"Screen: left\": sysex F0 7D 01 F7                   |   1 | clear:screen-left  | F0 7D 01 F7",
                "use B: cc 100 over 63 on channel 16                       |   1 | use:b              | BF 64 7F",
            })
    void linesExpandInStep(String line, int rows, String action, String bytes) {
        ChartReading reading = ChartReading.of("programs from 0\n" + line);
        assertThat(reading.errors()).isEmpty();
        assertThat(reading.rows()).hasSize(rows);
        List<Message> messages = reading.chart()
                .orElseThrow()
                .messagesFor(Action.parse(action), TWO)
                .orElseThrow();
        assertThat(String.join(" ", messages.stream().map(Message::hex).toList()))
                .isEqualTo(bytes);
    }

    /**
     * The worst typing mistakes, each with its message at its column; the first six are the ones that a manual page
     * invites.
     */
    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "mute Input 1..16: cc 40..54                    | 22 |  6 | 16 parts, but 15 numbers: "
                        + "\"Input 1..16\" and \"40..54\" must be of the same length.",
                "mute Input 1..16: cc 55..40                    | 22 |  6 | 55..40 runs backwards; a range "
                        + "goes from low to high.",
                "select Patch 1..129: pc 1..129                 | 25 |  6 | 1..129 are 129 programs; there "
                        + "are 128, 1 to 128 on this box.",
                "mutte Input 1: cc 40                           |  1 |  5 | \"mutte\" is no verb of a chart. "
                        + "Did you mean \"mute\"?",
                "mute Input 1: cc 128                           | 18 |  3 | CC numbers go from 0 to 127; 128 "
                        + "is not one of them.",
                "mute Input 1 cc 40                             |  6 | 13 | A colon is missing between what "
                        + "is done and the message: mute Input 1..16: cc 40..55 = 127",
                "select Patch 0: pc 0                           | 20 |  1 | This box counts its programs "
                        + "from 1 to 128; 0 is not one of them.",
                "play Pad: note C3                              | 16 |  2 | Say above how this manual names "
                        + "notes: write \"middle C is C3\", C4 or C5 in a line of its own; or type the number.",
                "mute Input 16..1: cc 40..55                    | 12 |  5 | 16..1 runs backwards; a range "
                        + "goes from low to high: 1..16.",
                "mute Input 1..8: cc 40                         | 21 |  2 | 8 parts share one message. Give "
                        + "each its own number, such as 40..\u2026.",
                "mute Input 1: cc 40 = 200                      | 23 |  3 | Values go from 0 to 127; 200 is "
                        + "not one of them.",
                "go Cue 1: note 5 = 0                           | 20 |  1 | Velocity 0 releases a note; a "
                        + "note that does something has 1 to 127.",
                "mute Input 1: cd 40                            | 15 |  2 | \"cd\" is no message. Write "
                        + "note, cc, pc, song, start, stop, continue, mmc, msc or sysex.",
                "mute Input 1: cc 40 cc 41                      | 21 |  5 | \"cc 41\" is not understood "
                        + "here. Two messages have + between them; a remark begins with #.",
                "mute : cc 40                                   |  6 |  1 | What it is done to is missing, "
                        + "such as \"Input 1..16\" or \"Main\".",
                "mute Input 1: cc 40 on channel 17              | 32 |  2 | Channels go from 1 to 16; 17 is "
                        + "not one of them.",
                "level Main: pc 3                               | 16 |  1 | A level travels as the value of "
                        + "a cc or a note.",
                "select Patch 1: pc 1, alternating              | 23 | 11 | \"select\" cannot alternate; "
                        + "mute, on, run and play can.",
                "except Patch 7: pc 9                           |  8 |  5 | \"Patch\" is no verb of a chart. "
                        + "A line begins with one of: mute, open, toggle mute",
                "play Pad } {C, D: note 1..2                    | 12 |  5 | The list that begins here is not "
                        + "closed; } is missing.",
                "play Pad {C,, D}: note 1..3                    | 13 |  1 | A name is missing between two "
                        + "commas of this list.",
                "play A 1..2 and B 3..4: note 1..2              | 12 | 11 | A name has one run of numbers; "
                        + "this one has two.",
                "go Cue 1: note 1 + note 2 + note 3 + note 4 + note 5 + note 6 + note 7 + note 8 + note 9 | "
                        + "88 | 1 | One action takes at most 8 messages.",
                "go Cue 1: sysex F0 7D                          | 17 |  1 | Bytes in hexadecimal are needed, "
                        + "from F0 to F7, those between under 80: sysex F0 7D 01 F7.",
                "go Cue 1: mmc dance                            | 15 |  5 | A command is missing here: mmc "
                        + "stop, play, pause, rewind, fast forward, record strobe or record exit.",
                "play Tracks: learns sysex                      | 21 |  5 | What it learns from is missing: "
                        + "note, cc, pc; at the end perhaps \"not value 0\".",
                "middle C is C6                                 | 13 |  2 | This says \"middle C is C3\", "
                        + "\"middle C is C4\" or \"middle C is C5\".",
                "mute Input 1: cc 40 = 5 over 63                | 32 |  1 | The value sent, 5, is none that "
                        + "the box takes, 64 to 127.",
                "mute \"Input 1: cc 40                           |  6 | 15 | A colon is missing",
                "means lovely: Main                             |  7 |  6 | What are they to a show? One of: vamp,",
                "means song                                     | 11 |  1 | A colon is missing",
                "means vamp: Loop                               | 13 |  4 | No line above is about Loop.",
                "safe: stop Tracks                              | 12 |  6 | The chart has no line for \"stop Tracks\".",
            })
    void mistakesAreToldAtTheirPlace(String line, int column, int length, String words) {
        List<Problem> errors = ChartReading.of("programs from 1\n" + line).errors();
        assertThat(errors).hasSize(1);
        assertThat(errors.getFirst().words()).startsWith(words);
        assertThat(errors.getFirst())
                .extracting(Problem::line, Problem::column, Problem::length)
                .containsExactly(2, column, length);
    }

    @Test
    void whatPartsAreToAShowIsSaidWhateverTheyAreCalled() {
        Chart chart = Chart.of("""
                toggle Dark: note 1
                jump Piece 7..9: note 7..9
                mute PA: cc 4
                open PA: cc 5
                means blackout: Dark
                means song: Piece 7..9
                means house sound: PA""");
        assertThat(chart.isMeant(new PartId("dark"), Meaning.BLACKOUT)).isTrue();
        assertThat(chart.meaning(new PartId("pa"))).contains(Meaning.HOUSE);
        assertThat(chart.placeOfSong(new PartId("piece-9"))).hasValue(3);
        assertThat(chart.placeOfSong(new PartId("dark"))).isEmpty();
        assertThat(chart.caution(Action.parse("toggle:dark")).orElseThrow()).startsWith("In a blackout people fall");
        assertThat(ChartReading.of(chart.text()).problems()).isEmpty();
    }

    @Test
    void programsNeedToKnowTheirFirstNumber() {
        assertThat(ChartReading.of("select Patch 1..4: pc 1..4").errors())
                .singleElement()
                .hasToString("line 1, column 23: Say above what this box calls its first program: write "
                        + "\"programs from 1\" or \"programs from 0\" in a line of its own.");
    }

    @Test
    void aTableMayHaveExceptions() {
        Chart chart = Chart.of("programs from 1\nselect Patch 1..128: pc 1..128\nexcept Patch 12: pc 99\nexcept select "
                + "Patch 99: nothing");
        assertThat(chart.rows()).hasSize(127);
        assertThat(chart.messagesFor(Action.parse("select:patch-12"), TWO).orElseThrow())
                .extracting(Message::hex)
                .containsExactly("C1 62");
        assertThat(chart.messagesFor(Action.parse("select:patch-99"), TWO)).isEmpty();
        assertThat(ChartReading.of(chart.text()).problems())
                .extracting(Object::toString)
                .containsExactly(
                        "line 2, column 1: Patch 99 is left out: is that so in the manual?",
                        "line 2, column 1: PC 12 does nothing here: is that so in the manual?");
    }

    /** Lines of a chart and what is probably not meant about them. */
    @ParameterizedTest(name = "{2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "mute Input 1..4: cc 40..43 over 63; open Input 1..4: cc 40..43 over 32 | LOOK | line 2, "
                        + "column 1: One message, two actions: CC 40 over 32 is for \"mute Input 1\" (line 1) and for "
                        + "\"open Input 1\". The box would do both.",
                "recall Scene 1..4: note 0..3; recall Scene 6..8: note 4..6              | NOTE | line 2, "
                        + "column 1: Scene 5 is left out: is that so in the manual?",
                "mute Bus: cc 5 over 63                                                 | NOTE | line 1, "
                        + "column 1: Bus can be told to mute but not to open: is that so in the manual?",
                "recall Scene 1..4: note 0..3; recall Bank 1..4: note 5..8                | NOTE | line 2, "
                        + "column 1: note 4 does nothing here: is that so in the manual?",
                "toggle mute Main: cc 5                                                 | LOOK | line 1, "
                        + "column 1: Does what the audience hears go through Main? Then add: means house sound: Main",
                "programs from 1; load Song 1..9: pc 1..9                               | LOOK | line 2, "
                        + "column 1: Is Song 1 a song of the player's list? Then add: means song: Song 1..9",
                "go Cue 1: note 5; go Cue 1: note 5                                     | LOOK | line 2, "
                        + "column 1: go Cue 1 stands here twice with the same message.",
            })
    void whatIsProbablyNotMeantIsAskedAbout(String lines, Level level, String words) {
        ChartReading reading = ChartReading.of(lines.replace("; ", "\n"));
        assertThat(reading.chart()).isPresent();
        assertThat(reading.problems()).singleElement().hasToString(words);
        assertThat(reading.problems().getFirst().level()).isEqualTo(level);
    }

    @Test
    void aProgramBehindABankSelectIsReadByTheBank() {
        Chart chart = Chart.of(
                "programs from 0\nselect Patch 0..127: pc 0..127\nselect Patch 128..255: cc 0 = 1 + pc 0..127");
        assertThat(ChartReading.of(chart.text()).problems()).isEmpty();
        Message bank = new Message.ControlChange(TWO, 0, 1);
        Message program = new Message.ProgramChange(TWO, 5);
        assertThat(chart.reactionsTo(program, MessageMemory.NOTHING, true))
                .containsExactly(Action.parse("select:patch-5"));
        assertThat(chart.reactionsTo(bank, MessageMemory.NOTHING, true)).isEmpty();
        assertThat(chart.reactionsTo(program, chart.remember(MessageMemory.NOTHING, bank), true))
                .containsExactly(Action.parse("select:patch-133"));
        assertThat(chart.reactionsTo(program, chart.remember(MessageMemory.NOTHING, bank), false))
                .isEmpty();
    }

    @Test
    void aNoteBehindANoteCountsOnlyRightBehindIt() {
        Chart chart = Chart.of("run Chase 1..2: note 48..49 + note 60\ntoggle Auto run: note 60");
        Message chase = new Message.NoteOn(TWO, 48, 127);
        Message auto = new Message.NoteOn(TWO, 60, 127);
        MessageMemory heard = chart.remember(MessageMemory.NOTHING, chase);
        assertThat(chart.reactionsTo(auto, heard, true)).containsExactly(Action.parse("run:chase-1"));
        assertThat(chart.reactionsTo(auto, chart.remember(heard, auto), true))
                .containsExactly(Action.parse("toggle:auto-run"));
        assertThat(chart.reactionsTo(auto, MessageMemory.NOTHING, true))
                .containsExactly(Action.parse("toggle:auto-run"));
    }

    @Test
    void exclusiveVerbsBelongToFamilies() {
        Chart chart = Chart.of("play Pad {C, D}: note 1..2\nrecall Scene 1..2: note 3..4\nselect Clean: note 5");
        assertThat(chart.parts()).extracting(Part::family).containsExactly("Pad", "Pad", "Scene", "Scene", "Clean");
        assertThat(Verb.RECALL.isExclusive()).isTrue();
        assertThat(chart.aspects(new PartId("pad-c"))).containsExactly(Aspect.TRANSPORT);
    }

    /** Verbs on a value, twice. */
    @ParameterizedTest
    @CsvSource({
        "MUTE, 0, 1, 1",
        "TOGGLE, 0, 1, 0",
        "RECORD, 0, 3, 1",
        "RECORD, 1, 3, 1",
        "NEXT, 999, 0, 1",
        "PREVIOUS, 0, 999, 998",
        "LEVEL, 3, 77, 77",
        "FADE_OUT, 1, 0, 0"
    })
    void verbsChangeTheirAspect(Verb verb, int before, int once, int twice) {
        assertThat(verb.applyTo(before, 77)).isEqualTo(once);
        assertThat(verb.applyTo(once, 77)).isEqualTo(twice);
        assertThat(Verb.parse(verb.key())).isEqualTo(verb);
        assertThat(verb.aspect().word(once)).isNotBlank();
    }

    @Test
    void lessonsSayWhatTheyRefuse() {
        Learnable learnable = Chart.of("play Tracks: learns note, cc, not value 0")
                .learnables()
                .getFirst();
        assertThat(learnable.refusal(new Message.ControlChange(TWO, 5, 127))).isEmpty();
        assertThat(learnable.refusal(new Message.ControlChange(TWO, 5, 0)))
                .contains("It does not learn from a message of value 0; send one of value 127.");
        assertThat(learnable.refusal(new Message.ProgramChange(TWO, 5)))
                .contains("It does not learn from program changes.");
    }

    @Test
    void aChartCanBeTriedBothWays() {
        var trial = new ChartTrial(Chart.of(
                "programs from 1\nmute Input 1..16: cc 40..55 over 63\nlevel Main: cc 7\nselect Patch 1..8: pc 1..8"));
        assertThat(trial.press("mute Input 3", TWO))
                .singleElement()
                .isEqualTo(new ChartTrial.Sent(
                        Action.parse("mute:input-3"), List.of(new Message.ControlChange(TWO, 42, 127))));
        assertThat(trial.press("level Main at 90", TWO).getFirst().messages())
                .extracting(Message::hex)
                .containsExactly("B1 07 5A");
        for (String typed : List.of("B1 2A 7F", "cc 42 127", "CC 42 = 127", "ch 2 cc 42 127")) {
            assertThat(trial.arrive(typed, TWO))
                    .as(typed)
                    .singleElement()
                    .isEqualTo(new ChartTrial.Arrived(
                            new Message.ControlChange(TWO, 42, 127), List.of(Action.parse("mute:input-3"))));
        }
        assertThat(trial.arrive("pc 8", TWO).getFirst().actions()).containsExactly(Action.parse("select:patch-8"));
        assertThat(trial.arrive("ch 3 cc 42 127", TWO).getFirst().actions()).isEmpty();
        assertThatIllegalArgumentException()
                .isThrownBy(() -> trial.press("open Input 3", TWO))
                .withMessage("The chart has no line for \"open Input 3\".");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> trial.press("level Main", TWO))
                .withMessage("Say how much, 0 to 127: level Main at 100.");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> trial.arrive("B1 2A", TWO))
                .withMessage("That cannot be read: byte 0: this CC message has 1 of its 2 data bytes; then the "
                        + "stream ends.");
    }

    @Test
    void hugeTextsAreRefusedAtOnce() {
        assertThat(ChartReading.of("x".repeat(ChartReading.MAX_LENGTH + 1)).errors())
                .singleElement()
                .hasToString("line 1, column 1: This text has 200001 characters; a chart has at most 200000.");
        assertThat(ChartReading.of("go Cue 1..9999: note 1").errors().getFirst().words())
                .isEqualTo("This is more than the 4000 rows that a chart can have.");
        assertThat(Optional.of(Chart.of("")).map(Chart::isEmpty)).contains(true);
    }
}
