package embrack.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CursorTests {

    /** A line, words to step over, whether they stand there, and what is left. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "'mute Input 1'        | mute        | true  | Input 1",
                "'  MUTE  Input 1'     | mute        | true  | Input 1",
                "'muted Input 1'       | mute        | false | muted Input 1",
                "'toggle   mute x'     | toggle mute | true  | x",
                "'togglemute x'        | toggle mute | false | togglemute x",
                "'a press, more'       | a press     | true  | ', more'",
                "'+ note 60'           | +           | true  | note 60",
                "'=127'                | =           | true  | 127",
                "'mut'                 | mute        | false | mut",
                "''                    | mute        | false | ''",
            })
    void wordsAreSteppedOverWhole(String line, String words, boolean accepted, String rest) {
        Cursor cursor = Cursor.of(line);
        assertThat(cursor.accept(words)).isEqualTo(accepted);
        assertThat(cursor.rest()).isEqualTo(rest);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "'cc 40 # a remark'    | cc 40",
                "'note C#3'            | note C#3",
                "'clear \"No. # 3\"'   | clear \"No. # 3\"",
                "'# only that'         | ''",
                "'cc 40 over 63   '    | cc 40 over 63",
            })
    void remarksBeginBehindABlankAndOutsideQuotes(String line, String rest) {
        Cursor cursor = Cursor.of(line);
        assertThat(cursor.rest()).isEqualTo(rest);
        assertThat(cursor.isAtEnd()).isEqualTo(rest.isEmpty());
    }

    @Test
    void aStretchIsLeftBehindAndColumnsGoOnCounting() {
        Cursor cursor = Cursor.of("mute \"A: b\": cc 40");
        cursor.accept("mute");
        Cursor name = cursor.until(cursor.find(':'));
        assertThat(name.rest()).isEqualTo("\"A: b\"");
        assertThat(name.column()).isEqualTo(6);
        assertThat(cursor.column()).isEqualTo(14);
        assertThat(cursor.token()).isEqualTo("cc");
        assertThat(cursor.peek()).isEqualTo("40");
        Problem problem = cursor.fault("Not that.").inLine(7);
        assertThat(problem).isEqualTo(new Problem(Problem.Level.ERROR, 7, 17, 2, "Not that."));
        assertThat(problem).hasToString("line 7, column 17: Not that.");
        assertThat(cursor.find('x')).isNegative();
        cursor.backTo(14);
        assertThat(cursor.rest()).isEqualTo("cc 40");
    }

    @Test
    void problemsAreSortedByTheirPlace() {
        List<Problem> problems = List.of(problem(2, 9), problem(1, 40), problem(2, 1));
        assertThat(problems.stream().sorted().map(p -> p.line() + ":" + p.column()))
                .containsExactly("1:40", "2:1", "2:9");
    }

    @ParameterizedTest
    @CsvSource({
        "mutte, mute, true",
        "mut, mute, true",
        "opne, open, true",
        "togle, toggle, true",
        "m, mute, false",
        "fader, mute, false",
        "onn, on, true",
        "recal, recall, true",
        "recording, record, false"
    })
    void oneOrTwoWrongLettersAreForgiven(String typed, String known, boolean near) {
        assertThat(Spelling.isNear(typed, known)).isEqualTo(near);
    }

    private static Problem problem(int line, int column) {
        return new Problem(Problem.Level.NOTE, line, column, 1, "x");
    }
}
