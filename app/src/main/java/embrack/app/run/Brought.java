package embrack.app.run;

import embrack.app.frame.Deliveries;
import embrack.app.frame.Deliveries.Delivery;
import embrack.core.rig.DeviceId;
import embrack.core.run.Line;
import embrack.core.run.Run;
import embrack.core.world.Happened;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What came to boxes in a run, in the order in which it became known: what somebody did a while ago, and is told only
 * now, comes behind what was known before. The last of it is kept.
 */
final class Brought {

    /** As much is kept. */
    private static final int MOST = 2_000;

    private final List<Delivery> last = new ArrayList<>();
    private long count;
    private long line;

    /** Takes in what a run tells that it did not tell before. */
    void take(Run run) {
        run.tape().stream()
                .filter(told -> told.number() > line)
                .flatMap(Brought::delivered)
                .forEach(this::add);
        line = run.lines();
    }

    /** What came from a moment of the run on is told anew, with something among it: that alone is new. */
    void takeAnew(Run run, long fromMicros) {
        List<Delivery> known = new ArrayList<>(
                last.stream().filter(one -> one.atMicros() >= fromMicros).toList());
        run.tape().stream()
                .filter(told -> told.at() >= fromMicros)
                .flatMap(Brought::delivered)
                .filter(one -> !takeOut(known, one))
                .forEach(this::add);
        line = run.lines();
    }

    /** What came so far is for no real box any more. */
    void forget(Run run) {
        take(run);
        last.clear();
    }

    /** Takes out the first that is the same message to the same box, if not at quite the same time; whether any was. */
    private static boolean takeOut(List<Delivery> known, Delivery one) {
        for (int i = 0; i < known.size(); i++) {
            if (known.get(i).box().equals(one.box()) && known.get(i).message().equals(one.message())) {
                known.remove(i);
                return true;
            }
        }
        return false;
    }

    private void add(Delivery delivery) {
        last.add(delivery);
        count++;
        if (last.size() > 2 * MOST) {
            last.subList(0, last.size() - MOST).clear();
        }
    }

    private static Stream<Delivery> delivered(Line told) {
        return told.what() instanceof Line.Travelled(Happened.Arrived came)
                ? Stream.of(new Delivery(came.socket().device(), came.message(), told.at()))
                : Stream.empty();
    }

    /** What came to some boxes behind so many deliveries; nothing where it is not said behind how many. */
    Deliveries.Since since(OptionalLong known, boolean isForGear, Set<DeviceId> boxes) {
        // More than there were were told of another run.
        long from = Math.min(known.orElse(count), count);
        int news = isForGear ? (int) Math.min(count - from, last.size()) : 0;
        return new Deliveries.Since(
                count,
                !isForGear,
                last.subList(last.size() - news, last.size()).stream()
                        .filter(one -> boxes.contains(one.box()))
                        .toList());
    }
}
