package embrack.core.chart;

import embrack.core.text.Cursor;
import embrack.core.text.Fault;
import embrack.core.text.Span;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiPredicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads actions as they are said: "mute Input 1..4", "level Main at 100". */
final class ActionReader {

    private static final Pattern AT = Pattern.compile("^(.*\\S)\\s+(?:at|to)\\s+(\\d{1,4})$", Pattern.CASE_INSENSITIVE);

    private ActionReader() {}

    /**
     * The actions that stand at the cursor.
     *
     * @param known whether the chart can do a verb to a part
     * @throws Fault when they cannot be read or the chart has no line for them
     */
    static List<Action> read(Cursor cursor, BiPredicate<Verb, PartId> known) {
        int start = cursor.column();
        String whole = cursor.rest();
        if (whole.isEmpty()) {
            throw new Fault(start, 1, "An action is missing here, such as \"mute Input 1\".");
        }
        List<Verb> verbs = Verb.LONGEST_FIRST.stream()
                .filter(verb -> {
                    boolean here = cursor.accept(verb.phrase());
                    cursor.backTo(start);
                    return here;
                })
                .toList();
        if (verbs.isEmpty()) {
            throw cursor.fault(ChartParser.unknownVerb(cursor.peek()));
        }
        Fault fault = null;
        for (Verb verb : verbs) {
            try {
                return read(cursor, verb, known);
            } catch (Fault e) {
                fault = fault == null ? e : fault;
                cursor.backTo(start);
            }
        }
        throw fault;
    }

    /** Actions with semicolons between them, up to the end. */
    static List<Action> list(Cursor cursor, BiPredicate<Verb, PartId> known) {
        List<Action> actions = new ArrayList<>();
        do {
            int semicolon = cursor.find(';');
            actions.addAll(read(cursor.until(semicolon < 0 ? Integer.MAX_VALUE : semicolon), known));
            if (semicolon < 0) {
                break;
            }
        } while (!cursor.isAtEnd());
        return actions;
    }

    private static List<Action> read(Cursor cursor, Verb verb, BiPredicate<Verb, PartId> known) {
        cursor.accept(verb.phrase());
        Optional<Integer> amount = Optional.empty();
        Cursor target = cursor;
        Matcher at = AT.matcher(cursor.rest());
        if (verb.takesAmount()) {
            int column = cursor.column();
            if (!at.matches() || Integer.parseInt(at.group(2)) > 127) {
                throw new Fault(
                        column, Math.max(1, cursor.rest().length()), "Say how much, 0 to 127: level Main at 100.");
            }
            amount = Optional.of(Integer.parseInt(at.group(2)));
            target = Cursor.of(" ".repeat(column - 1) + at.group(1));
        }
        Span<Part> names = NameReader.read(target);
        List<Action> actions = new ArrayList<>();
        for (Part part : names.each()) {
            if (!known.test(verb, part.id())) {
                throw names.fault("The chart has no line for \"%s %s\".".formatted(verb.phrase(), part.name()));
            }
            actions.add(new Action(verb, part.id(), amount));
        }
        return actions;
    }
}
