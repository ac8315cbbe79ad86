package embrack.core.sim;

/** What the proof says of a switch, from best to worst. */
public enum Verdict {

    /** Exactly what was meant, and in time. */
    EXACT("exact"),
    /** What was meant, but later than people notice. */
    LATE("late"),
    /** What was meant, and something else moved too. */
    ALSO("also"),
    /** Some of what was meant; the rest does not move. */
    PART("part"),
    /** Its messages come round, and nobody knows what they leave in the end. */
    NOT_KNOWN("not known"),
    /** Right on some presses, wrong on others. */
    EVERY_OTHER("every other"),
    /** Something else than what was meant. */
    WRONG("wrong"),
    /** Nothing moves, ever. */
    DEAD("dead"),
    /** A step cannot be sent or cannot get there. */
    NO_WAY("no way");

    private final String words;

    Verdict(String words) {
        this.words = words;
    }

    /** The verdict as it is written beside a switch. */
    public String words() {
        return words;
    }
}
