package embrack.app.store;

/** A line check of a rig went on, in one of its two directions; {@code turn} counts how often. */
public record LineMoved(RigId rig, Way way, long turn) {

    /** The directions of a check, as pages are told of them. */
    public enum Way {
        /** What comes from the gear. */
        LINE,
        /** What is sent to it. */
        SEND
    }
}
