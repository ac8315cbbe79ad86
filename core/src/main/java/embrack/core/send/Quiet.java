package embrack.core.send;

import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.midi.Message.ControlChange;
import embrack.core.midi.Message.NoteOff;
import embrack.core.midi.Message.NoteOn;
import embrack.core.midi.Message.Voice;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.world.Hearing;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;

/**
 * What puts a box at rest when a check ends or breaks: notes that were struck are let go, then all notes off and the
 * sustain pedal up on each channel that was sent on. A message by which the box does something of its chart is left
 * out: a note-off may toggle a light back.
 *
 * <p>Source: MIDI 1.0 Detailed Specification, channel mode message 123 "All Notes Off", controller 64 "Damper Pedal".
 */
public final class Quiet {

    public static final int ALL_NOTES_OFF = 123;
    public static final int SUSTAIN = 64;

    private Quiet() {}

    /** What to send to a device after some messages, in order. */
    public static List<Message> after(Plan plan, DeviceId device, Collection<Message> sent) {
        Hearing hearing = Hearing.of(plan.rig(), device);
        List<Message> rest = new ArrayList<>();
        for (Message message : sent) {
            if (message instanceof NoteOn note && !note.isRelease()) {
                rest.add(new NoteOff(note.channel(), note.note(), 0));
            }
        }
        List<Channel> channels = sent.stream()
                .filter(Voice.class::isInstance)
                .map(message -> ((Voice) message).channel())
                .distinct()
                .sorted()
                .toList();
        for (Channel channel : channels) {
            rest.add(new ControlChange(channel, ALL_NOTES_OFF, 0));
            rest.add(new ControlChange(channel, SUSTAIN, 0));
        }
        return rest.stream()
                .distinct()
                .filter(message -> hearing.possibleReactionsTo(message).isEmpty())
                .toList();
    }
}
