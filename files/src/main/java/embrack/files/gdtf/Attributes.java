package embrack.files.gdtf;

import embrack.core.light.Use;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;

/** What the attributes of the format are to a lamp here. Names from memory of DIN SPEC 15800, annex of attributes. */
final class Attributes {

    private static final Map<Use, String> NAMES = new EnumMap<>(Use.class);

    static {
        NAMES.put(Use.DIMMER, "Dimmer");
        NAMES.put(Use.RED, "ColorAdd_R");
        NAMES.put(Use.GREEN, "ColorAdd_G");
        NAMES.put(Use.BLUE, "ColorAdd_B");
        NAMES.put(Use.AMBER, "ColorAdd_RY");
        NAMES.put(Use.LIME, "ColorAdd_GY");
        NAMES.put(Use.WHITE, "ColorAdd_W");
        NAMES.put(Use.WARM_WHITE, "ColorAdd_WW");
        NAMES.put(Use.COLD_WHITE, "ColorAdd_CW");
        NAMES.put(Use.ULTRAVIOLET, "ColorAdd_UV");
        NAMES.put(Use.COLOURS, "Color1");
        NAMES.put(Use.STROBE, "Shutter1");
        NAMES.put(Use.PAN, "Pan");
        NAMES.put(Use.TILT, "Tilt");
        NAMES.put(Use.SPEED, "PositionMSpeed");
        NAMES.put(Use.HAZE, "Haze1");
        NAMES.put(Use.FAN, "Fan1");
        NAMES.put(Use.SWITCH, "LampControl");
        NAMES.put(Use.UNUSED, "NoFeature");
    }

    /** The slots for the lower byte of those that have one. */
    private static final Map<Use, Use> FINE =
            Map.of(Use.DIMMER, Use.DIMMER_FINE, Use.PAN, Use.PAN_FINE, Use.TILT, Use.TILT_FINE);

    private Attributes() {}

    /** The attribute of a slot; empty for a lower byte, which belongs to the one before. */
    static Optional<String> of(Use use) {
        return Optional.ofNullable(NAMES.get(use));
    }

    static Optional<Use> fine(Use use) {
        return Optional.ofNullable(FINE.get(use));
    }

    /** What an attribute is here; empty for one that nothing here does. */
    static Optional<Use> use(String attribute) {
        if (attribute.startsWith("Shutter") || attribute.startsWith("Strobe")) {
            return Optional.of(Use.STROBE);
        }
        if (attribute.matches("Color\\d.*|ColorMacro\\d.*")) {
            return Optional.of(Use.COLOURS);
        }
        if (attribute.matches("Fog\\d.*")) {
            return Optional.of(Use.HAZE);
        }
        return NAMES.entrySet().stream()
                .filter(entry -> entry.getValue().equals(attribute))
                .map(Map.Entry::getKey)
                .findFirst();
    }

    /** Whether a function of a strobe channel flashes. */
    static boolean flashes(String attribute) {
        return attribute.contains("Strobe");
    }
}
