package embrack.core.gear;

import java.util.ArrayList;
import java.util.List;

/**
 * Habits of a box that its chart does not show.
 *
 * @param hearsAllChannels it acts on every channel, whatever it is set to
 * @param actsOnNoteOff it takes the release of a note for one more note
 * @param looksForPortsAtStart it finds only what is plugged in when it starts
 * @param assignableInputs how many inputs each memory has to which a message can be assigned; 0 for none
 */
public record Quirks(
        boolean hearsAllChannels, boolean actsOnNoteOff, boolean looksForPortsAtStart, int assignableInputs) {

    /** A box without habits. */
    public static final Quirks NONE = new Quirks(false, false, false, 0);

    public Quirks {
        if (assignableInputs < 0 || assignableInputs > 128) {
            throw new IllegalArgumentException("a box has 0 to 128 assignable inputs, was " + assignableInputs);
        }
    }

    /** Each habit as a sentence that says what to mind. */
    public List<String> words() {
        List<String> words = new ArrayList<>();
        if (hearsAllChannels) {
            words.add("Listens to all channels: whatever reaches its input can move it.");
        }
        if (actsOnNoteOff) {
            words.add("Takes the release of a note for one more note: what it toggles, it toggles back.");
        }
        if (looksForPortsAtStart) {
            words.add("Looks for ports only when it starts: plug in first, then start.");
        }
        if (assignableInputs > 0) {
            words.add("Has %d inputs to assign messages to, in each memory its own.".formatted(assignableInputs));
        }
        return words;
    }
}
