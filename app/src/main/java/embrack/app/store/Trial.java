package embrack.app.store;

import embrack.core.sim.Tread;
import java.util.List;

/**
 * A world that somebody tries with the feet, as it is kept.
 *
 * @param muted whether all began muted; else all began open, as at power-on
 */
public record Trial(String token, boolean muted, List<Tread> treads) {

    /** More than anybody makes; then it begins again. */
    public static final int MOST = 10_000;

    public Trial {
        treads = List.copyOf(treads);
    }

    /** Nothing is tried yet. */
    public static Trial none(boolean muted) {
        return new Trial("", muted, List.of());
    }

    public boolean isFull() {
        return treads.size() >= MOST;
    }
}
