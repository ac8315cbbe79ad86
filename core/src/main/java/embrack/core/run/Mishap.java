package embrack.core.run;

/**
 * One thing that goes wrong at one moment of a night that goes as planned otherwise, and what comes of it.
 *
 * @param part in which part of the order, from 0
 * @param isAtJoin whether it is just before the part ends, else inside it
 * @param at microseconds of the run
 */
public record Mishap(Fault fault, int part, boolean isAtJoin, long at) {

    /** How long before the end of a part something goes wrong at its join, 5 s, and how long after its beginning. */
    static final long BEFORE_JOIN_MICROS = 5_000_000;

    static final long INSIDE_MICROS = 12_000_000;
}
