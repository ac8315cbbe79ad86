package embrack.core.show;

import embrack.core.name.TapeLabel;
import embrack.core.text.Prose;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A part of a song.
 *
 * @param bars how many, 1 or more
 * @param guide what the spoken guide or the band leader says of it; may be empty
 * @param passes how often it is usually played: 1, or more in a vamp
 * @param vamp whether it goes round until somebody lets it go on
 * @param sound the sound that it is played with, by the tape that the patch wears; empty where it stays
 * @param lines lyric lines or slides, in order
 */
public record Section(
        TapeLabel name,
        int bars,
        String guide,
        int passes,
        boolean vamp,
        Optional<TapeLabel> sound,
        List<String> lines) {

    /** The longest section, in bars. */
    public static final int MAX_BARS = 500;

    private static final int MAX_PASSES = 64;

    public Section {
        if (bars < 1 || bars > MAX_BARS) {
            throw new IllegalArgumentException("A section has 1 to %d bars, was %d.".formatted(MAX_BARS, bars));
        }
        if (passes < 1 || passes > MAX_PASSES || passes > 1 && !vamp) {
            throw new IllegalArgumentException(
                    "A vamp is played 1 to %d times, anything else once.".formatted(MAX_PASSES));
        }
        lines = List.copyOf(lines);
        Prose.require("what the guide says", guide);
        lines.forEach(line -> Prose.require("a line", line));
    }

    /** A section that is played once, without words. */
    public Section(TapeLabel name, int bars) {
        this(name, bars, "", 1, false, Optional.empty(), List.of());
    }

    /** The section played so often as a rule. */
    public Section withPasses(int times) {
        return new Section(name, bars, guide, times, vamp, sound, lines);
    }

    /** The section with another sound, by the tape of its patch. */
    public Section withSound(TapeLabel other) {
        return new Section(name, bars, guide, passes, vamp, Optional.of(other), lines);
    }

    /** The section with one more line. */
    public Section withLine(String line) {
        return new Section(
                name,
                bars,
                guide,
                passes,
                vamp,
                sound,
                Stream.concat(lines.stream(), Stream.of(line)).toList());
    }

    /** What sort of section it is: all that are called "Refrain", "Refrain 2" or "Last refrain" are of one. */
    public boolean isLike(Section other) {
        String mine = sort();
        String theirs = other.sort();
        return mine.equals(theirs) || mine.endsWith(" " + theirs) || theirs.endsWith(" " + mine);
    }

    private String sort() {
        return name.text().toLowerCase(Locale.ROOT).replaceAll("[\\s\\d]+$", "");
    }
}
