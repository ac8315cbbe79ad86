package embrack.app.run;

import embrack.app.frame.Deliveries;
import embrack.app.store.RigId;
import embrack.core.rig.DeviceId;
import java.util.List;
import java.util.OptionalLong;
import java.util.Set;
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
        return runs.of(rig).map(live -> live.brought(line, boxes)).orElseGet(() -> new Since(0, false, List.of()));
    }
}
