package embrack.core.gear.question;

import embrack.core.chart.Verb;
import embrack.core.gear.Connector;
import embrack.core.gear.ControlType;
import embrack.core.gear.Gesture;
import embrack.core.gear.Model;
import embrack.core.gear.Power;
import embrack.core.midi.MessageType;
import embrack.core.name.Words;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * What somebody wants to know before choosing a box: one or more questions, all of which a box must answer with yes.
 *
 * @param all at least one
 */
public record Questions(List<Question> all) {

    /** Questions to start from. */
    public static final List<String> EXAMPLES = List.of(
            "mute by control change",
            "at least 8 messages a press",
            "program table",
            "runs from USB",
            "tells a hold",
            "has Bluetooth");

    private static final Pattern PER_PRESS = Pattern.compile("(?:at least )?(\\d{1,3})(?: messages?)? (?:a|per) press");
    private static final Pattern SWITCHES = Pattern.compile("(?:has )?(?:at least )?(\\d{1,3}) switch(?:es)?");
    private static final Pattern BY = Pattern.compile("(.+?) by (.+)");
    private static final Map<String, MessageType> TYPES = Map.of(
            "control change",
            MessageType.CONTROL_CHANGE,
            "cc",
            MessageType.CONTROL_CHANGE,
            "note",
            MessageType.NOTE_ON,
            "program change",
            MessageType.PROGRAM_CHANGE,
            "pc",
            MessageType.PROGRAM_CHANGE);
    private static final Map<String, Power.Source> SOURCES = Map.of(
            "usb",
            Power.Source.USB,
            "usb power",
            Power.Source.USB,
            "batteries",
            Power.Source.BATTERY,
            "battery",
            Power.Source.BATTERY,
            "mains",
            Power.Source.MAINS,
            "a supply",
            Power.Source.SUPPLY);

    public Questions {
        all = List.copyOf(all);
        if (all.isEmpty()) {
            throw new IllegalArgumentException(
                    "Ask something, such as: %s.".formatted(Words.list(EXAMPLES.subList(0, 3))));
        }
    }

    /** What one model answers to all questions together; {@code itself} where no other box is needed for any of it. */
    public record Verdict(Model model, boolean can, boolean itself, String because) {}

    /**
     * The questions that a person typed, with commas or "and" between.
     *
     * @throws IllegalArgumentException with a sentence for the person when one is not understood
     */
    public static Questions parse(String typed) {
        return new Questions(Stream.of(typed.split("\\s*(?:,|;|\\band\\b)\\s*"))
                .map(String::strip)
                .filter(s -> !s.isEmpty())
                .map(Questions::one)
                .toList());
    }

    /**
     * Each model's answer, those that can first and among them those that do it themselves, else in the order given; of
     * those that cannot, what the first question says no to.
     */
    public List<Verdict> of(Collection<Model> models) {
        return models.stream()
                .map(model -> verdict(model, models))
                .sorted(Comparator.comparing((Verdict v) -> !v.can()).thenComparing(v -> !v.itself()))
                .toList();
    }

    private Verdict verdict(Model model, Collection<Model> known) {
        List<Answer> implementation =
                all.stream().map(question -> question.answer(model, known)).toList();
        Optional<Answer> no =
                implementation.stream().filter(answer -> !answer.can()).findFirst();
        return new Verdict(
                model,
                no.isEmpty(),
                implementation.stream().allMatch(Answer::itself),
                no.map(Answer::because)
                        .orElseGet(() -> String.join(
                                " ",
                                implementation.stream()
                                        .map(Answer::because)
                                        .distinct()
                                        .toList())));
    }

    private static Question one(String typed) {
        String text = typed.toLowerCase(Locale.ROOT)
                .replaceAll("\\s+", " ")
                .replaceFirst("^(?:can|it can|can it|which boxes|what can) ", "")
                .replaceFirst("[?.]+$", "");
        return Stream.of(
                        perPress(text),
                        switches(text),
                        table(text),
                        power(text),
                        sends(text),
                        tells(text),
                        has(text),
                        does(text))
                .flatMap(Optional::stream)
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(
                        "\"%s\" is not understood. Ask such as: %s.".formatted(typed, Words.list(EXAMPLES))));
    }

    private static Optional<Question> perPress(String text) {
        return number(PER_PRESS, text).map(Question.PerPress::new);
    }

    private static Optional<Question> switches(String text) {
        return number(SWITCHES, text).map(Question.Switches::new);
    }

    private static Optional<Question> table(String text) {
        return text.contains("program table") ? Optional.of(new Question.ProgramTable()) : Optional.empty();
    }

    private static Optional<Question> power(String text) {
        return text.startsWith("runs from ") || text.startsWith("run from ")
                ? Optional.ofNullable(SOURCES.get(text.substring(text.indexOf("from ") + 5)))
                        .map(Question.RunsFrom::new)
                : Optional.empty();
    }

    private static Optional<Question> sends(String text) {
        return text.startsWith("send")
                ? type(text.replaceFirst("^sends? ", "")).map(Question.Sends::new)
                : Optional.empty();
    }

    private static Optional<Question> tells(String text) {
        String gesture = text.replaceFirst("^(?:tells?|knows?|has) (?:a )?", "")
                .replaceFirst("es$|s$", "")
                .replace("long pres", "hold");
        return Stream.of(Gesture.values())
                .filter(g -> g.words().equals(gesture)
                        || (g.words() + "s").equals(gesture)
                        || g.words().startsWith(gesture + "s"))
                .findFirst()
                .map(Question.Tells::new);
    }

    private static Optional<Question> has(String text) {
        String thing = text.replaceFirst("^(?:has|have) (?:a |an )?", "");
        Optional<Question> control = Stream.of(ControlType.values())
                .filter(t -> Stream.of(t.words(), t.key(), t.plural()).anyMatch(thing::equals))
                .findFirst()
                .map(Question.Has::new);
        return control.or(() -> Stream.of(Connector.values())
                .filter(c ->
                        c.words().toLowerCase(Locale.ROOT).equals(thing.replaceFirst(" (?:port|socket|in|out)$", "")))
                .findFirst()
                .map(Question.Joins::new));
    }

    private static Optional<Question> does(String text) {
        Matcher by = BY.matcher(text);
        Optional<MessageType> type = by.matches() ? type(by.group(2)) : Optional.empty();
        String verb = by.matches() && type.isPresent() ? by.group(1) : text;
        return Stream.of(Verb.values())
                .filter(v -> v.phrase().equals(verb) || verb.startsWith(v.phrase() + " "))
                .max(Comparator.comparingInt(v -> v.phrase().length()))
                .map(v -> new Question.Does(v, type));
    }

    private static Optional<MessageType> type(String text) {
        return Optional.ofNullable(TYPES.get(text.replaceFirst("s$", "")));
    }

    private static Optional<Integer> number(Pattern pattern, String text) {
        Matcher matcher = pattern.matcher(text);
        return matcher.matches() ? Optional.of(Integer.parseInt(matcher.group(1))) : Optional.empty();
    }
}
