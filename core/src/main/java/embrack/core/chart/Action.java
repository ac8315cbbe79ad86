package embrack.core.chart;

import embrack.core.midi.DataByte;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * Something a box can be made to do: a verb on one of its parts.
 *
 * @param amount how much, 0 to 127, for the verbs that take an amount and for no other
 */
public record Action(Verb verb, PartId part, Optional<Integer> amount) {

    private static final Pattern WHOLE_NUMBER = Pattern.compile("\\d{1,3}");

    public Action {
        if (verb.takesAmount() != amount.isPresent()) {
            throw new IllegalArgumentException(
                    verb.takesAmount()
                            ? "\"%s\" needs an amount, 0 to 127".formatted(verb.phrase())
                            : "\"%s\" takes no amount".formatted(verb.phrase()));
        }
        amount.ifPresent(value -> DataByte.checked("amount", value));
    }

    /** An action of a verb that takes no amount. */
    public Action(Verb verb, PartId part) {
        this(verb, part, Optional.empty());
    }

    /**
     * The action that {@link #key()} wrote.
     *
     * @throws IllegalArgumentException when it is none
     */
    public static Action parse(String key) {
        String[] pieces = key.split(":", -1);
        if (pieces.length < 2
                || pieces.length > 3
                || pieces.length == 3 && !WHOLE_NUMBER.matcher(pieces[2]).matches()) {
            throw new IllegalArgumentException("an action is verb:part or verb:part:amount, was \"%s\"".formatted(key));
        }
        return new Action(
                Verb.parse(pieces[0]),
                new PartId(pieces[1]),
                pieces.length == 3 ? Optional.of(Integer.parseInt(pieces[2])) : Optional.empty());
    }

    /** The action in one word for links and files: {@code mute:return-1}, {@code level:main:100}. */
    public String key() {
        return verb.key() + ":" + part + amount.map(value -> ":" + value).orElse("");
    }

    /** The action in words, with the name that its part goes by: "mute Return 1", "set level of Main to 100". */
    public String words(Object partName) {
        return verb.words() + " " + partName
                + amount.map(value -> " to " + value).orElse("");
    }

    /** What to mind whatever part it is about; see {@link Chart#caution}. */
    Optional<String> caution() {
        return switch (verb) {
            // Common practice, no source.
            case OPEN, TOGGLE_MUTE ->
                Optional.of("Opening a mic near a monitor can howl, and a jump in level"
                        + " hurts in in-ears. Pull the level down before the first try.");
            case LEVEL -> Optional.of("A jump in level hurts in in-ears. Start low on the first try.");
            // Three a second: WCAG 2.3.1 for screens; common practice for the stage.
            case RUN ->
                Optional.of("Light that flashes between 3 and 30 times a second can trigger seizures. Keep chases under"
                        + " 3 flashes a second without a risk assessment, and warn the audience.");
            default -> Optional.empty();
        };
    }
}
