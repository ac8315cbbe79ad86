package embrack.app.run;

import embrack.app.frame.Deliveries;
import embrack.app.store.RigId;
import embrack.core.rig.DeviceId;
import embrack.core.run.Line;
import embrack.core.run.Run;
import embrack.core.world.Happened;
import java.util.List;
import java.util.OptionalLong;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What comes to the boxes of a run while it goes as fast as the gear would, or slower. */
@Component
class RunDeliveries implements Deliveries {

    private final LiveRuns runs;

    RunDeliveries(LiveRuns runs) {
        this.runs = runs;
    }

    @Override
    public Since since(RigId rig, OptionalLong line, Set<DeviceId> boxes) {
        return runs.of(rig)
                .map(live -> since(live.run(), live.pace().isForGear(), line, boxes))
                .orElseGet(() -> new Since(0, false, List.of()));
    }

    private static Since since(Run run, boolean isForGear, OptionalLong line, Set<DeviceId> boxes) {
        // More lines than there are were told of another run.
        long from = Math.min(line.orElse(run.lines()), run.lines());
        List<Delivery> came = isForGear
                ? run.tape().stream()
                        .filter(told -> told.number() > from)
                        .flatMap(told -> arrived(told, boxes))
                        .toList()
                : List.of();
        return new Since(run.lines(), !isForGear, came);
    }

    private static Stream<Delivery> arrived(Line line, Set<DeviceId> boxes) {
        return line.what() instanceof Line.Travelled(Happened.Arrived came)
                        && boxes.contains(came.socket().device())
                ? Stream.of(new Delivery(came.socket().device(), came.message(), line.at()))
                : Stream.empty();
    }
}
