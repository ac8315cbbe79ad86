package embrack.core.gear.text;

import embrack.core.gear.Ability;
import embrack.core.gear.Condition;
import embrack.core.gear.Setting;
import embrack.core.name.TapeLabel;
import embrack.core.text.Cursor;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/** Reads lines about what a box does only while a setting is as it has to be. */
final class ConditionReader {

    private ConditionReader() {}

    /** The ability that a line begins with. */
    static Optional<Ability> ability(Cursor cursor) {
        return Stream.of(Ability.values())
                .sorted(Comparator.comparingInt(
                        (Ability ability) -> -ability.words().length()))
                .filter(ability -> cursor.accept(ability.words()))
                .findFirst();
    }

    /** What stands behind the ability: {@code only while Surface mode is external}. */
    static Condition read(Ability ability, Cursor cursor, List<Setting> settings) {
        if (!cursor.accept("only while")) {
            throw cursor.fault("Here stands on what it depends: %s only while Surface mode is external"
                    .formatted(ability.words()));
        }
        Setting setting = named(
                cursor,
                settings.toArray(Setting[]::new),
                s -> s.name().text(),
                "No line above is about a setting of that name.");
        if (!cursor.accept("is")) {
            throw cursor.fault("How does %s have to be? Write such as \"%1$s is %s\"."
                    .formatted(setting.name(), setting.shown(setting.max())));
        }
        int value = setting.choices().isEmpty()
                ? Pieces.number(cursor, setting.min(), setting.max())
                : setting.min()
                        + setting.choices()
                                .indexOf(named(
                                        cursor,
                                        setting.choices().toArray(TapeLabel[]::new),
                                        TapeLabel::text,
                                        "%s can be %s.".formatted(setting.name(), setting.range())));
        return new Condition(ability, setting.id(), value);
    }

    /** One of several things by its name, which may stand in quotes. */
    private static <E> E named(Cursor cursor, E[] values, Function<E, String> name, String question) {
        return Stream.of(values)
                .sorted(Comparator.comparingInt((E value) -> name.apply(value).length())
                        .reversed())
                .filter(value -> cursor.accept(name.apply(value).toLowerCase(Locale.ROOT))
                        || cursor.accept('"' + name.apply(value).toLowerCase(Locale.ROOT) + '"'))
                .findFirst()
                .orElseThrow(() -> cursor.fault(question));
    }
}
