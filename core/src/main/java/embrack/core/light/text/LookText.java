package embrack.core.light.text;

import embrack.core.colour.Colour;
import embrack.core.light.Look;
import embrack.core.music.Tempo;
import embrack.core.name.TapeLabel;
import embrack.core.text.Fault;
import embrack.core.text.Problem;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A look as people write it, a line for each group or fixture: "bars: deep blue and amber 60 %", "keeper: dark",
 * "wash: white 100 %, flashes 2 a second". A line "fade: 2.5 s" or "fade: 4 beats at 96" says how long it takes to come
 * in.
 *
 * @param lines those that could be read
 * @param fadeMillis how long it takes to come in, ms; 0 where nothing is said
 * @param problems sorted by line
 */
public record LookText(List<Look.Line> lines, int fadeMillis, List<Problem> problems) {

    private static final Pattern FLASHES = Pattern.compile(
            "flash(?:es|ing)?\\s+(\\d{1,2}(?:\\.\\d{1,2})?)\\s*(?:times\\s+)?a second", Pattern.CASE_INSENSITIVE);
    private static final Pattern LEVEL = Pattern.compile("(?:(.*\\S)\\s+)?(\\d{1,3})\\s*%", Pattern.CASE_INSENSITIVE);

    private static final Pattern FADE = Pattern.compile(
            "fade:\\s*(\\d{1,3}(?:[.,]\\d{1,3})?)\\s*(?:(s|seconds?)|beats?\\s+at\\s+(\\d{1,3}(?:[.,]\\d{1,3})?))\\s*",
            Pattern.CASE_INSENSITIVE);

    public LookText {
        lines = List.copyOf(lines);
        problems = List.copyOf(problems);
    }

    /** Reads a text; what cannot be read is a problem at its line, and the next line is read. */
    public static LookText of(String text) {
        List<Look.Line> read = new ArrayList<>();
        List<Problem> problems = new ArrayList<>();
        int fade = 0;
        List<String> lines = text.lines().toList();
        for (int i = 0; i < lines.size(); i++) {
            try {
                Matcher coming = FADE.matcher(lines.get(i).strip());
                if (coming.matches()) {
                    fade = fit(1, lines.get(i).length(), () -> fade(coming));
                } else if (!lines.get(i).isBlank()) {
                    read.add(line(lines.get(i)));
                }
            } catch (Fault fault) {
                problems.add(fault.inLine(i + 1));
            }
        }
        return new LookText(read, fade, problems);
    }

    /** Milliseconds: seconds, or so many beats at a tempo, to the nearest. */
    private static int fade(Matcher coming) {
        double count = Double.parseDouble(coming.group(1).replace(',', '.'));
        double millis = coming.group(3) == null
                ? count * 1_000
                : count * Tempo.parse(coming.group(3)).microsPerQuarter() / 1_000;
        return (int) Math.round(millis);
    }

    private static Look.Line line(String text) {
        int colon = text.indexOf(':');
        if (colon < 0) {
            throw new Fault(1, text.length(), "Write who, a colon, a colour and how bright: bars: deep blue 60 %.");
        }
        TapeLabel who = fit(1, text.length(), () -> TapeLabel.parse(text.substring(0, colon)));
        List<Colour> colours = List.of();
        int percent = 100;
        Optional<Double> flashes = Optional.empty();
        for (String piece : text.substring(colon + 1).split(",")) {
            String said = piece.strip();
            int at = text.indexOf(said, colon) + 1;
            Matcher flash = FLASHES.matcher(said);
            Matcher level = LEVEL.matcher(said);
            if (flash.matches()) {
                flashes = Optional.of(Double.parseDouble(flash.group(1)));
            } else if (said.equalsIgnoreCase("dark") || said.equalsIgnoreCase("off")) {
                percent = 0;
            } else if (level.matches()) {
                percent = Integer.parseInt(level.group(2));
                String named = level.group(1);
                colours = named == null ? colours : colours(named, at);
            } else {
                colours = colours(said, at);
            }
        }
        List<Colour> all = colours;
        int bright = percent;
        Optional<Double> rate = flashes;
        return fit(1, text.length(), () -> new Look.Line(who, all, bright, rate));
    }

    private static List<Colour> colours(String said, int column) {
        return fit(
                column,
                said.length(),
                () -> Stream.of(said.split("(?i)\\s+and\\s+"))
                        .map(Colour::parse)
                        .toList());
    }

    private static <T> T fit(int column, int length, Supplier<T> supplier) {
        try {
            return supplier.get();
        } catch (IllegalArgumentException e) {
            throw new Fault(column, Math.max(1, length), String.valueOf(e.getMessage()));
        }
    }

    /** A look as it is written. */
    public static String of(Look look) {
        Stream<String> fade = look.fadeMillis() == 0
                ? Stream.empty()
                : Stream.of("fade: %s s".formatted(number(look.fadeMillis() / 1_000.0)));
        return Stream.concat(lines(look.lines()).stream(), fade).collect(Collectors.joining("\n"));
    }

    /** Lines as they are written. */
    public static List<String> lines(List<Look.Line> lines) {
        return lines.stream().map(LookText::words).toList();
    }

    private static String words(Look.Line line) {
        String what = line.isDark()
                ? "dark"
                : Stream.of(
                                String.join(
                                        " and ",
                                        line.colours().stream()
                                                .map(Colour::words)
                                                .toList()),
                                line.percent() + " %")
                        .filter(piece -> !piece.isEmpty())
                        .reduce((a, b) -> a + " " + b)
                        .orElseThrow();
        return line.who()
                + ": "
                + what
                + line.flashes()
                        .map(rate -> ", flashes %s a second".formatted(number(rate)))
                        .orElse("");
    }

    static String number(double value) {
        return value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value);
    }
}
