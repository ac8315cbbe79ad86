package embrack.core.chart;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import java.util.EnumSet;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TaughtChartTests {

    private static final Channel FOUR = new Channel(4);
    private static final Chart LOOPER =
            Chart.of("record Track 1..2: learns cc, not value 0\nlevel Track 1: learns cc\nplay Rhythm: mmc "
                    + "play\nplay Rhythm: learns note");
    private static final LearnableId RECORD = LearnableId.parse("record:track-1");
    private static final LearnableId LEVEL = LearnableId.parse("level:track-1");

    @Test
    void whatIsLearnedStandsInThePlaceOfTheLesson() {
        Chart taught = LOOPER.taught(Map.of(RECORD, learned(30)));
        assertThat(taught.messagesFor(Action.parse("record:track-1"), FOUR).orElseThrow())
                .extracting(Message::hex)
                .containsExactly("B3 1E 7F");
        assertThat(taught.learnables()).hasSize(3);
        assertThat(LOOPER.messagesFor(Action.parse("record:track-1"), FOUR)).isEmpty();
        assertThat(taught.text()).isEqualTo(LOOPER.text());
        assertThat(LOOPER.taught(Map.of())).isSameAs(LOOPER);
    }

    @ParameterizedTest
    @CsvSource({"0, false", "63, false", "64, true", "127, true"})
    void aFunctionIsWorkedByTheUpperHalfOfTheValues(int value, boolean acts) {
        Chart taught = LOOPER.taught(Map.of(RECORD, learned(30)));
        assertThat(taught.reactionsTo(new Message.ControlChange(FOUR, 30, value), MessageMemory.NOTHING, true)
                        .isEmpty())
                .isEqualTo(!acts);
    }

    @Test
    void anAlternatingInputTakesItsTwoValuesInTurn() {
        Chart taught = LOOPER.taught(Map.of(RECORD, learned(30).withResponse(new Response(true, 0, 127))));
        Message press = new Message.ControlChange(FOUR, 30, 127);
        MessageMemory once = taught.remember(MessageMemory.NOTHING, press);
        assertThat(taught.remembers()).isTrue();
        assertThat(taught.reactionsTo(press, MessageMemory.NOTHING, true)).hasSize(1);
        assertThat(taught.reactionsTo(press, once, true)).isEmpty();
        assertThat(taught.reactionsTo(press, taught.remember(once, new Message.ControlChange(FOUR, 30, 0)), true))
                .as("a value of the lower half is no press")
                .isEmpty();
        assertThat(taught.reactionsTo(press, taught.remember(once, press), true))
                .hasSize(1);
    }

    /** Loop level capped at 100 of 200, as half of the way: no value sets more. */
    @Test
    void aLevelIsTakenBetweenItsLowAndHighValue() {
        Chart taught = LOOPER.taught(Map.of(LEVEL, learned(31).withResponse(new Response(false, 0, 64))));
        assertThat(taught.levelAt(new PartId("track-1"), 127)).contains(Action.parse("level:track-1:64"));
        assertThat(taught.messagesFor(Action.parse("level:track-1:64"), FOUR)
                        .orElseThrow()
                        .getFirst()
                        .data2())
                .isGreaterThanOrEqualTo(126);
        assertThat(taught.messagesFor(Action.parse("level:track-1:65"), FOUR)).isEmpty();
        assertThat(taught.actions()).contains(Action.parse("level:track-1:0"), Action.parse("level:track-1:64"));
        Chart inverted = LOOPER.taught(Map.of(LEVEL, learned(31).withResponse(new Response(false, 127, 0))));
        assertThat(inverted.messagesFor(Action.parse("level:track-1:127"), FOUR)
                        .orElseThrow()
                        .getFirst()
                        .data2())
                .isZero();
    }

    @Test
    void theRowThatCanBeSentIsTaken() {
        Chart both = LOOPER.taught(Map.of(
                LearnableId.parse("play:rhythm"), new Learned(MessageType.NOTE_ON, Optional.of(new Channel(7)), 12)));
        Action play = Action.parse("play:rhythm");
        assertThat(both.messagesFor(play, FOUR, EnumSet.of(MessageType.NOTE_ON)).orElseThrow())
                .extracting(Message::hex)
                .containsExactly("96 0C 7F");
        assertThat(both.messagesFor(play, FOUR, EnumSet.of(MessageType.SYSTEM_EXCLUSIVE))
                        .orElseThrow()
                        .getFirst()
                        .type())
                .isEqualTo(MessageType.SYSTEM_EXCLUSIVE);
        assertThat(LOOPER.isSendable(LearnableId.parse("play:rhythm"), EnumSet.of(MessageType.NOTE_ON)))
                .isFalse();
    }

    @Test
    void whatStandsStillAloneAndBanksOfPatchesAreSaidInTheText() {
        Chart chart =
                Chart.of("programs from 1\nbanks of 8\nselect Patch 1..16: pc 1..16\non Strobe: cc 9\nrun Chase 1..2: "
                        + "note 1..2\nneeds Strobe: Chase 1..2");
        assertThat(chart.need(new PartId("chase-2"))).contains(new PartId("strobe"));
        assertThat(chart.need(new PartId("strobe"))).isEmpty();
        assertThat(chart.shownAt(Action.parse("select:patch-9"))).contains("bank 1, patch 1");
        assertThat(chart.shownAt(Action.parse("on:strobe"))).isEmpty();
        Chart again =
                Chart.of(ChartWriter.write(chart.conventions(), chart.rows(), chart.learnables(), chart.beside()));
        assertThat(again.needs()).isEqualTo(chart.needs());
        assertThat(again.conventions()).isEqualTo(chart.conventions());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "needs Strobe Chase 1                | A colon is missing: needs Auto run: Chase 1..6",
                "needs Strobe: Chase 9               | No line above is about Chase 9.",
                "needs Chase 1..2: Strobe            | One part is needed by others; these are 2.",
                "banks of many                       | This says how many patches a bank has, 1 to 128: banks of 8",
                "banks of 129                        | This says how many patches a bank has, 1 to 128: banks of 8",
                "banks of 8 patches                  | Behind it may stand what the box calls the first "
                        + "patch: banks of 8, first 1-1",
            })
    void whatCannotBeReadIsTold(String line, String words) {
        assertThat(ChartReading.of("on Strobe: cc 9\nrun Chase 1..2: note 1..2\n" + line)
                        .errors())
                .singleElement()
                .satisfies(problem -> {
                    assertThat(problem.words()).isEqualTo(words);
                    assertThat(problem.line()).isEqualTo(3);
                });
    }

    @Test
    void whatCannotBeLearnedIsNone() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Learned(MessageType.PITCH_BEND, Optional.empty(), 1))
                .withMessageContaining("a box learns notes");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Response(false, 0, 128))
                .withMessageContaining("high value");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> LearnableId.parse("play"))
                .withMessageContaining("verb:part");
        assertThat(LearnableId.parse(RECORD.key())).isEqualTo(RECORD);
    }

    private static Learned learned(int number) {
        return new Learned(MessageType.CONTROL_CHANGE, Optional.empty(), number);
    }
}
