package embrack.core.light;

import embrack.core.colour.Chromaticity;
import embrack.core.colour.Emitter;
import java.util.Optional;

/**
 * What a slot of a fixture does. Those that give light have a usual place in the CIE picture and a usual share of the
 * light of a lamp; both are typical of light-emitting diodes, from memory.
 */
public enum Use {
    DIMMER("dimmer"),
    DIMMER_FINE("dimmer fine"),
    RED("red", 0.690, 0.308, 0.25),
    GREEN("green", 0.170, 0.700, 0.60),
    BLUE("blue", 0.135, 0.055, 0.08),
    AMBER("amber", 0.570, 0.420, 0.40),
    LIME("lime", 0.405, 0.550, 0.80),
    WHITE("white", 0.330, 0.340, 1.0),
    WARM_WHITE("warm white", 0.450, 0.408, 0.9),
    COLD_WHITE("cold white", 0.300, 0.310, 1.0),
    ULTRAVIOLET("ultraviolet", 0.170, 0.010, 0.01),
    /** A choice of fixed colours. */
    COLOURS("colours"),
    STROBE("strobe"),
    PAN("pan"),
    PAN_FINE("pan fine"),
    TILT("tilt"),
    TILT_FINE("tilt fine"),
    SPEED("speed"),
    HAZE("haze"),
    FAN("fan"),
    /** Full switches something on. */
    SWITCH("switch"),
    UNUSED("unused");

    private final String words;
    private final Optional<Emitter> usual;

    Use(String words) {
        this.words = words;
        this.usual = Optional.empty();
    }

    Use(String words, double x, double y, double share) {
        this.words = words;
        this.usual = Optional.of(new Emitter(new Chromaticity(x, y), share));
    }

    public String words() {
        return words;
    }

    /** What gives light behind such a slot where its maker says nothing else; empty for slots that give none. */
    public Optional<Emitter> usual() {
        return usual;
    }

    /** What makes its steps finer; empty where nothing does. */
    Optional<Use> fine() {
        return switch (this) {
            case DIMMER -> Optional.of(DIMMER_FINE);
            case PAN -> Optional.of(PAN_FINE);
            case TILT -> Optional.of(TILT_FINE);
            default -> Optional.empty();
        };
    }

    /** Whether it goes over from one value into another; a choice does not. */
    boolean fades() {
        return isEmitter() || fine().isPresent() || this == HAZE || this == FAN;
    }

    public boolean isEmitter() {
        return usual.isPresent();
    }
}
