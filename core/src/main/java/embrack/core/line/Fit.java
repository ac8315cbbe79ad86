package embrack.core.line;

import embrack.core.midi.Message;
import java.util.Comparator;
import java.util.List;

/**
 * How far what came goes along with what was planned.
 *
 * @param script what each gesture was to send, in order, and then from the beginning
 * @param phases how many gestures of the script are behind it
 * @param bursts how many bursts went along, from the first
 * @param all whether all did
 */
record Fit(List<List<Message>> script, int phases, int bursts, boolean all) {

    /** Of the sides that a switch may have begun at, the one with which more goes along. */
    static Fit of(Planned planned, List<Burst> came) {
        // A quick foot makes a press and its release one; what comes twice at once is sent twice.
        int atOnce = planned.up().isEmpty() ? 1 : 2;
        return planned.scripts().stream()
                .map(script -> of(script, came, atOnce))
                .max(Comparator.comparingInt(Fit::bursts))
                .orElseThrow();
    }

    private static Fit of(List<List<Message>> script, List<Burst> came, int atOnce) {
        int phase = 0;
        for (int i = 0; i < came.size(); i++) {
            int next = after(script, phase, came.get(i).content());
            if (next < 0 || next - phase > atOnce) {
                return new Fit(script, phase, i, false);
            }
            phase = next;
        }
        return new Fit(script, phase, came.size(), true);
    }

    /** The gesture behind those that sent these messages without a pause between them; negative where none did. */
    private static int after(List<List<Message>> script, int from, List<Message> content) {
        int at = 0;
        int phase = from;
        while (at < content.size()) {
            List<Message> next = script.get(phase % script.size());
            int end = at + next.size();
            if (end > content.size() || !Likeness.same(next, content.subList(at, end))) {
                return -1;
            }
            at = end;
            phase++;
        }
        return phase;
    }

    /** Whether every gesture of the task has been seen. */
    boolean isDone() {
        return all && phases >= script.size();
    }

    /** What was to come where something else came. */
    List<Message> wanted() {
        return script.get(phases % script.size());
    }
}
