package embrack.core.crew;

/** One thing that somebody may do to what belongs to a crew. */
public enum Right {

    /** Sees it. */
    READ,

    /** Ticks what is done on sheets and lists. */
    TICK,

    /** Plays it through, drills, tries switches. */
    PLAY,

    /** Writes notes under their own name. */
    NOTE,

    /** Changes the plan, and lets messages go to real gear. */
    EDIT,

    /** Says who belongs to the crew, and deletes what is the crew's. */
    LEAD
}
