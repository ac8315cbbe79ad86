package embrack.core.light;

import embrack.core.colour.Xyz;
import java.util.List;

/**
 * What a fixture is sent and what it shows.
 *
 * @param slots 0 to 255 each, in the order of its addresses
 * @param light full white of this fixture has luminance 1
 * @param distance how far its colour is from the one that was asked for, CIEDE2000; 0 where none was or it is dark
 * @param flashes a second; 0 for steady light
 */
public record Output(List<Integer> slots, Xyz light, double distance, double flashes) {

    /** What a fixture shows that is sent nothing. */
    public static final Output DARK = new Output(List.of(), Xyz.DARK, 0, 0);

    public Output {
        slots = List.copyOf(slots);
    }

    public boolean isDark() {
        return light.y() <= 0;
    }
}
