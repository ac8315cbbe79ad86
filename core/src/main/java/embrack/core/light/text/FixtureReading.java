package embrack.core.light.text;

import embrack.core.colour.Chromaticity;
import embrack.core.colour.Colour;
import embrack.core.colour.Emitter;
import embrack.core.light.Body;
import embrack.core.light.FixedColour;
import embrack.core.light.FixtureType;
import embrack.core.light.FixtureTypeId;
import embrack.core.light.Flicker;
import embrack.core.light.Mode;
import embrack.core.light.Shape;
import embrack.core.light.Slot;
import embrack.core.light.Stretch;
import embrack.core.light.Use;
import embrack.core.name.TapeLabel;
import embrack.core.text.Cursor;
import embrack.core.text.Fault;
import embrack.core.text.Problem;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * A type of fixture as a text of a few lines from a page of its manual; the language is described in docs/formats.md.
 *
 * @param type what the lines say; empty when any cannot be read
 * @param problems sorted by line
 */
public record FixtureReading(Optional<FixtureType> type, List<Problem> problems) {

    private static final int MAX_LINES = 200;
    private static final String USES =
            String.join(", ", Stream.of(Use.values()).map(Use::words).toList());
    private static final Pattern CELLS = Pattern.compile("(\\d{1,3})\\s*x\\s*\\(([^)]*)\\)");
    private static final Pattern PLACE =
            Pattern.compile("x\\s*([\\d.]+)\\s*,?\\s*y\\s*([\\d.]+)(?:\\s*,\\s*light\\s*([\\d.]+))?");
    private static final Pattern VALUES = Pattern.compile("(\\d{1,3})(?:\\s*(?:\\.\\.|-|to)\\s*(\\d{1,3}))?\\s+(.+)");
    private static final Pattern RATE = Pattern.compile("([\\d.]+)(?:\\s*(?:to|\\.\\.)\\s*([\\d.]+))?\\s*a second");
    private static final Pattern POWER = Pattern.compile("(\\d{1,5})\\s*w(?:\\s*,\\s*inrush\\s*([\\d.]+)\\s*a)?");
    private static final Pattern WEIGHT = Pattern.compile("([\\d.]+)\\s*kg");
    private static final Pattern BEAM = Pattern.compile("(\\d{1,3})\\s*(?:degrees|\u00B0)");

    public FixtureReading {
        problems = List.copyOf(problems);
    }

    /** Reads a text; what cannot be read is a problem at its line, and the next line is read. */
    public static FixtureReading of(FixtureTypeId id, TapeLabel name, String text) {
        var reader = new Reader();
        List<String> lines = text.lines().limit(MAX_LINES).toList();
        for (int i = 0; i < lines.size(); i++) {
            reader.read(lines.get(i), i + 1);
        }
        return reader.reading(id, name, Math.max(1, lines.size()));
    }

    private static final class Reader {

        private final Map<Use, Emitter> emitters = new EnumMap<>(Use.class);
        private final List<Mode> modes = new ArrayList<>();
        private final List<FixedColour> colours = new ArrayList<>();
        private final List<Flicker> flickers = new ArrayList<>();
        private final List<Problem> problems = new ArrayList<>();
        private Shape shape = Shape.PAR;
        private Body body = Body.UNKNOWN;

        void read(String line, int number) {
            Cursor cursor = Cursor.of(line.replace('\t', ' '));
            try {
                if (!cursor.isAtEnd()) {
                    said(cursor);
                }
            } catch (Fault fault) {
                problems.add(fault.inLine(number));
            }
        }

        private void said(Cursor cursor) {
            if (cursor.accept("shape:")) {
                shape = oneOf(
                        cursor,
                        Shape.values(),
                        Shape::words,
                        "par, bar, wash, spot, strobe, blinder, dimmer, " + "lantern, hazer, relay");
            } else if (cursor.accept("emits:")) {
                do {
                    Use use = emitter(cursor);
                    emitters.put(use, use.usual().orElseThrow());
                } while (cursor.accept(","));
            } else if (cursor.accept("emits")) {
                Use use = emitter(cursor);
                emitters.put(use, own(cursor, use));
            } else if (cursor.accept("mode")) {
                modes.add(mode(cursor));
            } else if (cursor.accept("colours:")) {
                each(cursor, this::colour);
            } else if (cursor.accept("strobe:")) {
                each(cursor, this::flicker);
            } else if (cursor.accept("power:")) {
                Matcher m = matched(cursor, POWER, "power: 54 W, inrush 12 A");
                double inrush = m.group(2) == null ? 0 : decimal(cursor, m.group(2));
                body = fit(
                        cursor,
                        () -> new Body(Integer.parseInt(m.group(1)), inrush, body.kilograms(), body.beamDegrees()));
            } else if (cursor.accept("weight:")) {
                Matcher m = matched(cursor, WEIGHT, "weight: 2.1 kg");
                double weight = decimal(cursor, m.group(1));
                body = fit(cursor, () -> new Body(body.watts(), body.inrushAmperes(), weight, body.beamDegrees()));
            } else if (cursor.accept("beam:")) {
                Matcher m = matched(cursor, BEAM, "beam: 25 degrees");
                body = fit(
                        cursor,
                        () -> new Body(
                                body.watts(), body.inrushAmperes(), body.kilograms(), Integer.parseInt(m.group(1))));
            } else {
                throw cursor.fault("A line begins with shape, emits, mode, colours, strobe, power, weight or beam.");
            }
        }

        private static Use emitter(Cursor cursor) {
            Use use = oneOf(
                    cursor,
                    Use.values(),
                    Use::words,
                    "red, green, blue, amber, lime, white, warm white, " + "cold white, ultraviolet");
            if (!use.isEmitter()) {
                throw cursor.fault("%s gives no light of its own.".formatted(use.words()));
            }
            return use;
        }

        private static Emitter own(Cursor cursor, Use use) {
            if (!cursor.accept(":")) {
                throw cursor.fault("Behind the colour of an emitter comes its place: emits red: x 0.69 y 0.31.");
            }
            Matcher m = matched(cursor, PLACE, "x 0.69 y 0.31, light 0.25");
            double share = m.group(3) == null ? use.usual().orElseThrow().share() : decimal(cursor, m.group(3));
            return fit(
                    cursor,
                    () -> new Emitter(
                            new Chromaticity(decimal(cursor, m.group(1)), decimal(cursor, m.group(2))), share));
        }

        private static Mode mode(Cursor cursor) {
            int colon = cursor.find(':');
            if (colon < 0) {
                throw cursor.fault(
                        "Write a mode as its name, a colon and its slots: mode 4 slots: dimmer, red, green, blue.");
            }
            TapeLabel name =
                    fit(cursor, () -> TapeLabel.parse(cursor.until(colon).rest()));
            List<Slot> slots = new ArrayList<>();
            int cell = 0;
            while (!cursor.isAtEnd()) {
                Matcher group = CELLS.matcher(cursor.rest());
                if (group.lookingAt()) {
                    int count = Integer.parseInt(group.group(1));
                    List<Use> inside = Stream.of(group.group(2).split(","))
                            .map(word -> use(cursor, word.strip()))
                            .toList();
                    for (int i = 0; i < count; i++) {
                        cell++;
                        for (Use use : inside) {
                            slots.add(new Slot(use, cell));
                        }
                    }
                    cursor.step(group.end());
                } else {
                    slots.add(new Slot(oneOf(cursor, Use.values(), Use::words, USES)));
                }
                if (!cursor.isAtEnd() && !cursor.accept(",")) {
                    throw cursor.fault("Between two slots stands a comma.");
                }
            }
            return fit(cursor, () -> new Mode(name, slots));
        }

        private static Use use(Cursor cursor, String word) {
            return Stream.of(Use.values())
                    .filter(use -> use.words().equalsIgnoreCase(word))
                    .findFirst()
                    .orElseThrow(() -> cursor.fault("%s is no slot. A slot is one of %s.".formatted(word, USES)));
        }

        private void colour(Cursor cursor, Stretch values, String said) {
            Optional<Colour> colour = said.equalsIgnoreCase("none")
                    ? Optional.empty()
                    : Optional.of(fit(cursor, () -> Colour.parse(said)));
            colours.add(new FixedColour(values, colour));
        }

        private void flicker(Cursor cursor, Stretch values, String said) {
            if (said.equalsIgnoreCase("steady")) {
                flickers.add(new Flicker(values, 0, 0));
                return;
            }
            Matcher rate = RATE.matcher(said);
            if (!rate.matches()) {
                throw cursor.fault("Write how often it flashes: 10..255 1 to 20 a second, or 0..9 steady.");
            }
            double slowest = decimal(cursor, rate.group(1));
            double fastest = rate.group(2) == null ? slowest : decimal(cursor, rate.group(2));
            flickers.add(fit(cursor, () -> new Flicker(values, slowest, fastest)));
        }

        /** What takes a piece of a line: values, and what they mean. */
        private interface Piece {
            void take(Cursor cursor, Stretch values, String said);
        }

        private static void each(Cursor cursor, Piece piece) {
            do {
                int comma = cursor.find(',');
                Cursor one = cursor.until(comma < 0 ? Integer.MAX_VALUE : comma);
                Matcher m = matched(one, VALUES, "0..9 none, 10..29 red");
                int from = Integer.parseInt(m.group(1));
                int to = m.group(2) == null ? from : Integer.parseInt(m.group(2));
                piece.take(
                        one, fit(one, () -> new Stretch(from, to)), m.group(3).strip());
            } while (!cursor.isAtEnd());
        }

        private static Matcher matched(Cursor cursor, Pattern pattern, String example) {
            Matcher matcher =
                    Pattern.compile(pattern.pattern(), Pattern.CASE_INSENSITIVE).matcher(cursor.rest());
            if (!matcher.matches()) {
                throw cursor.fault("Write it like this: " + example + ".");
            }
            return matcher;
        }

        private static double decimal(Cursor cursor, String digits) {
            try {
                return Double.parseDouble(digits);
            } catch (NumberFormatException e) {
                throw cursor.fault("%s is no number.".formatted(digits));
            }
        }

        private static <E> E oneOf(Cursor cursor, E[] values, Function<E, String> words, String known) {
            return Stream.of(values)
                    .sorted((a, b) -> words.apply(b).length() - words.apply(a).length())
                    .filter(value -> cursor.accept(words.apply(value)))
                    .findFirst()
                    .orElseThrow(() -> cursor.fault("Here stands one of %s.".formatted(known)));
        }

        private static <T> T fit(Cursor cursor, Supplier<T> supplier) {
            try {
                return supplier.get();
            } catch (IllegalArgumentException e) {
                throw cursor.fault(String.valueOf(e.getMessage()));
            }
        }

        FixtureReading reading(FixtureTypeId id, TapeLabel name, int lines) {
            Optional<FixtureType> type = Optional.empty();
            if (problems.isEmpty()) {
                try {
                    type = Optional.of(new FixtureType(id, name, shape, emitters, modes, colours, flickers, body));
                } catch (IllegalArgumentException e) {
                    problems.add(new Problem(Problem.Level.ERROR, lines, 1, 1, String.valueOf(e.getMessage())));
                }
            }
            problems.sort(null);
            return new FixtureReading(type, problems);
        }
    }
}
