package embrack.core.music;

import java.util.Locale;

/** How long notes last at a tempo: what echoes and tremolos are set to. Arithmetic: a quarter at 84 is 60 s / 84. */
public enum NoteLength {
    HALF("half", 2),
    DOTTED_QUARTER("dotted quarter", 1.5),
    QUARTER("quarter", 1),
    DOTTED_EIGHTH("dotted eighth", 0.75),
    QUARTER_TRIPLET("quarter triplet", 2.0 / 3),
    EIGHTH("eighth", 0.5),
    EIGHTH_TRIPLET("eighth triplet", 1.0 / 3),
    SIXTEENTH("sixteenth", 0.25);

    private final String words;
    private final double quarters;

    NoteLength(String words, double quarters) {
        this.words = words;
        this.quarters = quarters;
    }

    public String words() {
        return words;
    }

    /** How long it lasts, ms. */
    public double millis(Tempo tempo) {
        return tempo.microsPerQuarter() * quarters / 1_000;
    }

    /** How often it fits into a second, Hz: what a tremolo is set to. */
    public double hertz(Tempo tempo) {
        return 1_000 / millis(tempo);
    }

    /** "535.7 ms". */
    public String shownMillis(Tempo tempo) {
        return String.format(Locale.ROOT, "%.1f ms", millis(tempo));
    }

    /** "1.87 Hz". */
    public String shownHertz(Tempo tempo) {
        return String.format(Locale.ROOT, "%.2f Hz", hertz(tempo));
    }
}
