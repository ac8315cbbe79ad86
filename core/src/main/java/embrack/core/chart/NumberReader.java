package embrack.core.chart;

import embrack.core.midi.NoteNaming;
import embrack.core.midi.ProgramCounting;
import embrack.core.text.Cursor;
import embrack.core.text.Fault;
import embrack.core.text.Span;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads numbers of messages: one, a range, or several of both with commas between; as shown, in the chart's
 * conventions.
 */
final class NumberReader {

    private static final Pattern ITEM = Pattern.compile("(?:(-?\\d{1,6})|([A-Ga-g][#b\u266F\u266D]?-?\\d))"
            + "(?:\\s*(?:\\.\\.|[-\u2013\u2014]|\\bto\\b)\\s*(?:(-?\\d{1,6})|([A-Ga-g][#b\u266F\u266D]?-?\\d)))?");

    /** What a number stands for. */
    enum Meaning {
        NOTE("note"),
        CC("CC"),
        PROGRAM("program"),
        SONG("song"),
        CUE("cue");

        private final String words;

        Meaning(String words) {
            this.words = words;
        }
    }

    private final Conventions conventions;
    private final Meaning meaning;

    NumberReader(Conventions conventions, Meaning meaning) {
        this.conventions = conventions;
        this.meaning = meaning;
    }

    /** Reads the numbers that stand at the cursor, as they are sent. */
    Span<Integer> read(Cursor cursor) {
        int start = cursor.column();
        String rest = cursor.rest();
        List<Integer> numbers = new ArrayList<>();
        Matcher matcher = ITEM.matcher(rest);
        int at = 0;
        while (true) {
            if (!matcher.region(at, rest.length()).lookingAt()) {
                throw new Fault(start + at, Math.max(1, firstWord(rest, at)), missing());
            }
            addItem(numbers, matcher, start);
            int end = matcher.end();
            int comma = skipBlanks(rest, end);
            at = comma < rest.length() && rest.charAt(comma) == ',' ? skipBlanks(rest, comma + 1) : rest.length();
            if (!matcher.region(at, rest.length()).lookingAt()) {
                cursor.step(end);
                return new Span<>(numbers, start, rest.substring(0, end));
            }
        }
    }

    private void addItem(List<Integer> numbers, Matcher item, int start) {
        int column = start + item.start();
        int length = item.end() - item.start();
        boolean range = item.group(3) != null || item.group(4) != null;
        if (meaning == Meaning.PROGRAM && range) {
            requireTableFits(item, column, length);
        }
        int first = wire(item, 1, start);
        int last = range ? wire(item, 3, start) : first;
        if (last < first) {
            throw new Fault(
                    column, length, "%s runs backwards; a range goes from low to high.".formatted(item.group()));
        }
        for (int n = first; n <= last; n++) {
            numbers.add(n);
        }
    }

    private void requireTableFits(Matcher item, int column, int length) {
        if (item.group(1) != null && item.group(3) != null) {
            int count = Integer.parseInt(item.group(3)) - Integer.parseInt(item.group(1)) + 1;
            if (count > 128) {
                throw new Fault(
                        column,
                        length,
                        "%s are %d programs; there are 128%s."
                                .formatted(
                                        item.group(),
                                        count,
                                        conventions
                                                .programs()
                                                .map(c ->
                                                        ", %d to %d on this box".formatted(c.first(), 127 + c.first()))
                                                .orElse("")));
            }
        }
    }

    private int wire(Matcher item, int group, int start) {
        int column = start + item.start(item.group(group) == null ? group + 1 : group);
        String name = item.group(group + 1);
        if (name != null) {
            return note(name, column);
        }
        String written = item.group(group);
        int number = Integer.parseInt(written);
        return meaning == Meaning.PROGRAM ? program(number, written, column) : checked(number, written, column);
    }

    private int checked(int number, String written, int column) {
        int most = meaning == Meaning.CUE ? 9_999 : 127;
        if (number < 0 || number > most) {
            throw new Fault(
                    column,
                    written.length(),
                    "%s numbers go from 0 to %d; %s is not one of them."
                            .formatted(capital(meaning.words), most, written));
        }
        return number;
    }

    private int program(int number, String written, int column) {
        ProgramCounting counting = conventions
                .programs()
                .orElseThrow(() -> new Fault(
                        column,
                        written.length(),
                        "Say above what this box calls its first program: write \"programs from 1\" "
                                + "or \"programs from 0\" in a line of its own."));
        int first = counting.first();
        if (number < first || number > first + 127) {
            throw new Fault(
                    column,
                    written.length(),
                    "This box counts its programs from %d to %d; %s is not one of them."
                            .formatted(first, first + 127, written));
        }
        return counting.wire(number);
    }

    private int note(String name, int column) {
        if (meaning != Meaning.NOTE) {
            throw new Fault(
                    column, name.length(), "%s is the name of a note; a number is needed here.".formatted(name));
        }
        NoteNaming naming = conventions
                .notes()
                .orElseThrow(() -> new Fault(
                        column,
                        name.length(),
                        "Say above how this manual names notes: write \"middle C is C3\", C4 or C5 "
                                + "in a line of its own; or type the number."));
        try {
            return naming.number(name);
        } catch (IllegalArgumentException e) {
            throw new Fault(column, name.length(), capital(String.valueOf(e.getMessage())) + ".");
        }
    }

    private String missing() {
        return switch (meaning) {
            case NOTE -> "A note is missing here: a number from 0 to 127, or a name such as C3.";
            default -> "A %s number is missing here.".formatted(meaning.words);
        };
    }

    private static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    private static int skipBlanks(String text, int from) {
        int at = from;
        while (at < text.length() && text.charAt(at) == ' ') {
            at++;
        }
        return at;
    }

    private static int firstWord(String text, int from) {
        int at = from;
        while (at < text.length() && text.charAt(at) != ' ') {
            at++;
        }
        return at - from;
    }
}
