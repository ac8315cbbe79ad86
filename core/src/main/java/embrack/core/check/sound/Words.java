package embrack.core.check.sound;

import embrack.core.rig.DeviceId;
import embrack.core.sound.Listener;
import embrack.core.sound.Source;
import embrack.core.sound.Strand;
import embrack.core.word.Fact;
import java.util.List;
import java.util.stream.Stream;

/** Sounds, ears and ways as facts. */
final class Words {

    private Words() {}

    static Fact sound(Source source) {
        return Fact.word(source.sound().words());
    }

    /** The box that they hear, or who they are where that is all that is known. */
    static Fact listener(Listener listener) {
        return listener.device()
                .map(Fact::of)
                .orElseGet(() -> Fact.word(listener.ear().words()));
    }

    /** The boxes on a way, one after the other. */
    static List<Fact> way(List<Strand> way) {
        List<DeviceId> boxes = way.stream()
                .flatMap(strand -> Stream.of(strand.from().device(), strand.to().device()))
                .distinct()
                .toList();
        return boxes.stream().map(Fact::of).toList();
    }
}
