package embrack.core.level;

import embrack.core.midi.DataByte;
import java.util.Locale;

/** What a level of 0 to 127 stands for. */
public enum Law {
    /**
     * Decibels that fall with the square of the number: top + 40 log10(value / 127). Source: the volume curve
     * recommended in the General MIDI Level 1 Developer Guidelines, from memory.
     */
    DECIBELS("dB", 40),
    /** Decibels of a plain gain: top + 20 log10(value / 127). Common practice, no source. */
    GAIN("dB, straight gain", 20),
    /** Percent of the whole way. */
    PERCENT("percent", 0);

    /** What is said of a level that lets nothing through. */
    private static final String SILENT = "silent";

    private final String words;
    private final int decibelsPerDecade;

    Law(String words, int decibelsPerDecade) {
        this.words = words;
        this.decibelsPerDecade = decibelsPerDecade;
    }

    /** The law in a list to choose from. */
    public String words() {
        return words;
    }

    public boolean isInDecibels() {
        return decibelsPerDecade > 0;
    }

    /**
     * Decibels at a value; minus infinity at 0.
     *
     * @param value 0 to 127
     * @param top decibels at 127
     * @throws IllegalStateException for percent
     */
    public double decibels(int value, double top) {
        if (!isInDecibels()) {
            throw new IllegalStateException("percent have no decibels");
        }
        return value == 0
                ? Double.NEGATIVE_INFINITY
                : top + decibelsPerDecade * Math.log10(value / (double) DataByte.MAX);
    }

    /** The highest value, 0 to 127, that stays at or below so many decibels. */
    public int valueAtMost(double decibels, double top) {
        int value = DataByte.MAX;
        while (value > 0 && decibels(value, top) > decibels) {
            value--;
        }
        return value;
    }

    /** A value in words: "−11.9 dB", "50 %", "silent". */
    public String shown(int value, double top) {
        if (!isInDecibels()) {
            return "%d %%".formatted(Math.round(value * 100.0 / DataByte.MAX));
        }
        return value == 0 ? SILENT : decibelWords(decibels(value, top));
    }

    /** How far it is from one value to another, in words: "falls by 11.9 dB", "stays". */
    public String move(int from, int to, double top) {
        if (from == to) {
            return "stays";
        }
        String way = to > from ? "rises" : "falls";
        if (!isInDecibels()) {
            return "%s by %d %%".formatted(way, Math.round(Math.abs(to - from) * 100.0 / DataByte.MAX));
        }
        return from == 0 || to == 0
                ? "%s from %s to %s".formatted(way, shown(from, top), shown(to, top))
                : "%s by %s".formatted(way, decibelWords(Math.abs(decibels(to, top) - decibels(from, top))));
    }

    static String decibelWords(double decibels) {
        return String.format(Locale.ROOT, "%.1f dB", decibels)
                .replace("-0.0", "0.0")
                .replace('-', '\u2212');
    }
}
