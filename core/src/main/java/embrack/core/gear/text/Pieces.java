package embrack.core.gear.text;

import embrack.core.gear.BankChange;
import embrack.core.gear.FactoryRun;
import embrack.core.midi.MessageType;
import embrack.core.name.Slug;
import embrack.core.name.TapeLabel;
import embrack.core.text.Cursor;
import embrack.core.text.Fault;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** The pieces that lines of a box are made of: names, numbers, ranges, types of message, words to choose from. */
final class Pieces {

    private Pieces() {}

    /** A name with its id and the column where it stands. */
    record Named(String id, TapeLabel label, int column) {}

    /** A name, perhaps with an id of its own behind "as", up to the colon. */
    static Named named(Cursor cursor, String example) {
        int colon = cursor.find(':');
        if (colon < 0) {
            throw new Fault(cursor.column(), Math.max(1, cursor.rest().length()), "A colon is missing: " + example);
        }
        Cursor part = cursor.until(colon);
        int column = part.column();
        String[] pieces = part.rest().split(" as (?=[a-z0-9-]+$)");
        TapeLabel label = fit(column, () -> TapeLabel.parse(pieces[0].replace("\"", "")));
        return new Named(
                fit(column, () -> pieces.length > 1 ? Slug.checked("id", pieces[1]) : defaultId(label)), label, column);
    }

    /** The id of a port or setting of that name, where none is said: {@code in} for "MIDI IN". */
    static String defaultId(TapeLabel label) {
        return Slug.of(label.text()).replaceFirst("^midi-(?=.)", "");
    }

    /** Steps over the colon behind a word. */
    static void colon(Cursor cursor, String word) {
        if (!cursor.accept(":")) {
            throw cursor.fault("A colon is missing behind \"%s\".".formatted(word));
        }
    }

    /** All that is left behind a colon. */
    static String restBehindColon(Cursor cursor, String question) {
        if (!cursor.accept(":") || cursor.isAtEnd()) {
            throw cursor.fault(question);
        }
        String rest = cursor.rest().strip();
        cursor.until(Integer.MAX_VALUE);
        return rest;
    }

    /** A whole number, both ends included. */
    static int number(Cursor cursor, int min, int max) {
        String written = cursor.peek();
        if (!written.matches("-?\\d{1,6}") || Integer.parseInt(written) < min || Integer.parseInt(written) > max) {
            throw cursor.fault("A number from %d to %d is needed here.".formatted(min, max));
        }
        cursor.token();
        return Integer.parseInt(written);
    }

    /** A range such as 1..16, as its two ends. */
    static int[] range(Cursor cursor) {
        String written = cursor.peek();
        if (!written.matches("-?\\d{1,6}\\.\\.-?\\d{1,6}")) {
            throw cursor.fault("A range is needed here, such as 1..16, or words to choose from.");
        }
        String[] ends = written.split("\\.\\.");
        int[] range = {Integer.parseInt(ends[0]), Integer.parseInt(ends[1])};
        if (range[0] > range[1]) {
            throw cursor.fault("%s runs backwards; a range goes from low to high.".formatted(written));
        }
        cursor.token();
        return range;
    }

    /** The types of message behind "send", with commas between. */
    static SortedSet<MessageType> sends(Cursor cursor) {
        return sends(cursor, new ArrayList<>());
    }

    /**
     * The types of message behind "send", with commas between.
     *
     * @param fixed takes the numbers that stand behind a type, which are what is sent
     */
    static SortedSet<MessageType> sends(Cursor cursor, List<FactoryRun> fixed) {
        cursor.accept(",");
        if (!cursor.accept("send") && !cursor.accept("sends")) {
            throw cursor.fault("What do they send? Write such as \"send note, cc\".");
        }
        SortedSet<MessageType> types = new TreeSet<>();
        do {
            MessageType type = oneOf(
                    cursor,
                    MessageType.values(),
                    MessageType::shortName,
                    "What do they send? note, cc, pc, pitch bend, channel pressure, start, stop, clock ...");
            types.add(type);
            if (cursor.peek().matches("\\d.*")) {
                fixed.add(factoryRun(cursor, type));
            }
        } while (acceptMore(cursor));
        return types;
    }

    /**
     * What a factory chose, as it stands in a line: "cc 80..88, 102", "cc 64, 66 on 9, 10; pc 0 on 8".
     *
     * @param cursor before a type of message
     */
    static List<FactoryRun> factoryRuns(Cursor cursor) {
        List<FactoryRun> runs = new ArrayList<>();
        do {
            MessageType type = oneOf(
                    cursor,
                    new MessageType[] {MessageType.NOTE_ON, MessageType.CONTROL_CHANGE, MessageType.PROGRAM_CHANGE},
                    MessageType::shortName,
                    "note, cc or pc, then the numbers as sent, such as cc 80..88, 102");
            runs.add(factoryRun(cursor, type));
        } while (cursor.accept(";"));
        return runs;
    }

    /** The numbers behind a type of message, and on which switches or controls they are. */
    private static FactoryRun factoryRun(Cursor cursor, MessageType type) {
        int column = cursor.column();
        List<Integer> numbers = numbers(cursor);
        int before = cursor.column();
        if (cursor.accept("on") && cursor.peek().matches("\\d.*")) {
            List<Integer> on = numbers(cursor);
            return fit(column, () -> new FactoryRun(type, numbers, on));
        }
        cursor.backTo(before);
        return fit(column, () -> new FactoryRun(type, numbers));
    }

    /** Numbers and ranges with commas between, as far as they go. */
    private static List<Integer> numbers(Cursor cursor) {
        List<Integer> numbers = new ArrayList<>();
        do {
            String[] ends = cursor.peek().split("\\.\\.", 2);
            if (!Stream.of(ends).allMatch(end -> end.matches("\\d{1,3}"))) {
                throw cursor.fault("A number or a range is needed here, such as 80..88.");
            }
            cursor.token();
            IntStream.rangeClosed(Integer.parseInt(ends[0]), Integer.parseInt(ends[ends.length - 1]))
                    .forEach(numbers::add);
        } while (acceptMoreNumbers(cursor));
        return numbers;
    }

    /** Steps over a comma only if a number follows that counts nothing: not "2 messages each". */
    private static boolean acceptMoreNumbers(Cursor cursor) {
        int column = cursor.column();
        if (cursor.accept(",")) {
            int behind = cursor.column();
            boolean isNumber = cursor.token().matches("\\d{1,3}(\\.\\.\\d{1,3})?")
                    && !cursor.accept("message")
                    && !cursor.accept("messages");
            cursor.backTo(isNumber ? behind : column);
            return isNumber;
        }
        return false;
    }

    /** Numbers in as few words as can be: "80..88, 102". */
    static String numbers(List<Integer> numbers) {
        List<String> pieces = new ArrayList<>();
        for (int i = 0; i < numbers.size(); ) {
            int end = i + 1;
            while (end < numbers.size() && numbers.get(end) == numbers.get(i) + end - i) {
                end++;
            }
            pieces.add(end - i == 1 ? String.valueOf(numbers.get(i)) : numbers.get(i) + ".." + numbers.get(end - 1));
            i = end;
        }
        return String.join(", ", pieces);
    }

    /** Steps over a comma only if another type of message follows. */
    private static boolean acceptMore(Cursor cursor) {
        int column = cursor.column();
        if (cursor.accept(",")) {
            int behind = cursor.column();
            boolean type = Stream.of(MessageType.values())
                    .anyMatch(t -> cursor.accept(t.shortName().toLowerCase(Locale.ROOT)));
            cursor.backTo(type ? behind : column);
            return type;
        }
        return false;
    }

    /** One of several things by its words, the longest that fits. */
    static <E> E oneOf(Cursor cursor, E[] values, Function<E, String> words, String question) {
        return Stream.of(values)
                .sorted((a, b) -> words.apply(b).length() - words.apply(a).length())
                .filter(value -> cursor.accept(words.apply(value).toLowerCase(Locale.ROOT)))
                .findFirst()
                .orElseThrow(() -> cursor.fault(question));
    }

    static <T> T fit(Named named, Supplier<T> supplier) {
        return fit(named.column, supplier);
    }

    /** What the supplier gives; its refusal as an error at a column. */
    static <T> T fit(int column, Supplier<T> supplier) {
        try {
            return supplier.get();
        } catch (IllegalArgumentException e) {
            throw new Fault(
                    column,
                    1,
                    capital(e.getMessage()) + (String.valueOf(e.getMessage()).endsWith(".") ? "" : "."));
        }
    }

    static String capital(@Nullable String words) {
        String said = String.valueOf(words);
        return Character.toUpperCase(said.charAt(0)) + said.substring(1);
    }

    /** What a bank changes, in words. */
    static BankChange bankChange(Cursor cursor) {
        return oneOf(
                cursor,
                BankChange.values(),
                BankChange::words,
                "What does a bank change? \"what each switch sends\", \"the channel\""
                        + " or \"the numbers, which go on\".");
    }
}
