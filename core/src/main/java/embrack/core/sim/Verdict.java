package embrack.core.sim;

import java.util.Locale;

/** What the proof says of a switch, from best to worst. */
public enum Verdict {

    /** Exactly what was meant, and in time. */
    EXACT("exact"),
    /** What was meant, in as many states as were tried, which are not all that the rig can reach. */
    TRIED("tried"),
    /** What was meant, but later than people notice. */
    LATE("late"),
    /** What was meant, and something else moved too. */
    ALSO("also"),
    /** Some of what was meant; the rest does not move. */
    PART("part"),
    /** Its messages come round, and nobody knows what they leave in the end. */
    NOT_KNOWN("not known"),
    /** Right while something that alternates is at one side, wrong while it is at the other. */
    EVERY_OTHER("every other"),
    /** Something else than what was meant. */
    WRONG("wrong"),
    /** What it does leaves everything as it was, in every state: there is nothing to see. */
    SHOWN_NOTHING("shown nothing"),
    /** Nothing moves, ever. */
    DEAD("dead"),
    /** A step cannot be sent or cannot get there. */
    NO_WAY("cannot get there");

    private final String words;

    Verdict(String words) {
        this.words = words;
    }

    /** The verdict in files, which stays when its words change: "no way". */
    public String key() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** Whether a switch does what is meant, as far as anybody knows. */
    public boolean isRight() {
        return compareTo(LATE) <= 0;
    }

    /** The verdict as it is written beside a switch. */
    public String words() {
        return words;
    }
}
