package embrack.core.effort;

/**
 * Work that is counted in things to do, each of which takes as long.
 *
 * @param things how many, 0 or more
 * @param secondsEach how long one takes, s
 */
public record Work(int things, int secondsEach) {

    /** What teaching one link, or typing one line, takes. Common practice, no source. */
    public static final int USUAL_SECONDS = 20;

    public Work {
        if (things < 0 || secondsEach < 1) {
            throw new IllegalArgumentException(
                    "work is 0 or more things of 1 s or more, was %d of %d s".formatted(things, secondsEach));
        }
    }

    /** Work at the usual rate. */
    public static Work of(int things) {
        return new Work(things, USUAL_SECONDS);
    }

    public int seconds() {
        return things * secondsEach;
    }

    /** The time in words: "26 min 40 s". */
    public String words() {
        return words(seconds());
    }

    /** A time in words: "26 min 40 s". */
    static String words(int seconds) {
        int minutes = seconds / 60;
        int left = seconds % 60;
        return minutes == 0 ? left + " s" : left == 0 ? minutes + " min" : "%d min %d s".formatted(minutes, left);
    }

    /** Whether it fits into so many minutes. */
    public boolean fitsInto(int minutes) {
        return seconds() <= minutes * 60;
    }
}
