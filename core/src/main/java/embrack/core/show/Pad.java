package embrack.core.show;

import embrack.core.music.Key;
import java.util.Optional;

/**
 * A drone under a part of a show.
 *
 * @param key what it is in; empty for the key of the song that follows
 * @param micros how long the recording lasts
 */
public record Pad(Optional<Key> key, long micros) {

    /** How long pads usually last, 20 minutes. Common practice, no source. */
    public static final long USUAL_MICROS = 1_200_000_000L;

    public Pad {
        if (micros < 1_000_000 || micros > Anchor.MAX_MICROS) {
            throw new IllegalArgumentException("A pad lasts 0:01 to 2:00:00.");
        }
    }
}
