package embrack.app.frame;

import embrack.app.store.RigId;
import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import java.util.List;
import java.util.OptionalLong;
import java.util.Set;

/** What a run that goes on brings to boxes, for the room that lets messages go to real ones. */
public interface Deliveries {

    /**
     * A message that came to a box.
     *
     * @param atMicros of the run
     */
    record Delivery(DeviceId box, Message message, long atMicros) {}

    /**
     * What came since somebody asked last.
     *
     * @param line behind how many deliveries to go on, when asked again; 0 where no run goes on
     * @param isTooFast whether the run goes faster than the gear could, or leaves out what lies between: then nothing
     *     of it is for real boxes
     * @param deliveries in the order in which they came
     */
    record Since(long line, boolean isTooFast, List<Delivery> deliveries) {}

    /** What came to some boxes of a rig. {@code line} as it was said last; empty for nothing that came before now. */
    Since since(RigId rig, OptionalLong line, Set<DeviceId> boxes);
}
