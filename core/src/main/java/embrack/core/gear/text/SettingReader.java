package embrack.core.gear.text;

import embrack.core.gear.Purpose;
import embrack.core.gear.Scope;
import embrack.core.gear.Setting;
import embrack.core.gear.SettingId;
import embrack.core.name.TapeLabel;
import embrack.core.name.Words;
import embrack.core.text.Cursor;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Reads the lines about settings. */
final class SettingReader {

    private SettingReader() {}

    /** The setting that the rest of a line describes. */
    static Setting read(Cursor cursor) {
        Pieces.Named named = Pieces.named(cursor, "setting MIDI receive channel: 1..16, factory 1");
        boolean numbers =
                cursor.peek().matches("-?\\d+(?:\\.\\..*)?") && !cursor.rest().matches("-?\\d+ +\\p{L}.*");
        int[] range = numbers ? Pieces.range(cursor) : new int[2];
        List<TapeLabel> choices = numbers ? List.of() : choices(cursor);
        range[1] = numbers ? range[1] : choices.size() - 1;
        int factory = range[0];
        Scope scope = Scope.BOX;
        Optional<Purpose> purpose = Optional.empty();
        Optional<String> besides = Optional.empty();
        while (!cursor.isAtEnd()) {
            cursor.accept(",");
            cursor.accept(";");
            if (cursor.accept("factory")) {
                factory = numbers
                        ? Pieces.number(cursor, range[0], range[1])
                        : choices.indexOf(Pieces.oneOf(
                                cursor,
                                choices.toArray(TapeLabel[]::new),
                                TapeLabel::text,
                                "The factory's value is none of the words before."));
            } else if (cursor.accept("in each memory")) {
                scope = Scope.MEMORY;
            } else if (cursor.accept("not about messages")) {
                besides = Optional.of(Pieces.restBehindColon(
                        cursor,
                        "Why does it say nothing to messages? Write such as"
                                + " \"not about messages: it stretches sound\"."));
            } else if (cursor.accept("is the")) {
                purpose = Optional.of(Pieces.oneOf(
                        cursor,
                        Purpose.values(),
                        Purpose::words,
                        "What is it for? One of: %s."
                                .formatted(Words.list(Stream.of(Purpose.values())
                                        .map(Purpose::words)
                                        .toList()))));
            } else {
                throw cursor.fault("Here may stand \"factory\" with a value, \"in each memory\" or what it is for,"
                        + " such as \"is the receive channel\".");
            }
        }
        int value = factory;
        int low = range[0];
        int high = range[1];
        Scope held = scope;
        Optional<Purpose> said = purpose;
        Optional<String> why = besides;
        return Pieces.fit(
                named,
                () -> new Setting(
                        new SettingId(named.id()), named.label(), said, low, high, value, choices, held, why));
    }

    /** Words to choose from, with commas between, up to a semicolon or the end of the line. */
    private static List<TapeLabel> choices(Cursor cursor) {
        int semicolon = cursor.find(';');
        Cursor part = cursor.until(semicolon < 0 ? Integer.MAX_VALUE : semicolon);
        int column = part.column();
        return Stream.of(part.rest().split(","))
                .map(word -> Pieces.fit(column, () -> TapeLabel.parse(word)))
                .toList();
    }
}
