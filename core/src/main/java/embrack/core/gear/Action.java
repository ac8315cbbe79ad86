package embrack.core.gear;

/** Something a box can be made to do: a verb on one of its parts. */
public record Action(Verb verb, PartId part) {

    /**
     * The action that {@link #key()} wrote.
     *
     * @throws IllegalArgumentException when it is none
     */
    public static Action parse(String key) {
        String[] halves = key.split(":", 2);
        if (halves.length < 2) {
            throw new IllegalArgumentException("an action is verb:part, was \"%s\"".formatted(key));
        }
        return new Action(Verb.parse(halves[0]), new PartId(halves[1]));
    }

    /** The action in one word for links and files: {@code mute:return-1}. */
    public String key() {
        return verb.key() + ":" + part;
    }
}
