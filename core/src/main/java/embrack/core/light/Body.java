package embrack.core.light;

/**
 * What a fixture weighs and draws, and how wide its light is.
 *
 * @param watts 0 to 20 000, all of it full
 * @param inrushAmperes what it draws in the first moment, A; 0 where nobody says
 * @param kilograms 0 to 500
 * @param beamDegrees from edge to edge, 1 to 180
 */
public record Body(int watts, double inrushAmperes, double kilograms, int beamDegrees) {

    /** Where nothing is said: a beam of 30 degrees. */
    public static final Body UNKNOWN = new Body(0, 0, 0, 30);

    public Body {
        if (watts < 0 || watts > 20_000) {
            throw new IllegalArgumentException("A fixture draws 0 to 20000 W, not " + watts + ".");
        }
        if (!(inrushAmperes >= 0 && inrushAmperes <= 500)) {
            throw new IllegalArgumentException("An inrush is 0 to 500 A, not " + inrushAmperes + ".");
        }
        if (!(kilograms >= 0 && kilograms <= 500)) {
            throw new IllegalArgumentException("A fixture weighs 0 to 500 kg, not " + kilograms + ".");
        }
        if (beamDegrees < 1 || beamDegrees > 180) {
            throw new IllegalArgumentException("A beam is 1 to 180 degrees wide, not " + beamDegrees + ".");
        }
    }
}
