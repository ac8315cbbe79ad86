package embrack.core.edit;

import embrack.core.gear.Setting;
import embrack.core.light.Look;
import embrack.core.light.LookId;
import embrack.core.name.Slug;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.text.Problem;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Reads what a person typed into a field of an edit. */
final class Typed {

    private Typed() {}

    static TapeLabel label(String field, String typed) {
        return Refused.at(field, () -> TapeLabel.parse(typed));
    }

    static int number(String field, String typed) {
        try {
            return Integer.parseInt(typed.strip().replace('\u2212', '-'));
        } catch (NumberFormatException e) {
            throw new Refused(field, typed.isBlank() ? Say.of("no.number-empty") : Say.of("no.number-in-digits"));
        }
    }

    /** A value of a setting, by the word that the box shows for it or by its number. */
    static int choice(String field, Setting setting, String typed) {
        for (int i = 0; i < setting.choices().size(); i++) {
            if (setting.choices().get(i).text().equalsIgnoreCase(typed.strip())) {
                return setting.min() + i;
            }
        }
        return number(field, typed);
    }

    static Device device(String field, Plan plan, DeviceId id) {
        return plan.rig().find(id).orElseThrow(() -> new Refused(field, Say.of("no.box-gone")));
    }

    static Look look(Plan plan, LookId id) {
        return plan.lights().look(id).orElseThrow(() -> new Refused("look", Say.of("no.look-gone")));
    }

    /** A text in which problems were found when it was read, each with its line. */
    static Refused text(String field, List<Problem> problems) {
        return Refused.text(
                field,
                problems.stream()
                        .map(problem -> "Line %d: %s".formatted(problem.line(), problem.words()))
                        .collect(Collectors.joining(" ")));
    }

    /** Some things, and one more at the end. */
    static <T> List<T> plus(List<T> some, T more) {
        return Stream.concat(some.stream(), Stream.of(more)).toList();
    }

    /** What was typed, read; empty when nothing was. */
    static <T> Optional<T> optional(String field, String typed, Function<String, T> maker) {
        return typed.isBlank() ? Optional.empty() : Optional.of(Refused.at(field, () -> maker.apply(typed.strip())));
    }

    /** An identifier made of a name that none has yet. */
    static <T> T freeId(TapeLabel name, Function<String, T> maker, Predicate<T> isFree) {
        return maker.apply(Slug.free(name.text(), id -> isFree.test(maker.apply(id))));
    }
}
