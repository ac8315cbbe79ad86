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
 * @param pressAlsoWhenHeld a switch that is held has sent what its press sends before
 */
public record Quirks(
        boolean hearsAllChannels,
        boolean actsOnNoteOff,
        boolean looksForPortsAtStart,
        int assignableInputs,
        boolean pressAlsoWhenHeld) {

    /** A box without habits. */
    public static final Quirks NONE = new Quirks(false, false, false, 0, false);

    public Quirks {
        if (assignableInputs < 0 || assignableInputs > 128) {
            throw new IllegalArgumentException("a box has 0 to 128 assignable inputs, was " + assignableInputs);
        }
    }

    /** As these, and it acts on every channel. */
    public Quirks withAllChannels() {
        return new Quirks(true, actsOnNoteOff, looksForPortsAtStart, assignableInputs, pressAlsoWhenHeld);
    }

    /** As these, and it takes the release of a note for one more. */
    public Quirks withNoteOffs() {
        return new Quirks(hearsAllChannels, true, looksForPortsAtStart, assignableInputs, pressAlsoWhenHeld);
    }

    /** As these, and it finds only what is plugged in when it starts. */
    public Quirks withPortsAtStart() {
        return new Quirks(hearsAllChannels, actsOnNoteOff, true, assignableInputs, pressAlsoWhenHeld);
    }

    /** As these, and a press is sent also by a switch that is then held. */
    public Quirks withPressWhenHeld() {
        return new Quirks(hearsAllChannels, actsOnNoteOff, looksForPortsAtStart, assignableInputs, true);
    }

    /** As these, and with so many assignable inputs. */
    public Quirks withInputs(int inputs) {
        return new Quirks(hearsAllChannels, actsOnNoteOff, looksForPortsAtStart, inputs, pressAlsoWhenHeld);
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
        if (pressAlsoWhenHeld) {
            words.add("Sends what a press sends also when the switch is then held.");
        }
        return words;
    }
}
