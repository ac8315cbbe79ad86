package embrack.files.gdtf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import embrack.core.light.Body;
import embrack.core.light.FixtureType;
import embrack.core.light.FixtureTypeId;
import embrack.core.light.library.Fixtures;
import embrack.core.light.text.FixtureReading;
import embrack.core.light.text.FixtureText;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Element and attribute names from memory of DIN SPEC 15800:2022; no file of anybody's was at hand. */
class GdtfTests {

    private static final FixtureTypeId ID = new FixtureTypeId("read");

    private static byte[] archive(String name, String content) throws IOException {
        var bytes = new ByteArrayOutputStream();
        try (var zip = new ZipOutputStream(bytes)) {
            zip.putNextEntry(new ZipEntry("thumbnail.png"));
            zip.putNextEntry(new ZipEntry(name));
            zip.write(content.getBytes(StandardCharsets.UTF_8));
            zip.closeEntry();
        }
        return bytes.toByteArray();
    }

    private static List<FixtureType> shipped() {
        return Fixtures.all();
    }

    /** All but the inrush, for which the format has no place. */
    @ParameterizedTest
    @MethodSource("shipped")
    void whatIsWrittenIsRead(FixtureType type) {
        GdtfReading read = GdtfReading.of(GdtfWriter.write(type), type.id());
        Body body = type.body();
        assertThat(read.remarks()).isEmpty();
        assertThat(FixtureText.of(read.type()))
                .isEqualTo(FixtureText.of(new FixtureType(
                        type.id(),
                        type.name(),
                        type.shape(),
                        type.emitters(),
                        type.modes(),
                        type.colours(),
                        type.flickers(),
                        new Body(body.watts(), 0, body.kilograms(), body.beamDegrees()))));
    }

    /** Pixels at 5 and 8 of three slots each, a dimmer of two bytes, a strobe between two steady stretches. */
    @Test
    void aFileOfAnotherHandIsReadAndWhatMeansNothingIsTold() throws IOException {
        String xml = Files.readString(Path.of("src/test/resources/gdtf/pixel-bar.xml"));
        GdtfReading read = GdtfReading.of(archive("description.xml", xml), ID);
        assertThat(FixtureText.of(read.type())).isEqualTo("""
                shape: bar
                emits: green, blue
                emits red: x 0.7 y 0.29, light 0.2
                mode Pixels: dimmer, dimmer fine, strobe, unused, 2 x (red, green, blue), unused, colours
                colours: 0..15 none, 16..127 deep blue, 128..255 red
                strobe: 0..31 steady, 32..223 1 to 12 a second, 224..255 steady
                power: 40 W
                weight: 3.5 kg
                beam: 25 degrees
                """);
        assertThat(read.remarks())
                .containsExactlyInAnyOrder(
                        "Nothing here is done with Protocols.",
                        "Slots that nothing here does anything with, unused: Gobo1.");
    }

    /** Names that would end a name in the text of a fixture, or are longer than tape. */
    @Test
    void namesComeThroughTheTextOfAFixture() throws IOException {
        String xml = Files.readString(Path.of("src/test/resources/gdtf/pixel-bar.xml"))
                .replace("Name=\"Pixels\"", "Name=\"1: all, # and more\"")
                .replace("Name=\"Pixel bar\"", "Name=\"%s\"".formatted("Long ".repeat(20)));
        FixtureType read = GdtfReading.of(archive("description.xml", xml), ID).type();
        assertThat(read.name().text()).hasSizeLessThanOrEqualTo(40).startsWith("Long Long");
        assertThat(FixtureReading.of(ID, read.name(), FixtureText.of(read)).type())
                .contains(read);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "<!DOCTYPE GDTF [<!ENTITY x SYSTEM \"file:///etc/passwd\">]><GDTF><FixtureType Name=\"&x;\"/></GDTF>",
                "<GDTF><FixtureType Name=\"Bare\"/></GDTF>",
                "<GDTF/>",
                "<GDTF><FixtureType>",
                "",
                "no XML at all"
            })
    void whatIsNoFixtureIsRefusedInWords(String description) throws IOException {
        byte[] file = archive("description.xml", description);
        assertThatIllegalArgumentException()
                .isThrownBy(() -> GdtfReading.of(file, ID))
                .withMessageContainingAll(" ", ".");
    }

    @Test
    void limitsHold() throws IOException {
        byte[] deep = archive("description.xml", "<GDTF>" + "<a>".repeat(200) + "</a>".repeat(200) + "</GDTF>");
        assertThatIllegalArgumentException().isThrownBy(() -> GdtfReading.of(deep, ID));
        byte[] large = archive("description.xml", "<GDTF>" + " ".repeat(4_000_000) + "</GDTF>");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> GdtfReading.of(large, ID))
                .withMessage("Its description takes more than 4 MB.");
        byte[] other = archive("else.xml", "<GDTF/>");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> GdtfReading.of(other, ID))
                .withMessage("This is no GDTF file: an archive with a description.xml in it.");
        assertThatIllegalArgumentException().isThrownBy(() -> GdtfReading.of(new byte[] {1, 2, 3}, ID));
    }
}
