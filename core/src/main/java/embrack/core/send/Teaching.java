package embrack.core.send;

import embrack.core.chart.LearnableId;
import embrack.core.chart.Learned;
import embrack.core.midi.Channel;
import embrack.core.midi.DataByte;
import embrack.core.midi.Message;
import embrack.core.midi.Message.ControlChange;
import embrack.core.midi.Message.NoteOn;
import embrack.core.midi.Message.ProgramChange;
import embrack.core.midi.MessageType;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import java.util.Collections;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What a box that learns is sent while it waits for it, so that nobody has to find the switch that sends it, and
 * nothing else comes with it. Values are 127: many boxes do not learn from 0.
 */
public final class Teaching {

    private Teaching() {}

    /** The message for each thing that a box is to learn in a plan. */
    public static SortedMap<LearnableId, Message> of(Plan plan, DeviceId box) {
        SortedMap<LearnableId, Message> lessons = new TreeMap<>();
        plan.rig().device(box).learned().forEach((id, learned) -> lessons.put(id, message(plan, box, learned)));
        return Collections.unmodifiableSortedMap(lessons);
    }

    /** The key of the line that the sheets have for it. */
    public static String line(DeviceId box, LearnableId id) {
        return "%s/learn/%s".formatted(box, id.key());
    }

    private static Message message(Plan plan, DeviceId box, Learned learned) {
        Channel channel = learned.channel().orElseGet(() -> Probes.channel(plan, box));
        if (learned.type() == MessageType.PROGRAM_CHANGE) {
            return new ProgramChange(channel, learned.number());
        }
        return learned.type() == MessageType.CONTROL_CHANGE
                ? new ControlChange(channel, learned.number(), DataByte.MAX)
                : new NoteOn(channel, learned.number(), DataByte.MAX);
    }
}
