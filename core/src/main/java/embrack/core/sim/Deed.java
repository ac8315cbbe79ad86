package embrack.core.sim;

import embrack.core.world.Journey;
import embrack.core.world.Places;
import java.util.List;
import java.util.Optional;

/**
 * What is meant to happen at one moment, and what does.
 *
 * @param byItself what comes about without any message, before all others
 * @param moves what the messages do, where that does not depend on what came before
 */
record Deed(List<Places.Move> meant, List<Places.Move> byItself, Journey journey, Optional<List<Places.Move>> moves) {

    boolean isNothing() {
        return meant.isEmpty() && journey.deliveries().isEmpty();
    }
}
