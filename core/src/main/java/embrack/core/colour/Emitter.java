package embrack.core.colour;

/**
 * What gives light of one colour in a lamp.
 *
 * @param share how much of the light of the whole lamp it gives when full, above 0
 */
public record Emitter(Chromaticity chromaticity, double share) {

    public Emitter {
        if (!(share > 0 && share <= 1)) {
            throw new IllegalArgumentException(
                    "An emitter gives a share of the light, above 0 and at most 1; %s is none.".formatted(share));
        }
    }

    /** Its light when it is full. */
    public Xyz full() {
        return chromaticity.at(share);
    }
}
