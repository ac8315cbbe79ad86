package embrack.core.light;

/**
 * What fixtures draw and weigh together.
 *
 * @param watts all of them full, W
 * @param inrushAmperes all of them switched on in one moment, A; those of which nobody says it count nothing
 * @param kilograms kg; those of which nobody says it count nothing
 */
public record Load(int watts, double inrushAmperes, double kilograms) {

    /** Of all that hang. */
    public static Load of(Lights lights) {
        int watts = 0;
        double inrush = 0;
        double kilograms = 0;
        for (Fixture fixture : lights.fixtures()) {
            Body body = lights.type(fixture).body();
            watts += body.watts();
            inrush += body.inrushAmperes();
            kilograms += body.kilograms();
        }
        return new Load(watts, inrush, kilograms);
    }

    /** The current when all are full, A: power over voltage, what is not in phase left out. */
    public double amperes(int volts) {
        return watts / (double) volts;
    }
}
