package embrack.core.show;

import embrack.core.name.TapeLabel;
import java.util.Optional;

/**
 * One of the recorded tracks of a song.
 *
 * @param player the part that is muted for when somebody plays it live: "Drums"
 */
public record Stem(TapeLabel name, StemSort sort, Optional<TapeLabel> player) {}
