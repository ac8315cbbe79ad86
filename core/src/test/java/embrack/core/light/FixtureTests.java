package embrack.core.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import embrack.core.colour.Colour;
import embrack.core.light.library.Fixtures;
import embrack.core.light.text.FixtureReading;
import embrack.core.light.text.FixtureText;
import embrack.core.light.text.LookText;
import embrack.core.name.TapeLabel;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FixtureTests {

    private static final Optional<Double> STEADY = Optional.empty();

    @Test
    void everyTypeThatShipsIsWrittenAsItIsRead() {
        assertThat(Fixtures.all()).hasSize(15).allSatisfy(type -> {
            FixtureReading again = FixtureReading.of(type.id(), type.name(), FixtureText.of(type));
            assertThat(again.problems()).isEmpty();
            assertThat(again.type()).contains(type);
        });
    }

    @Test
    void theExamplesInTheDocumentationAreRead() throws IOException {
        String formats = Files.readString(Path.of("../docs/formats.md"));
        FixtureReading type =
                FixtureReading.of(new FixtureTypeId("x"), new TapeLabel("X"), example(formats, "fixture"));
        assertThat(type.problems()).isEmpty();
        assertThat(type.type().orElseThrow().modes().getLast().footprint()).isEqualTo(15);
        LookText look = LookText.of(example(formats, "look"));
        assertThat(look.problems()).isEmpty();
        assertThat(look.lines()).hasSize(4);
        assertThat(Colour.all())
                .allSatisfy(colour -> assertThat(formats.replace('\n', ' ')).contains(colour.words()));
    }

    private static String example(String text, String language) {
        String fence = "```" + language + "\n";
        int from = text.indexOf(fence) + fence.length();
        return text.substring(from, text.indexOf("```", from));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "mode 3: red, gren, blue | 1:14 Here stands one of dimmer, dimmer fine, red",
                "mode 3 red | 1:6 Write a mode as its name, a colon and its slots",
                "emits: pan | 1:11 pan gives no light of its own.",
                "colours: 0..9 ambre | 1:10 ambre is no colour that is known here. Is it amber?",
                "colours: 9..0 red | 1:10 Values of a slot run from 0 to 255, the lower first; 9..0 does not.",
                "strobe: 0..9 fast | 1:9 Write how often it flashes",
                "power: much | 1:8 Write it like this: power: 54 W, inrush 12 A.",
                "colour: red | 1:1 A line begins with shape, emits, mode",
                "shape: par | 1:1 A fixture has at least one mode",
                "mode 1: colours | 1:1 A slot of colours needs a line that says which"
            })
    void whatCannotBeReadIsToldWithItsPlace(String text, String problem) {
        FixtureReading reading = FixtureReading.of(new FixtureTypeId("x"), new TapeLabel("X"), text);
        assertThat(reading.type()).isEmpty();
        assertThat(reading.problems())
                .singleElement()
                .extracting(p -> "%d:%d %s".formatted(p.line(), p.column(), p.words()))
                .asString()
                .startsWith(problem);
    }

    @Test
    void emittersOfOnesOwnAreKept() {
        FixtureType type = FixtureReading.of(
                        new FixtureTypeId("x"),
                        new TapeLabel("X"),
                        "emits: green\nemits red: x 0.68 y 0.32, light 0.3\nmode 2 slots: red, green\n")
                .type()
                .orElseThrow();
        assertThat(type.emitters().get(Use.RED).share()).isEqualTo(0.3);
        assertThat(FixtureText.of(type)).contains("emits red: x 0.68 y 0.32, light 0.3");
    }

    /** What is sent to each sort of lamp for the same words. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "small-par-three-colours | 3 slots | red | 100 | 255 0 0",
                "small-par-three-colours | 7 slots | - | 60 | 153 255 255 255 0 7 0",
                "small-par-three-colours | 7 slots | red | 0 | 0 0 0 0 0 7 0",
                "lantern | 1 slot | warm | 30 | 77",
                "relay-box | 1 slot | warm | 30 | 255",
                "relay-box | 1 slot | warm | 0 | 0",
                "hazer | 2 slots | - | 40 | 102 102",
                "moving-spot-colour-wheel | 8 slots | blue | 50 | 128 128 0 67 0 128 0 0",
                "moving-spot-colour-wheel | 8 slots | white | 50 | 128 128 0 7 0 128 0 0",
                "dimmer-pack-four-ways | 4 slots | warm | 50 | 128 128 128 128"
            })
    void wordsBecomeSlots(String type, String mode, String colour, int percent, String slots) {
        Output output = lamp(type, mode).shows(colour(colour), percent, STEADY);
        assertThat(output.slots()).as(output.toString()).isEqualTo(numbers(slots));
        assertThat(output.isDark()).isEqualTo(percent == 0 || type.equals("hazer"));
    }

    @Test
    void aFineSlotTakesWhatACoarseOneLeaves() {
        List<Integer> slots = lamp("moving-wash", "12 slots")
                .shows(Optional.empty(), 50, STEADY)
                .slots();
        assertThat(slots.get(5) * 256 + slots.get(6)).as("half of 65535").isEqualTo(32768);
    }

    @Test
    void flashesAreSetAndRead() {
        Lamp par = lamp("small-par-three-colours", "7 slots");
        Output flashing = par.shows(Optional.empty(), 100, Optional.of(9.0));
        assertThat(flashing.flashes()).isBetween(8.92, 9.0);
        assertThat(par.shows(Optional.empty(), 100, Optional.of(40.0)).flashes())
                .as("no more than it can")
                .isEqualTo(18);
        assertThat(par.shows(Optional.empty(), 0, Optional.of(9.0)).flashes()).isZero();
        assertThat(lamp("lantern", "1 slot")
                        .shows(Optional.empty(), 100, Optional.of(9.0))
                        .flashes())
                .isZero();
    }

    /** What a look asks for, read back out of the slots: the same light, to half a slot. */
    @Test
    void slotsShowWhatWasAskedFor() {
        for (FixtureType type : Fixtures.all()) {
            for (Mode mode : type.modes()) {
                for (Colour colour : Colour.all()) {
                    Lamp lamp = new Lamp(type, mode);
                    Output output = lamp.shows(Optional.of(colour), 80, STEADY);
                    assertThat(lamp.light(output.slots())).isEqualTo(output.light());
                    assertThat(output.distance())
                            .as("%s in %s of %s", colour, mode.name(), type.name())
                            .isBetween(0.0, 120.0);
                }
            }
        }
        assertThat(lamp("par-four-colours", "8 slots")
                        .shows(colour("amber"), 80, STEADY)
                        .distance())
                .as("inside what red, green and blue can mix")
                .isLessThan(0.5);
    }

    @ParameterizedTest
    @CsvSource({
        "33, 33, '1, 6'",
        "1, 1, 1",
        "512, 512, ''",
        "2.33, 2.33, '1, 6'",
        "511, 511, '1, 2, 3, 4, 5, 6, 7, 8, 9'"
    })
    void addressesStandOnSwitches(String typed, String shown, String on) {
        Address address = Address.parse(typed);
        assertThat(address).hasToString(shown);
        assertThat(String.join(
                        ", ",
                        address.dipSwitches().stream().map(String::valueOf).toList()))
                .isEqualTo(on);
    }

    @ParameterizedTest
    @CsvSource({"0, An address is 1 to 512", "513, An address is 1 to 512", "x, Write an address"})
    void whatIsNoAddressIsSaid(String typed, String words) {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> Address.parse(typed))
                .withMessageStartingWith(words);
    }

    @Test
    void looksAreReadAsTheyAreWritten() {
        String text =
                "bars: deep blue and amber 60 %\nkeeper: dark\nwash: white 100 %, flashes 2.5 a second\nall: 20 %";
        LookText look = LookText.of(text + "\n\n");
        assertThat(look.problems()).isEmpty();
        assertThat(String.join("\n", LookText.lines(look.lines()))).isEqualTo(text);
        assertThat(look.fadeMillis()).isZero();
        assertThat(LookText.of("bars: red\nFade: 2.5 s").fadeMillis()).isEqualTo(2_500);
        assertThat(LookText.of("fade: 4 beats at 96").fadeMillis())
                .as("240/96 s")
                .isEqualTo(2_500);
        assertThat(LookText.of("fade: deep blue 20 %").lines())
                .as("somebody who is called Fade")
                .hasSize(1);
        assertThat(LookText.of("bars deep blue\nbars: ambre 5 %\nbars: red 200 %")
                        .problems())
                .extracting(p -> "%d:%d %s".formatted(p.line(), p.column(), p.words()))
                .containsExactly(
                        "1:1 Write who, a colon, a colour and how bright: bars: deep blue 60 %.",
                        "2:7 ambre is no colour that is known here. Is it amber?",
                        "3:1 Write how bright in percent, 0 to 100, not 200.");
    }

    private static Optional<Colour> colour(String words) {
        return words.equals("-") ? Optional.empty() : Optional.of(Colour.parse(words));
    }

    private static List<Integer> numbers(String text) {
        return List.of(text.split(" ")).stream().map(Integer::valueOf).toList();
    }

    private static Lamp lamp(String type, String mode) {
        FixtureType known = Fixtures.find(new FixtureTypeId(type)).orElseThrow();
        return new Lamp(known, known.mode(new TapeLabel(mode)).orElseThrow());
    }
}
