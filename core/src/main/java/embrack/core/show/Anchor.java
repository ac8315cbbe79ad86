package embrack.core.show;

import embrack.core.music.Clock;
import embrack.core.music.Position;
import embrack.core.music.TempoMap;
import embrack.core.name.TapeLabel;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** What a cue is tied to. */
public sealed interface Anchor {

    /** A bar and beat: it stays there when the tempo changes. */
    record OnBar(Position at) implements Anchor {
        public OnBar {
            if (at.bar() > TempoMap.MAX_BAR) {
                throw new IllegalArgumentException(
                        "The last bar that a cue can be tied to is %d, was %d.".formatted(TempoMap.MAX_BAR, at.bar()));
            }
        }
    }

    /** The clock of the song, microseconds from bar 1: it stays there when the tempo changes. 0 or more. */
    record OnClock(long micros) implements Anchor {
        public OnClock {
            if (micros < 0 || micros > MAX_MICROS) {
                throw new IllegalArgumentException("A time in a song is 0:00 to 2:00:00.");
            }
        }
    }

    /** The start or the end of a section. */
    record AtSection(TapeLabel section, boolean end) implements Anchor {}

    /** Something that the player does. */
    record Automatic(When when) implements Anchor {}

    /** The longest that a song's clock runs, two hours in microseconds. */
    long MAX_MICROS = 7_200_000_000L;

    /** When it comes, in microseconds from bar 1; empty for what the clock does not know. */
    default Optional<Long> micros(Form form) {
        return switch (this) {
            case OnBar bar -> Optional.of(form.tempoMap().micros(bar.at()));
            case OnClock clock -> Optional.of(clock.micros());
            case AtSection at -> form.find(at.section()).map(i -> at.end() ? form.endMicros(i) : form.startMicros(i));
            case Automatic automatic -> Optional.empty();
        };
    }

    /** The tick at which it comes, the nearest for what is on the clock; empty for what the clock does not know. */
    default Optional<Long> tick(Form form) {
        return this instanceof OnBar bar
                ? Optional.of(form.tempoMap().tick(bar.at()))
                : micros(form).map(form.tempoMap()::tickAt);
    }

    /** As it is said, and read back: "bar 17", "1:23.456", "start of Verse 1", "on play". */
    default String text(TempoMap tempoMap) {
        return switch (this) {
            case OnBar bar -> tempoMap.text(bar.at());
            case OnClock clock -> Clock.text(clock.micros());
            case AtSection at -> (at.end() ? "end of " : "start of ") + at.section();
            case Automatic automatic -> automatic.when().words();
        };
    }

    /** What it stays with when the tempo changes, in words. */
    default String tie() {
        return switch (this) {
            case OnBar bar -> "stays on its bar";
            case OnClock clock -> "stays on the clock";
            case AtSection at -> "stays with its section";
            case Automatic automatic -> "comes " + automatic.when().words();
        };
    }

    /**
     * The moment nearest to a time on a grid of so many ticks, tied to its bar; to the millisecond and tied to the
     * clock when the grid is 0.
     *
     * @param micros from bar 1; what lies beyond the limits of a song's clock and bars is put at them
     */
    static Anchor near(Form form, long micros, int grid) {
        long at = Math.clamp(micros, 0, MAX_MICROS);
        if (grid == 0) {
            return new OnClock(Math.round(at / 1_000.0) * 1_000);
        }
        Position there = form.tempoMap().position(form.tempoMap().snap(at, grid));
        return new OnBar(there.bar() <= TempoMap.MAX_BAR ? there : Position.bar(TempoMap.MAX_BAR));
    }

    /**
     * What a person typed.
     *
     * @throws IllegalArgumentException with a sentence for the person when it is none
     */
    static Anchor parse(String typed, Form form) {
        String text = typed.strip();
        String lower = text.toLowerCase(Locale.ROOT);
        Optional<When> when =
                Stream.of(When.values()).filter(w -> lower.equals(w.words())).findFirst();
        if (when.isPresent()) {
            return new Automatic(when.get());
        }
        if (lower.startsWith("start of ") || lower.startsWith("end of ")) {
            boolean end = lower.startsWith("end of ");
            TapeLabel name = TapeLabel.parse(text.substring(end ? 7 : 9));
            int section = form.find(name)
                    .orElseThrow(() -> new IllegalArgumentException("No section is called \"%s\".".formatted(name)));
            return new AtSection(form.sections().get(section).name(), end);
        }
        if (text.isEmpty()) {
            throw new IllegalArgumentException(
                    "Write when: 17 3 for bar and beat, 1:23.456 for the clock, start of a section, or on "
                            + "load, play, stop or loop.");
        }
        return lower.contains(":") || lower.endsWith("s")
                ? new OnClock(Clock.parse(text))
                : new OnBar(form.tempoMap().parse(text));
    }
}
