package embrack.core.way;

/**
 * One part of the time that a way takes.
 *
 * @param where the link or box that takes it, in words
 * @param what what is waited for: "USB frame"
 * @param shorter what would make it shorter, a sentence
 */
public record Share(String where, String what, Delay delay, String shorter) {}
