package embrack.core.chart;

import embrack.core.name.TapeLabel;
import embrack.core.text.Cursor;
import embrack.core.text.Fault;
import embrack.core.text.Span;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Reads the names of parts: one name, a name with a run of numbers, a name with a list in braces, a name in quotes. */
final class NameReader {

    private static final String TO = "\\s*(?:\\.\\.|[-\u2013\u2014]|\\bto\\b)\\s*";
    private static final Pattern ITEM = Pattern.compile("(\\d{1,4})(?:" + TO + "(\\d{1,4}))?");
    private static final Pattern NUMBERS =
            Pattern.compile("\\d{1,4}(?:" + TO + "\\d{1,4}|(?=\\s*,))(?:\\s*,\\s*\\d{1,4}(?:" + TO + "\\d{1,4})?)*");

    /** A comma with an even number of quotation marks behind it, so outside quotes. */
    private static final Pattern COMMA = Pattern.compile(",(?=(?:[^\"]*\"[^\"]*\")*[^\"]*$)");

    private final String text;
    private final int column;

    private NameReader(String text, int column) {
        this.text = text;
        this.column = column;
    }

    /** Reads all that is left at the cursor as names. */
    static Span<Part> read(Cursor cursor) {
        int column = cursor.column();
        String text = cursor.rest();
        if (text.isEmpty()) {
            throw new Fault(column, 1, "What it is done to is missing, such as \"Input 1..16\" or \"Main\".");
        }
        return new Span<>(new NameReader(text, column).parts(), column, text);
    }

    private List<Part> parts() {
        int brace = unquoted('{', 0);
        if (brace >= 0) {
            return listed(brace);
        }
        if (text.startsWith("\"")) {
            return List.of(Part.of(label(unquote(text), 0, text.length())));
        }
        Matcher matcher = NUMBERS.matcher(text);
        return matcher.find() ? numbered(matcher) : List.of(Part.of(label(text, 0, text.length())));
    }

    private List<Part> numbered(Matcher range) {
        if (NUMBERS.matcher(text.substring(range.end())).find()) {
            throw fault(range.end(), text.length() - range.end(), "A name has one run of numbers; this one has two.");
        }
        String before = text.substring(0, range.start());
        String after = text.substring(range.end());
        String family = (before.strip() + after).strip();
        List<Part> parts = new ArrayList<>();
        Matcher item = ITEM.matcher(range.group());
        while (item.find()) {
            int at = range.start() + item.start();
            int first = Integer.parseInt(item.group(1));
            int last = item.group(2) == null ? first : Integer.parseInt(item.group(2));
            if (last < first) {
                throw fault(
                        at,
                        item.group().length(),
                        "%s runs backwards; a range goes from low to high: %d..%d."
                                .formatted(item.group(), last, first));
            }
            for (int n = first; n <= last; n++) {
                require(parts.size() < ChartReading.MAX_ROWS, at, item.group().length());
                TapeLabel name = label(before + n + after, 0, text.length());
                parts.add(family.isEmpty() ? Part.of(name) : Part.of(name, family));
            }
        }
        return parts;
    }

    private List<Part> listed(int open) {
        int close = unquoted('}', open);
        if (close < 0) {
            throw fault(open, text.length() - open, "The list that begins here is not closed; } is missing.");
        }
        String before = unquote(text.substring(0, open).strip());
        String after = unquote(text.substring(close + 1).strip());
        List<Part> parts = new ArrayList<>();
        int at = open + 1;
        for (String item : COMMA.split(text.substring(open + 1, close), -1)) {
            String name = unquote(item.strip());
            if (name.isEmpty()) {
                throw fault(at, Math.max(1, item.length()), "A name is missing between two commas of this list.");
            }
            String whole = String.join(
                    " ",
                    Stream.of(before, name, after).filter(s -> !s.isEmpty()).toList());
            String family = (before + " " + after).strip();
            TapeLabel label = label(whole, at, item.length());
            parts.add(family.isEmpty() ? Part.of(label) : Part.of(label, family));
            at += item.length() + 1;
        }
        return parts;
    }

    private static String unquote(String name) {
        return name.length() >= 2 && name.startsWith("\"") && name.endsWith("\"")
                ? name.substring(1, name.length() - 1)
                : name;
    }

    private TapeLabel label(String name, int at, int length) {
        try {
            if (name.indexOf('"') >= 0) {
                throw new IllegalArgumentException("A quotation mark has no partner, or stands inside a name.");
            }
            return TapeLabel.parse(name);
        } catch (IllegalArgumentException e) {
            throw fault(at, length, String.valueOf(e.getMessage()));
        }
    }

    private void require(boolean fits, int at, int length) {
        if (!fits) {
            throw fault(
                    at,
                    length,
                    "This is more than the %d rows that a chart can have.".formatted(ChartReading.MAX_ROWS));
        }
    }

    /** Where a character stands outside quotes, at a place or behind it; negative when it does not. */
    private int unquoted(char wanted, int from) {
        boolean quoted = false;
        for (int i = 0; i < text.length(); i++) {
            quoted ^= text.charAt(i) == '"';
            if (i >= from && text.charAt(i) == wanted && !quoted) {
                return i;
            }
        }
        return -1;
    }

    private Fault fault(int at, int length, String words) {
        return new Fault(column + at, length, words);
    }
}
