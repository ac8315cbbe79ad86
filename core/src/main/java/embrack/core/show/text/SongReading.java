package embrack.core.show.text;

import embrack.core.music.Metre;
import embrack.core.music.MetreChange;
import embrack.core.music.Position;
import embrack.core.music.Tempo;
import embrack.core.music.TempoChange;
import embrack.core.music.TempoMap;
import embrack.core.name.TapeLabel;
import embrack.core.show.Form;
import embrack.core.show.Section;
import embrack.core.show.Stem;
import embrack.core.show.StemSort;
import embrack.core.text.Cursor;
import embrack.core.text.Fault;
import embrack.core.text.Problem;
import embrack.core.text.Prose;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Reads how a song goes, line by line, in the language of docs/formats.md: tempos and metres hold from where they
 * stand, sections follow one another, and words, sounds and changes inside a section stand below it.
 *
 * @param form what the lines say; empty when any cannot be read
 * @param problems sorted by line
 */
public record SongReading(Optional<Form> form, List<Stem> stems, List<Problem> problems) {

    private static final Pattern BARS = Pattern.compile("(\\d{1,3})\\s*bars?", Pattern.CASE_INSENSITIVE);
    private static final Pattern VAMP =
            Pattern.compile("vamp(?:\\s+(\\d{1,2})\\s*(?:times?|x)?)?", Pattern.CASE_INSENSITIVE);
    private static final Pattern GUIDE = Pattern.compile("\"([^\"]*)\"");
    private static final Pattern TEMPO = Pattern.compile(
            "(\\S+?)(?:\\s+(?:(gliding)|to\\s+(\\S+)\\s+over\\s+(\\d{1,3})\\s*bars?))?", Pattern.CASE_INSENSITIVE);
    private static final int MAX_LINES = 2_000;

    public SongReading {
        stems = List.copyOf(stems);
        problems = List.copyOf(problems);
    }

    /** Reads a text; what cannot be read is a problem at its line, and the next line is read. */
    public static SongReading of(String text) {
        var reader = new Reader();
        List<String> lines = text.lines().toList();
        if (lines.size() > MAX_LINES) {
            return new SongReading(
                    Optional.empty(),
                    List.of(),
                    List.of(new Problem(
                            Problem.Level.ERROR,
                            MAX_LINES,
                            1,
                            1,
                            "A song has at most %d lines.".formatted(MAX_LINES))));
        }
        for (int i = 0; i < lines.size(); i++) {
            reader.read(lines.get(i), i + 1);
        }
        return reader.reading(lines.size());
    }

    /** A change of metre or tempo, kept until all metres are known: the place of a beat depends on them. */
    private record Marked(int line, int bar, String beat, TempoSaid said) {}

    /** A change behind the end of its section, which only the last one may have: what a glide leads to. */
    private record Behind(int section, int bar, Problem problem) {}

    private record TempoSaid(Tempo tempo, boolean gliding, Optional<Tempo> to, int over) {}

    private static final class Reader {

        private final List<Section> sections = new ArrayList<>();
        private final List<MetreChange> metres = new ArrayList<>();
        private final List<Marked> tempos = new ArrayList<>();
        private final List<Stem> stems = new ArrayList<>();
        private final List<Problem> problems = new ArrayList<>();
        private final List<Behind> behind = new ArrayList<>();
        private int nextBar = 1;
        private int sectionStart = 1;

        void read(String line, int number) {
            try {
                Cursor cursor = Cursor.of(line.replace('\t', ' '));
                Prose.requireLine(line);
                if (cursor.isAtEnd()) {
                    return;
                }
                if (cursor.accept("tempo")) {
                    tempos.add(new Marked(number, nextBar, "1", tempo(cursor)));
                } else if (cursor.accept("metre") || cursor.accept("meter")) {
                    metres.add(new MetreChange(nextBar, said(cursor, Metre::parse)));
                } else if (cursor.accept("words:")) {
                    words(cursor);
                } else if (!sections.isEmpty() && cursor.accept("sound:")) {
                    sound(cursor);
                } else if (cursor.accept("at")) {
                    inside(cursor, number);
                } else if (cursor.accept("stem")) {
                    stem(cursor);
                } else {
                    section(cursor);
                }
            } catch (Fault fault) {
                problems.add(fault.inLine(number));
            }
        }

        private void section(Cursor cursor) {
            int column = cursor.column();
            int colon = cursor.find(':');
            if (colon < 0) {
                throw cursor.fault("Write a section as its name, a colon and its bars, such as: Verse 1: 16 bars.");
            }
            TapeLabel name =
                    fit(column, () -> TapeLabel.parse(cursor.until(colon).rest()));
            if (sections.stream().anyMatch(other -> other.name().sameAs(name))) {
                throw new Fault(column, name.text().length(), "Another section is called that; number them.");
            }
            int bars = 0;
            int passes = 1;
            boolean vamp = false;
            String guide = "";
            while (!cursor.isAtEnd()) {
                int at = cursor.column();
                int comma = cursor.find(',');
                String piece = (comma < 0 ? cursor.until(Integer.MAX_VALUE) : cursor.until(comma)).rest();
                Matcher barsSaid = BARS.matcher(piece);
                Matcher vampSaid = VAMP.matcher(piece);
                Matcher guideSaid = GUIDE.matcher(piece);
                if (barsSaid.matches()) {
                    bars = Integer.parseInt(barsSaid.group(1));
                } else if (vampSaid.matches()) {
                    vamp = true;
                    passes = vampSaid.group(1) == null ? 1 : Integer.parseInt(vampSaid.group(1));
                } else if (guideSaid.matches()) {
                    guide = guideSaid.group(1).strip();
                } else {
                    throw new Fault(
                            at,
                            piece.length(),
                            "Behind the name come its bars, \"vamp\" if it goes round, and what the guide "
                                    + "says in quotes.");
                }
            }
            Section section = made(column, name, bars, guide, passes, vamp);
            sections.add(section);
            sectionStart = nextBar;
            nextBar += section.bars();
        }

        private static Section made(int column, TapeLabel name, int bars, String guide, int passes, boolean vamp) {
            return fit(column, () -> new Section(name, bars, guide, passes, vamp, Optional.empty(), List.of()));
        }

        private void words(Cursor cursor) {
            if (sections.isEmpty()) {
                throw cursor.fault("Words stand below the section that they belong to.");
            }
            sections.set(sections.size() - 1, sections.getLast().withLine(cursor.rest()));
        }

        private void sound(Cursor cursor) {
            int column = cursor.column();
            TapeLabel sound = fit(column, () -> TapeLabel.parse(cursor.rest()));
            if (sections.getLast().sound().isPresent()) {
                throw cursor.fault("%s has its sound already. A section with two of them is two sections."
                        .formatted(sections.getLast().name()));
            }
            sections.set(sections.size() - 1, sections.getLast().withSound(sound));
        }

        private void inside(Cursor cursor, int number) {
            if (sections.isEmpty()) {
                throw cursor.fault("A change inside a section stands below it.");
            }
            int column = cursor.column();
            int colon = cursor.find(':');
            if (colon < 0) {
                throw cursor.fault("Write a change as: at 9: tempo 96, or: at 9 3: tempo 96.");
            }
            String[] place = cursor.until(colon).rest().strip().split("\\s*(?:\\||\\bbeat\\b|\\s)\\s*", 2);
            int bar = fit(column, () -> whole(place[0]));
            if (bar < 1 || bar > sections.getLast().bars()) {
                behind.add(new Behind(
                        sections.size() - 1,
                        bar,
                        new Fault(
                                        column,
                                        place[0].length(),
                                        "%s has bars 1 to %d."
                                                .formatted(
                                                        sections.getLast().name(),
                                                        sections.getLast().bars()))
                                .inLine(number)));
            }
            int there = Math.max(1, sectionStart + bar - 1);
            if (cursor.accept("tempo")) {
                tempos.add(new Marked(number, there, place.length > 1 ? place[1] : "1", tempo(cursor)));
            } else if (cursor.accept("metre") || cursor.accept("meter")) {
                if (place.length > 1) {
                    throw new Fault(column, 1, "A metre changes at the start of a bar.");
                }
                metres.add(new MetreChange(there, said(cursor, Metre::parse)));
            } else {
                throw cursor.fault("Inside a section, tempo and metre can change.");
            }
        }

        private void stem(Cursor cursor) {
            int column = cursor.column();
            int colon = cursor.find(':');
            if (colon < 0) {
                throw cursor.fault("Write a stem as: stem Drums: percussion, played by Drums.");
            }
            TapeLabel name =
                    fit(column, () -> TapeLabel.parse(cursor.until(colon).rest()));
            StemSort sort = Stream.of(StemSort.values())
                    .filter(s -> cursor.accept(s.words()))
                    .findFirst()
                    .orElseThrow(
                            () -> cursor.fault("A stem is one of tones, percussion, click, guide, pad, reference."));
            int level = cursor.column();
            double decibels = cursor.accept(", at") ? decibels(cursor) : 0;
            Optional<TapeLabel> player = Optional.empty();
            if (cursor.accept(", played by") || cursor.accept("played by")) {
                int at = cursor.column();
                player = Optional.of(fit(at, () -> TapeLabel.parse(cursor.rest())));
            } else if (!cursor.isAtEnd()) {
                throw cursor.fault("Behind the kind of a stem comes how loud it is and who plays it live: "
                        + "at -3 dB, played by Drums.");
            }
            Optional<TapeLabel> by = player;
            stems.add(fit(level, () -> new Stem(name, sort, by, decibels)));
        }

        /** How loud, with its unit: "-3 dB". */
        private static double decibels(Cursor cursor) {
            int column = cursor.column();
            String typed = cursor.token().replace('\u2212', '-');
            if (!typed.matches("[-+]?\\d{1,2}(\\.\\d)?") || !cursor.accept("db")) {
                cursor.backTo(column);
                throw cursor.fault("Write how loud it is in decibels: at -3 dB.");
            }
            return Double.parseDouble(typed);
        }

        private static TempoSaid tempo(Cursor cursor) {
            return said(cursor, text -> {
                Matcher matcher = TEMPO.matcher(text);
                if (!matcher.matches()) {
                    throw new IllegalArgumentException("Write a tempo such as 92, or: 92 to 76 over 8 bars.");
                }
                Optional<Tempo> to = Optional.ofNullable(matcher.group(3)).map(Tempo::parse);
                return new TempoSaid(
                        Tempo.parse(matcher.group(1)),
                        matcher.group(2) != null,
                        to,
                        to.isPresent() ? Integer.parseInt(matcher.group(4)) : 0);
            });
        }

        private static <T> T said(Cursor cursor, Function<String, T> maker) {
            int column = cursor.column();
            String rest = cursor.rest();
            return fit(column, () -> maker.apply(rest));
        }

        private static int whole(String text) {
            if (!text.strip().matches("\\d{1,4}")) {
                throw new IllegalArgumentException("Write the bar in digits, counted from the first of the section.");
            }
            return Integer.parseInt(text.strip());
        }

        private static <T> T fit(int column, Supplier<T> supplier) {
            try {
                return supplier.get();
            } catch (IllegalArgumentException e) {
                throw new Fault(column, 1, String.valueOf(e.getMessage()));
            }
        }

        SongReading reading(int lines) {
            try {
                return whole(lines);
            } catch (Fault fault) {
                return new SongReading(Optional.empty(), stems, List.of(fault.inLine(Math.max(1, lines))));
            }
        }

        private SongReading whole(int lines) {
            behind.stream()
                    .filter(one -> one.bar() < 1 || one.section() < sections.size() - 1)
                    .forEach(one -> problems.add(one.problem()));
            TempoMap bars = fit(1, () -> new TempoMap(metres, List.of()));
            List<TempoChange> changes = new ArrayList<>();
            for (Marked marked : tempos) {
                try {
                    Position at = fit(1, () -> bars.parse(marked.bar() + " " + marked.beat()));
                    TempoSaid said = marked.said();
                    changes.add(new TempoChange(
                            at, said.tempo(), said.gliding() || said.to().isPresent()));
                    said.to()
                            .ifPresent(to ->
                                    changes.add(new TempoChange(new Position(at.bar() + said.over(), at.tick()), to)));
                } catch (Fault fault) {
                    problems.add(fault.inLine(marked.line()));
                }
            }
            if (sections.isEmpty() && problems.isEmpty()) {
                problems.add(new Problem(
                        Problem.Level.ERROR,
                        Math.max(1, lines),
                        1,
                        1,
                        "Write at least one section, such as: Verse 1: 16 bars."));
            }
            problems.sort(null);
            Optional<Form> form = problems.isEmpty()
                    ? Optional.of(fit(1, () -> new Form(new TempoMap(metres, changes), sections)))
                    : Optional.empty();
            return new SongReading(form, stems, problems);
        }
    }
}
