package embrack.core.gear;

import java.util.List;

/**
 * One way of sound through a box.
 *
 * @param gates what lets it pass, all of them
 */
public record SoundWay(SoundEnd from, SoundEnd to, Passage passage, List<Gate> gates) {

    public SoundWay {
        gates = List.copyOf(gates);
    }

    public SoundRoute route() {
        return new SoundRoute(from, to);
    }
}
