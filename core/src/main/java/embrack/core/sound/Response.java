package embrack.core.sound;

import embrack.core.level.Gain;
import java.util.Arrays;

/**
 * What comes of a sound at a place: at which delays it arrives and how loud each time. Arrivals that come together add
 * up by their voltage, so that two of opposite polarity are gone.
 *
 * @param micros delays in microseconds, rising
 * @param factors the gain of each, as factors of the voltage
 * @param ways whether more ways arrived than can be told from the sums: then silence is a loss and no absence
 */
record Response(long[] micros, double[] factors, boolean ways) {

    static final Response NONE = new Response(new long[0], new double[0], false);

    /** Arrivals closer than this, in microseconds, are one: half a wave of 10 kHz. */
    private static final long TOGETHER = 50;

    /** More than so many are not told apart; the quietest are left out. */
    private static final int MOST = 16;

    static Response at(long micros, double factor) {
        return new Response(new long[] {micros}, new double[] {factor}, true);
    }

    boolean isNone() {
        return !ways;
    }

    /** Whether it arrives and nothing of it is left: its ways cancel each other, or it is too soft to hear. */
    boolean isSilent() {
        return gain().isSilent();
    }

    /** All that arrives: at different times they are different sounds to the ear. */
    Gain gain() {
        Gain sum = Gain.NONE;
        for (double factor : factors) {
            sum = sum.beside(new Gain(factor));
        }
        return sum;
    }

    Response through(double factor, long late) {
        if (factor == 0 || isNone()) {
            return NONE;
        }
        if (factor == 1 && late == 0) {
            return this;
        }
        long[] later = micros.clone();
        double[] louder = factors.clone();
        for (int i = 0; i < later.length; i++) {
            later[i] += late;
            louder[i] *= factor;
        }
        return new Response(later, louder, true);
    }

    Response and(Response other) {
        if (isNone()) {
            return other;
        }
        if (other.isNone()) {
            return this;
        }
        long[] all = new long[micros.length + other.micros.length];
        double[] sums = new double[all.length];
        int count = 0;
        int i = 0;
        int j = 0;
        while (i < micros.length || j < other.micros.length) {
            boolean mine = j == other.micros.length || i < micros.length && micros[i] <= other.micros[j];
            long at = mine ? micros[i] : other.micros[j];
            double factor = mine ? factors[i++] : other.factors[j++];
            if (count > 0 && at - all[count - 1] < TOGETHER) {
                sums[count - 1] += factor;
            } else {
                all[count] = at;
                sums[count++] = factor;
            }
        }
        return new Response(Arrays.copyOf(all, count), Arrays.copyOf(sums, count), true).bounded();
    }

    private Response bounded() {
        if (micros.length <= MOST) {
            return this;
        }
        int quietest = 0;
        for (int i = 1; i < factors.length; i++) {
            quietest = Math.abs(factors[i]) < Math.abs(factors[quietest]) ? i : quietest;
        }
        long[] fewer = new long[micros.length - 1];
        double[] left = new double[fewer.length];
        for (int i = 0, k = 0; i < micros.length; i++) {
            if (i != quietest) {
                fewer[k] = micros[i];
                left[k++] = factors[i];
            }
        }
        return new Response(fewer, left, true).bounded();
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Response that
                && Arrays.equals(micros, that.micros)
                && Arrays.equals(factors, that.factors)
                && ways == that.ways;
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(micros) * 31 + Arrays.hashCode(factors);
    }

    @Override
    public String toString() {
        return "Response[%s, %s]".formatted(Arrays.toString(micros), Arrays.toString(factors));
    }
}
