package embrack.files.chart;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import embrack.core.chart.Chart;
import embrack.core.gear.Model;
import embrack.core.gear.library.Library;
import embrack.files.json.UnreadableFile;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.FieldSource;

class ChartCsvTests {

    @SuppressWarnings("unused")
    private static final List<Model> SHIPPED = Library.all();

    @ParameterizedTest
    @FieldSource("SHIPPED")
    void everyShippedChartGoesOutAndComesIn(Model model) {
        String csv = ChartCsv.write(model.chart());
        assertThat(Chart.of(ChartCsv.read(csv)).rows()).isEqualTo(model.chart().rows());
    }

    @Test
    void whatASpreadsheetWritesIsRead() {
        String typed = "\uFEFFVERB,Part,Type,Number,Sends,From,To\r\nmute,Input 1,cc,40,127,64,127\nmute,Input "
                + "2,CC,41,127,64,127\n\n"
                + "go,\"Cue, last\",note,12,,,\nrun,Chase 1,note,20,,,\n+,,note,60,100,100,100\n";
        assertThat(ChartCsv.read(typed)).isEqualTo("""
                mute Input 1..2: cc 40..41 over 63
                go "Cue, last": note 12 = 127
                run Chase 1: note 20 = 127 + note 60 = 100""");
    }

    @Test
    void allMistakesAreToldByTheirLine() {
        String wrong = "verb,part,type,number,sends,from,to,channel,bytes\nmutte,Input 1,cc,40\nmute,Input "
                + "2,cc,200\nmute,,cc,2\nmute,Main,cd,2\nopen,Main,cc,9\n"
                + "mute,Main,cc,x\nmute,Main,cc,1,5,9,20\nplay,Tracks,,,,,,,B0\nplay,Tracks,cc,1,,,,17,\n";
        assertThatExceptionOfType(UnreadableFile.class)
                .isThrownBy(() -> ChartCsv.read(wrong))
                .satisfies(e -> assertThat(e.problems())
                        .extracting(p -> p.where() + ": " + p.what().replaceAll("verbs .*", "verbs"))
                        .containsExactly(
                                "line 2: \"mutte\" is none of the verbs",
                                "line 3: number must be 0 to 127, was 200",
                                "line 4: Write a name; it is empty.",
                                "line 5: type must be note, CC or PC, was \"cd\"",
                                "line 7: number must be a whole number, was \"x\"",
                                "line 8: the value sent must be one that the box takes, 9 to 20, was 5",
                                "line 9: bytes must be one message that goes to no channel, was \"B0\"",
                                "line 10: MIDI channel must be 1 to 16, was 17"));
        assertThatExceptionOfType(UnreadableFile.class)
                .isThrownBy(() -> ChartCsv.read("a,b\n1,2\n"))
                .withMessage("line 1: the column \"verb\" is missing; the columns are verb, part, family, type, "
                        + "number, sends, from, to, channel, bytes");
        assertThatExceptionOfType(UnreadableFile.class)
                .isThrownBy(() -> ChartCsv.read("+,x\n"))
                .withMessageContaining("column \"verb\" is missing");
        assertThatExceptionOfType(UnreadableFile.class)
                .isThrownBy(() -> ChartCsv.read("verb,part\n\"mute,x\n"))
                .withMessageStartingWith("line 2: a cell in quotes is not closed");
    }
}
