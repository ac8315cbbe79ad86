package embrack.core.light.library;

import embrack.core.light.FixtureType;
import embrack.core.light.FixtureTypeId;
import embrack.core.light.text.FixtureReading;
import embrack.core.name.Slug;
import embrack.core.name.TapeLabel;
import java.util.List;
import java.util.Optional;

/** The types of fixtures that ship, each as the text that describes it. All are generic, their slots invented. */
public final class Fixtures {

    private static final List<FixtureType> ALL = List.of(
            type("Small par, three colours", """
                    shape: par
                    emits: red, green, blue
                    mode 3 slots: red, green, blue
                    mode 7 slots: dimmer, red, green, blue, strobe, colours, unused
                    colours: 0..15 none, 16..63 red, 64..111 green, 112..159 blue, 160..207 amber, 208..255 magenta
                    strobe: 0..9 steady, 10..255 1 to 18 a second
                    power: 36 W, inrush 8 A
                    weight: 1.4 kg
                    beam: 25 degrees
                    """),
            type("Par, four colours", """
                    shape: par
                    emits: red, green, blue, white
                    mode 4 slots: red, green, blue, white
                    mode 8 slots: dimmer, red, green, blue, white, strobe, speed, unused
                    strobe: 0..7 steady, 8..255 0.5 to 20 a second
                    power: 80 W, inrush 14 A
                    weight: 2.6 kg
                    beam: 25 degrees
                    """),
            type("Par, six colours", """
                    shape: par
                    emits: red, green, blue, amber, white, ultraviolet
                    mode 6 slots: red, green, blue, white, amber, ultraviolet
                    mode 10 slots: dimmer, strobe, red, green, blue, white, amber, ultraviolet, speed, unused
                    strobe: 0..9 steady, 10..255 1 to 25 a second
                    power: 180 W, inrush 22 A
                    weight: 3.9 kg
                    beam: 30 degrees
                    """),
            type("Battery par", """
                    shape: par
                    emits: red, green, blue, amber
                    mode 4 slots: red, green, blue, amber
                    mode 6 slots: dimmer, red, green, blue, amber, strobe
                    strobe: 0..5 steady, 6..255 1 to 15 a second
                    power: 45 W, inrush 6 A
                    weight: 3.2 kg
                    beam: 20 degrees
                    """),
            type("Colour bar, one piece", """
                    shape: bar
                    emits: red, green, blue, amber
                    mode 4 slots: red, green, blue, amber
                    mode 7 slots: red, green, blue, amber, dimmer, strobe, colours
                    colours: 0..9 none, 10..89 red, 90..169 blue, 170..255 amber
                    strobe: 0..9 steady, 10..255 1 to 20 a second
                    power: 95 W, inrush 16 A
                    weight: 4.8 kg
                    beam: 40 degrees
                    """),
            type("Colour bar, four cells", """
                    shape: bar
                    emits: red, green, blue
                    mode 14 slots: dimmer, strobe, 4 x (red, green, blue)
                    mode 3 slots: red, green, blue
                    strobe: 0..9 steady, 10..255 1 to 20 a second
                    power: 72 W, inrush 12 A
                    weight: 3.5 kg
                    beam: 40 degrees
                    """),
            type("Moving wash", """
                    shape: wash
                    emits: red, green, blue, white
                    mode 9 slots: pan, tilt, speed, dimmer, strobe, red, green, blue, white
                    mode 12 slots: pan, pan fine, tilt, tilt fine, speed, dimmer, dimmer fine, strobe, \
                    red, green, blue, white
                    strobe: 0..9 steady, 10..255 1 to 15 a second
                    power: 140 W, inrush 18 A
                    weight: 6.4 kg
                    beam: 45 degrees
                    """),
            type("Moving spot, colour wheel", """
                    shape: spot
                    emits: cold white
                    mode 8 slots: pan, tilt, speed, colours, strobe, dimmer, unused, unused
                    colours: 0..14 none, 15..29 red, 30..44 amber, 45..59 green, 60..74 blue, 75..89 magenta
                    strobe: 0..9 steady, 10..255 1 to 13 a second
                    power: 210 W, inrush 26 A
                    weight: 9.5 kg
                    beam: 14 degrees
                    """),
            type("Strobe bar", """
                    shape: strobe
                    emits: cold white
                    mode 2 slots: dimmer, strobe
                    strobe: 0..4 steady, 5..255 0.5 to 30 a second
                    power: 300 W, inrush 40 A
                    weight: 5.0 kg
                    beam: 110 degrees
                    """),
            type("Two-lamp blinder", """
                    shape: blinder
                    emits: warm white
                    mode 1 slot: dimmer
                    power: 1300 W, inrush 60 A
                    weight: 4.2 kg
                    beam: 60 degrees
                    """),
            type("Dimmer pack, four ways", """
                    shape: dimmer
                    emits: warm white
                    mode 4 slots: 4 x (warm white)
                    power: 2300 W, inrush 90 A
                    weight: 4.0 kg
                    beam: 40 degrees
                    """),
            type("Lantern", """
                    # An old lamp on a dimmer of its own: one slot, warm.
                    shape: lantern
                    emits: warm white
                    mode 1 slot: dimmer
                    power: 180 W, inrush 11 A
                    weight: 3.0 kg
                    beam: 36 degrees
                    """),
            type("Tuneable lantern", """
                    shape: lantern
                    emits: warm white, cold white
                    mode 3 slots: dimmer, warm white, cold white
                    power: 120 W, inrush 15 A
                    weight: 4.4 kg
                    beam: 26 degrees
                    """),
            type("Hazer", """
                    shape: hazer
                    mode 2 slots: haze, fan
                    power: 700 W, inrush 9 A
                    weight: 7.5 kg
                    """),
            type("Relay box", """
                    # Switches a lamp that must not be dimmed.
                    shape: relay
                    emits: warm white
                    mode 1 slot: switch
                    power: 600 W, inrush 30 A
                    weight: 1.0 kg
                    beam: 90 degrees
                    """));

    private Fixtures() {}

    private static FixtureType type(String name, String text) {
        FixtureReading reading = FixtureReading.of(new FixtureTypeId(Slug.of(name)), new TapeLabel(name), text);
        return reading.type().orElseThrow(() -> new IllegalStateException(name + ": " + reading.problems()));
    }

    /** All that ship, pars first. */
    public static List<FixtureType> all() {
        return ALL;
    }

    public static Optional<FixtureType> find(FixtureTypeId id) {
        return ALL.stream().filter(type -> type.id().equals(id)).findFirst();
    }
}
