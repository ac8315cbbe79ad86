package embrack.core.proof;

/** What is so of a part that was started without what it needs. */
public enum Lack {
    /** It does not move: a chase without its auto-run. */
    STANDS_STILL,

    /** It is another one: a scene of a bank that is not chosen. */
    IS_ANOTHER
}
