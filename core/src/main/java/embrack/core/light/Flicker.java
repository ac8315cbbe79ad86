package embrack.core.light;

/**
 * Values of the strobe slot, and how often they flash.
 *
 * @param slowest flashes a second at its first value; 0 for steady light
 * @param fastest flashes a second at its last value, 0 to 50
 */
public record Flicker(Stretch values, double slowest, double fastest) {

    private static final double MOST = 50;

    public Flicker {
        if (!(slowest >= 0 && slowest <= MOST && fastest >= 0 && fastest <= MOST)) {
            throw new IllegalArgumentException(
                    "A strobe flashes 0 to 50 times a second, not %s to %s.".formatted(slowest, fastest));
        }
    }

    public boolean isSteady() {
        return slowest == 0 && fastest == 0;
    }

    /** Flashes a second at a value among its own; in between they grow evenly. */
    public double rate(int value) {
        int way = values.to() - values.from();
        return way == 0 ? slowest : slowest + (fastest - slowest) * (value - values.from()) / way;
    }

    /** Whether it can flash so often. */
    boolean reaches(double rate) {
        return !isSteady() && rate >= Math.min(slowest, fastest) && rate <= Math.max(slowest, fastest);
    }

    /** The value that comes nearest to so many flashes a second without being faster, where it can be that slow. */
    int value(double rate) {
        double share = fastest == slowest ? 0 : Math.clamp((rate - slowest) / (fastest - slowest), 0, 1);
        double steps = share * (values.to() - values.from());
        return values.from() + (int) (fastest > slowest ? Math.floor(steps) : Math.ceil(steps));
    }
}
