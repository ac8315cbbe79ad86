package embrack.files.csv;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.tuple;

import embrack.files.json.UnreadableFile;
import java.nio.charset.Charset;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CsvSheetTests {

    /** As spreadsheets of different countries and years save the same sheet. */
    @ParameterizedTest
    @CsvSource({
        "UTF-8, ',', ''",
        "UTF-8, ;, \uFEFF",
        "UTF-16LE, '\t', \uFEFF",
        "UTF-16BE, ;, \uFEFF",
        "UTF-16, ',', ''",
        "windows-1252, ;, ''",
        "ISO-8859-1, '\t', ''"
    })
    void howeverItWasSavedItIsRead(String charset, String delimiter, String mark) {
        String csv = mark
                + String.join("\r\n", "Device,Action", "Küche,mute:main", "", "\"Bühne, links\",open:main")
                        .replace("e,A", "e" + delimiter + "A")
                        .replace("e,m", "e" + delimiter + "m")
                        .replace("\",o", "\"" + delimiter + "o");
        CsvSheet sheet = CsvSheet.read(CsvSheet.text(csv.getBytes(Charset.forName(charset))), 10);
        assertThat(sheet.headings()).containsExactly("action", "device");
        assertThat(sheet.lines())
                .extracting(line -> line.number() + " " + line.cell("device") + " " + line.cell("action"))
                .containsExactly("2 Küche mute:main", "4 Bühne, links open:main");
    }

    /** OWASP, CSV injection: what begins so is run as a formula by spreadsheets. */
    @ParameterizedTest
    @ValueSource(
            strings = {"=1+2", "+1", "-1", "@SUM(A1)", "'=x", "''+x", "'plain", "a=b", "", "x, \"y\"\nz", "\u2212 3"})
    void noCellIsTakenForAFormulaAndEachIsReadBack(String cell) {
        var sheet = new CsvWriter(List.of("a", "b"));
        sheet.line(List.of(cell, -5));
        assertThat(sheet.text().lines().skip(1).findFirst().orElse("").replace("\"", ""))
                .doesNotMatch("[=+\\-@].*");
        assertThat(CsvSheet.read(sheet.text(), 9).lines())
                .extracting(line -> line.cell("a"), line -> line.cell("b"))
                .containsExactly(tuple(cell, "-5"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '^',
            value = {
                "   | the file: is empty",
                "a,b~\"x,y~ | line 2: a cell in quotes is not closed, or something stands behind its quotes",
                "a,b~\"x\"y,z~ | line 2: a cell in quotes is not closed, or something stands behind its quotes",
                "a,a~1,2 | line 1: two headings are the same; each stands once",
                "a~1~2~3 | the file: has more than 2 lines"
            })
    void whatIsNoSheetIsSaidInWords(String csv, String words) {
        assertThatExceptionOfType(UnreadableFile.class)
                .isThrownBy(() -> CsvSheet.read(csv == null ? "" : csv.replace('~', '\n'), 2))
                .withMessage(words);
    }
}
