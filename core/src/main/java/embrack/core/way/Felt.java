package embrack.core.way;

import embrack.core.gear.Kind;

/** How late is too late. Common practice, no source. */
public enum Felt {
    /** A sound under the finger: felt above 10 to 12 ms. */
    SOUND("a sound under the finger", 10_000, 12_000),
    /** A start, a mute or a change of light: felt above 30 to 50 ms. */
    CHANGE("a start or a change", 30_000, 50_000);

    private final String words;
    private final long noticed;
    private final long limit;

    Felt(String words, long noticed, long limit) {
        this.words = words;
        this.noticed = noticed;
        this.limit = limit;
    }

    public String words() {
        return words;
    }

    /** Where people begin to notice, in microseconds. */
    public long noticedMicros() {
        return noticed;
    }

    /** Where everybody does, in microseconds. */
    public long limitMicros() {
        return limit;
    }

    /** What counts between two kinds of gear: keys and pads that play sounds must answer at once. */
    public static Felt between(Kind sender, Kind receiver) {
        return sender == Kind.KEYBOARD && (receiver == Kind.INSTRUMENT_HOST || receiver == Kind.KEYBOARD)
                ? SOUND
                : CHANGE;
    }

    /** The judgement of a worst time, in words. */
    public String judge(long worstMicros) {
        if (worstMicros <= noticed) {
            return "Under %s ms nobody feels it: %s.".formatted(noticed / 1000, words);
        }
        return worstMicros <= limit
                ? "Between %d and %d ms some feel it: %s.".formatted(noticed / 1000, limit / 1000, words)
                : "Above %d ms it is felt: %s.".formatted(limit / 1000, words);
    }
}
