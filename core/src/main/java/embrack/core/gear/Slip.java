package embrack.core.gear;

import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import java.util.List;

/** How a line of a chart misses what the box obeys. */
public enum Slip {
    /** Its number is one too many or too few: counted from 1 where the box counts from 0, or the other way. */
    BY_ONE,
    /** Its note is twelve too many or too few: another maker's name of the octave. */
    BY_OCTAVE,
    /** Its value stands for the opposite: high and low are exchanged. */
    EXCHANGED,
    /** The bank select before the program change is left out, or another one. */
    BANK,
    /** It is another type of message. */
    TYPE,
    /** Its number is another. */
    NUMBER,
    /** The box knows no message for it at all. */
    NONE;

    private static final int OCTAVE = 12;

    /** How messages of a chart miss those that the box obeys; either may be empty. */
    static Slip of(List<Message> chart, List<Message> real) {
        if (chart.isEmpty() || real.isEmpty()) {
            return NONE;
        }
        Message written = chart.getLast();
        Message obeyed = real.getLast();
        if (written.type() != obeyed.type()) {
            return TYPE;
        }
        int apart = Math.abs(written.data1() - obeyed.data1());
        if (apart == 0) {
            return written.type() == MessageType.PROGRAM_CHANGE ? BANK : EXCHANGED;
        }
        boolean isNote = written.type() == MessageType.NOTE_ON || written.type() == MessageType.NOTE_OFF;
        return apart == 1 ? BY_ONE : apart == OCTAVE && isNote ? BY_OCTAVE : NUMBER;
    }
}
