package embrack.core.show;

import embrack.core.music.Metre;
import embrack.core.music.Position;
import embrack.core.music.TempoMap;
import embrack.core.name.TapeLabel;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;

/** How a song goes: its sections one behind the other, with its metres and tempos. */
public final class Form {

    /** Four bars of common time at 120, for a song of which nothing is known yet. */
    public static final Form UNKNOWN =
            new Form(new TempoMap(List.of(), List.of()), List.of(new Section(new TapeLabel("Song"), 4)));

    /** As many sections as a song may have. */
    public static final int MAX_SECTIONS = 300;

    private final TempoMap tempoMap;
    private final List<Section> sections;
    private final List<Integer> firstBars = new ArrayList<>();
    private final int bars;

    /**
     * A form.
     *
     * @param sections 1 to {@value #MAX_SECTIONS}, no two of one name, shorter together than {@link TempoMap#MAX_BAR}
     * bars
     * and two hours
     * @throws IllegalArgumentException with a sentence for a person when it is none
     */
    public Form(TempoMap tempoMap, List<Section> sections) {
        this.tempoMap = tempoMap;
        this.sections = List.copyOf(sections);
        if (sections.isEmpty()) {
            throw new IllegalArgumentException("A song has at least one section.");
        }
        if (sections.size() > MAX_SECTIONS) {
            throw new IllegalArgumentException(
                    "A song has at most %d sections; here are %d.".formatted(MAX_SECTIONS, sections.size()));
        }
        int bar = 1;
        for (Section section : sections) {
            if (sections.stream()
                            .filter(other -> other.name().sameAs(section.name()))
                            .count()
                    > 1) {
                throw new IllegalArgumentException(
                        "Two sections are called \"%s\"; number them.".formatted(section.name()));
            }
            firstBars.add(bar);
            bar += section.bars();
        }
        bars = bar - 1;
        if (bars >= TempoMap.MAX_BAR) {
            throw new IllegalArgumentException(
                    "A song has fewer than %d bars; here are %d.".formatted(TempoMap.MAX_BAR, bars));
        }
        if (lengthMicros() > Anchor.MAX_MICROS) {
            throw new IllegalArgumentException(
                    "A song lasts at most two hours; its %d bars take longer.".formatted(bars));
        }
    }

    public TempoMap tempoMap() {
        return tempoMap;
    }

    public List<Section> sections() {
        return sections;
    }

    /** How many bars there are. */
    public int bars() {
        return bars;
    }

    /** The first bar of a section, counted from 1. */
    public int firstBar(int section) {
        return firstBars.get(section);
    }

    /** The last bar of a section. */
    public int lastBar(int section) {
        return firstBars.get(section) + sections.get(section).bars() - 1;
    }

    /** The section that a bar is in; the last one for a bar behind the end. */
    public int sectionOf(int bar) {
        int found = 0;
        for (int i = 0; i < firstBars.size(); i++) {
            found = firstBars.get(i) <= bar ? i : found;
        }
        return found;
    }

    /** The place of a section by its name. */
    public Optional<Integer> find(TapeLabel name) {
        for (int i = 0; i < sections.size(); i++) {
            if (sections.get(i).name().sameAs(name)) {
                return Optional.of(i);
            }
        }
        return Optional.empty();
    }

    /** When a section begins, microseconds from bar 1. */
    public long startMicros(int section) {
        return tempoMap.micros(Position.bar(firstBar(section)));
    }

    /** When a section ends, microseconds from bar 1. */
    public long endMicros(int section) {
        return tempoMap.micros(Position.bar(lastBar(section) + 1));
    }

    /** How long all sections take, each played once, microseconds. */
    public long lengthMicros() {
        return tempoMap.micros(Position.bar(bars + 1));
    }

    /** How much longer the vamps make it, played as often as usual, microseconds. */
    public long vampingMicros() {
        long more = 0;
        for (int i = 0; i < sections.size(); i++) {
            more += (sections.get(i).passes() - 1) * (endMicros(i) - startMicros(i));
        }
        return more;
    }

    /** The first metre and tempo in words: "92, 4/4". */
    public String words() {
        Metre metre = tempoMap.metre(1);
        return String.format(Locale.ROOT, "%s, %s", tempoMap.tempo(0), metre);
    }

    public Form withTempoMap(TempoMap other) {
        return new Form(other, sections);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Form that && tempoMap.equals(that.tempoMap) && sections.equals(that.sections);
    }

    @Override
    public int hashCode() {
        return Objects.hash(tempoMap, sections);
    }

    @Override
    public String toString() {
        return "Form[%s, %s]".formatted(tempoMap, sections);
    }
}
