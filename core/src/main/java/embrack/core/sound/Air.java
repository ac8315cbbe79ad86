package embrack.core.sound;

import embrack.core.rig.Length;

/** Sound in air. */
public final class Air {

    /** Degrees Celsius that are taken where nobody measured. */
    public static final double USUAL_CELSIUS = 20;

    private static final double METRES_A_SECOND_AT_ZERO = 331.3;
    private static final double MORE_A_DEGREE = 0.606;
    private static final double CENTIMETRES = 100;
    private static final double MICROS = 1_000_000;

    private Air() {}

    /**
     * Metres a second: 331.3 + 0.606 for each degree Celsius, a straight line that is used between −20 and 40 °C;
     * 343.4 at 20 °C. From textbooks of acoustics, from memory.
     */
    public static double speed(double celsius) {
        return METRES_A_SECOND_AT_ZERO + MORE_A_DEGREE * celsius;
    }

    /** How long it takes over a distance at 20 °C, microseconds: 20.4 ms for 7 m. */
    public static long micros(Length distance) {
        return Math.round(distance.centimetres() / CENTIMETRES / speed(USUAL_CELSIUS) * MICROS);
    }
}
