package embrack.core.chart;

import java.util.Comparator;

/** What a box can learn a message for: a verb on one of its parts, whatever the amount. */
public record LearnableId(Verb verb, PartId part) implements Comparable<LearnableId> {

    private static final Comparator<LearnableId> ORDER =
            Comparator.comparing(LearnableId::part).thenComparing(LearnableId::verb);

    public static LearnableId of(Action action) {
        return new LearnableId(action.verb(), action.part());
    }

    /**
     * The id that {@link #key()} wrote.
     *
     * @throws IllegalArgumentException when it is none
     */
    public static LearnableId parse(String key) {
        int colon = key.indexOf(':');
        if (colon < 0) {
            throw new IllegalArgumentException("what is learned is verb:part, was \"%s\"".formatted(key));
        }
        return new LearnableId(Verb.parse(key.substring(0, colon)), new PartId(key.substring(colon + 1)));
    }

    /** The id in one word for links and files: {@code play:tracks}. */
    public String key() {
        return verb.key() + ":" + part;
    }

    @Override
    public int compareTo(LearnableId other) {
        return ORDER.compare(this, other);
    }
}
