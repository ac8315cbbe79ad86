package embrack.core.light.text;

import embrack.core.colour.Colour;
import embrack.core.light.Look;
import embrack.core.name.TapeLabel;
import embrack.core.text.Fault;
import embrack.core.text.Problem;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * A look as people write it, a line for each group or fixture: "bars: deep blue and amber 60 %", "keeper: dark",
 * "wash: white 100 %, flashes 2 a second".
 *
 * @param lines those that could be read
 * @param problems sorted by line
 */
public record LookText(List<Look.Line> lines, List<Problem> problems) {

    private static final Pattern FLASHES = Pattern.compile(
            "flash(?:es|ing)?\\s+(\\d{1,2}(?:\\.\\d{1,2})?)\\s*(?:times\\s+)?a second", Pattern.CASE_INSENSITIVE);
    private static final Pattern LEVEL = Pattern.compile("(?:(.*\\S)\\s+)?(\\d{1,3})\\s*%", Pattern.CASE_INSENSITIVE);

    public LookText {
        lines = List.copyOf(lines);
        problems = List.copyOf(problems);
    }

    /** Reads a text; what cannot be read is a problem at its line, and the next line is read. */
    public static LookText of(String text) {
        List<Look.Line> read = new ArrayList<>();
        List<Problem> problems = new ArrayList<>();
        List<String> lines = text.lines().toList();
        for (int i = 0; i < lines.size(); i++) {
            try {
                if (!lines.get(i).isBlank()) {
                    read.add(line(lines.get(i)));
                }
            } catch (Fault fault) {
                problems.add(fault.inLine(i + 1));
            }
        }
        return new LookText(read, problems);
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

    /** The lines as they are written. */
    public static String of(List<Look.Line> lines) {
        return String.join("\n", lines.stream().map(LookText::words).toList());
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
