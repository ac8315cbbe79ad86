package embrack.core.light;

import java.util.ArrayList;
import java.util.List;

/**
 * Fixtures shared out over circuits, in their order, so that none carries more than four fifths of its breaker for
 * long. Common practice, no source; what a house has and allows is said by a licensed electrician.
 *
 * @param amperes of each circuit, all of its fixtures full, A
 * @param inrush of each, switched on in one moment, A
 */
public record Circuits(List<Double> amperes, List<Double> inrush) {

    private static final double SHARE = 0.8;

    public Circuits {
        amperes = List.copyOf(amperes);
        inrush = List.copyOf(inrush);
    }

    /** What a circuit carries for long, A. */
    public static double limit(int breaker) {
        return breaker * SHARE;
    }

    /**
     * Shares them out.
     *
     * @param breaker of each circuit, A
     * @param volts of the mains
     */
    public static Circuits of(Lights lights, int breaker, int volts) {
        List<Double> amperes = new ArrayList<>();
        List<Double> inrush = new ArrayList<>();
        for (Fixture fixture : lights.fixtures()) {
            Body body = lights.type(fixture).body();
            double draws = body.watts() / (double) volts;
            int last = amperes.size() - 1;
            if (last < 0 || amperes.get(last) + draws > limit(breaker)) {
                amperes.add(draws);
                inrush.add(body.inrushAmperes());
            } else {
                amperes.set(last, amperes.get(last) + draws);
                inrush.set(last, inrush.get(last) + body.inrushAmperes());
            }
        }
        return new Circuits(amperes, inrush);
    }
}
