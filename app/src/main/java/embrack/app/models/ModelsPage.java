package embrack.app.models;

import embrack.core.gear.Facts;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.question.Questions;
import embrack.core.name.Words;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The models to choose from.
 *
 * @param find what was searched for
 * @param can what was asked
 * @param groups by kind; or, when something was asked, those that can and those that cannot
 * @param problem why the question is not understood; empty when it is, or when there is none
 */
record ModelsPage(
        String find, String can, List<Group> groups, String problem, List<String> examples, List<KindChoice> kinds) {

    /** Models under a heading. {@code tone} "exact" for those that can, "note" for those that cannot, else empty. */
    record Group(String heading, String tone, List<Card> cards) {}

    /** A model; {@code because} is its answer, empty when nothing was asked. */
    record Card(String id, String name, String kind, String facts, boolean isCrews, String because) {}

    /** A kind of gear to choose. */
    record KindChoice(String key, String words) {}

    static ModelsPage of(List<Model> crews, List<Model> all, String find, String can) {
        Set<Model> own = Set.copyOf(crews);
        List<Model> found = all.stream().filter(model -> matches(model, find)).toList();
        List<KindChoice> kinds = Stream.of(Kind.values())
                .map(kind -> new KindChoice(kind.key(), kind.words()))
                .toList();
        if (can.isBlank()) {
            return new ModelsPage(find, can, byKind(found, own), "", Questions.EXAMPLES, kinds);
        }
        try {
            return new ModelsPage(
                    find, can, byAnswer(Questions.parse(can).of(all), found, own), "", Questions.EXAMPLES, kinds);
        } catch (IllegalArgumentException e) {
            return new ModelsPage(
                    find, can, byKind(found, own), String.valueOf(e.getMessage()), Questions.EXAMPLES, kinds);
        }
    }

    private static List<Group> byKind(List<Model> models, Set<Model> own) {
        List<Card> crews =
                models.stream().filter(own::contains).map(m -> card(m, own, "")).toList();
        Stream<Group> first = crews.isEmpty() ? Stream.of() : Stream.of(new Group("Yours", "", crews));
        return Stream.concat(
                        first,
                        Stream.of(Kind.values())
                                .map(kind -> new Group(
                                        plural(kind),
                                        "",
                                        models.stream()
                                                .filter(m -> m.kind() == kind && !own.contains(m))
                                                .map(m -> card(m, own, ""))
                                                .toList()))
                                .filter(group -> !group.cards.isEmpty()))
                .toList();
    }

    private static List<Group> byAnswer(List<Questions.Verdict> verdicts, Collection<Model> found, Set<Model> own) {
        return Stream.of(true, false)
                .map(can -> new Group(
                        can ? "These can" : "These cannot",
                        can ? "exact" : "note",
                        verdicts.stream()
                                .filter(v -> v.can() == can && found.contains(v.model()))
                                .map(v -> card(v.model(), own, v.because()))
                                .toList()))
                .filter(group -> !group.cards.isEmpty())
                .toList();
    }

    private static Card card(Model model, Set<Model> own, String because) {
        return new Card(
                model.id().text(),
                model.name().text(),
                model.kind().words(),
                Facts.line(model),
                own.contains(model),
                because);
    }

    private static boolean matches(Model model, String find) {
        String text = (model.name() + " " + model.kind().words() + " " + Facts.line(model) + " "
                        + model.parts().stream().map(p -> p.family()).distinct().collect(Collectors.joining(" ")))
                .toLowerCase(Locale.ROOT);
        return Stream.of(find.toLowerCase(Locale.ROOT).split("\\s+")).allMatch(text::contains);
    }

    private static String plural(Kind kind) {
        String words = kind.words();
        String capital = Character.toUpperCase(words.charAt(0)) + words.substring(1);
        return switch (kind) {
            case KEYBOARD -> "Keyboards and pads";
            case PICTURES -> capital;
            case SOUND_SOURCE -> "Microphones and instruments";
            case SOUND_BOX -> "DIs, splits and looms";
            case LISTENING -> capital;
            case HOST -> "Computers and tablets";
            default -> Words.plural(capital);
        };
    }
}
