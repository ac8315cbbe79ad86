package embrack.core.word;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import embrack.core.MuteBoard;
import embrack.core.check.Report;
import embrack.core.check.rule.Told;
import embrack.core.edit.GearEdit;
import embrack.core.edit.SwitchEdit;
import embrack.core.plan.Plan;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WordingTests {

    /** Made-up words, which lie beside the tests; they stand for any language that is added by files alone. */
    private static final Language MADE_UP = Language.of("zz");

    @ParameterizedTest
    @CsvSource(
            quoteCharacter = '`',
            value = {
                "mixer, a mixer",
                "organ, an organ",
                "Eight-switch board, an Eight-switch board",
                "USB hub, a USB hub",
                "unison pedal, a unison pedal",
                "hour glass, an hour glass",
                "horn, a horn",
            })
    void articlesFollowTheTable(String noun, String with) {
        assertThat(Articles.withArticle(Language.ENGLISH, noun)).isEqualTo(with);
    }

    /** Of a key that stands twice in a file only the later pattern is ever said. */
    @Test
    void noKeyStandsTwiceInAFileOfWords() throws IOException {
        try (Stream<Path> files = Files.walk(Path.of("src/main/resources"))) {
            assertThat(files.filter(file -> file.getFileName().toString().matches("words.*\\.properties"))
                            .toList())
                    .hasSizeGreaterThan(8)
                    .allSatisfy(file -> assertThat(Files.readAllLines(file).stream()
                                    .filter(line -> line.matches("[a-z].* = .*"))
                                    .map(line -> line.substring(0, line.indexOf(" = "))))
                            .as(file.toString())
                            .doesNotHaveDuplicates());
        }
    }

    /** Forms as Unicode CLDR 47 has them: English one and other; Polish one, few, many. */
    @ParameterizedTest
    @CsvSource({"en, 0, other", "en, 1, one", "en, 2, other", "pl, 1, one", "pl, 3, few", "pl, 5, many", "pl, 22, few"})
    void formsOfNounsAreThoseOfTheLanguage(String tag, long number, String form) {
        assertThat(Language.of(tag).form(number)).isEqualTo(form);
    }

    @Test
    void thingsAreListedAsTheyAreSpoken() {
        Wording words = Wording.without(Language.ENGLISH);
        assertThat(List.of(words.list(List.of()), words.list(List.of("1")), words.list(List.of("1", "2", "3"))))
                .containsExactly("", "1", "1, 2 and 3");
    }

    @Test
    void aPatternThatLacksAFactIsSaidToTheProgrammer() {
        assertThatThrownBy(() -> Wording.without(Language.ENGLISH).say(Phrase.of("core/place", "more")))
                .isInstanceOf(IllegalStateException.class)
                .hasMessage("more of core/place asks for number, which is no fact of it");
        assertThatThrownBy(() -> Wording.without(Language.ENGLISH).say(Phrase.of("core/place", "less")))
                .hasMessage("no pattern less in the words of core/place");
    }

    @Test
    void factsAreEqualByWhatTheyAreAboutAndNotByTheirWords() {
        Plan named = MuteBoard.with(
                new SwitchEdit.ClearSwitch(MuteBoard.at(3)), new SwitchEdit.NameSwitch(MuteBoard.at(3), "Voice"));
        Plan renamed = new GearEdit.RenameDevice(MuteBoard.BOARD, "Stage board").apply(named);
        assertThat(Report.of(named).findings())
                .isEqualTo(Report.of(renamed).findings())
                .isNotEmpty();
        assertThat(Told.of(Report.of(renamed).findings().getFirst(), renamed).where())
                .isEqualTo("Stage board, bank A, switch “Voice” (3)");
    }

    @Test
    void anotherLanguageIsAddedByFilesAlone() {
        Plan plan = MuteBoard.with(
                new SwitchEdit.ClearSwitch(MuteBoard.at(3)), new SwitchEdit.NameSwitch(MuteBoard.at(3), "Voice"));
        Told told = Told.of(Report.of(plan).findings().getFirst(), plan, MADE_UP);
        assertThat(MADE_UP.isSpoken()).isTrue();
        assertThat(Language.of("qq").isSpoken()).isFalse();
        assertThat(told.what()).isEqualTo("Voice zo la knip e nulo.");
        assertThat(told.where()).isEqualTo("Voice board, bonk A, knip “Voice” (3)");
        assertThat(told.fix())
                .as("what it has no words for is said in English")
                .isEqualTo("Add its steps, or clear it.");
    }
}
