package embrack.core.gear;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** What can be done to a part of a box. */
public enum Verb {
    MUTE("mute", Aspect.MUTED) {
        @Override
        public int applyTo(int before) {
            return 1;
        }
    },
    OPEN("open", Aspect.MUTED) {
        @Override
        public int applyTo(int before) {
            return 0;
        }
    },
    TOGGLE_MUTE("toggle mute of", Aspect.MUTED) {
        @Override
        public int applyTo(int before) {
            return 1 - before;
        }
    };

    private final String words;
    private final Aspect aspect;

    Verb(String words, Aspect aspect) {
        this.words = words;
        this.aspect = aspect;
    }

    /**
     * The verb that {@link #key()} wrote.
     *
     * @throws IllegalArgumentException when it is none
     */
    public static Verb parse(String key) {
        return Stream.of(values()).filter(verb -> verb.key().equals(key)).findFirst()
                .orElseThrow(() -> new IllegalArgumentException("\"%s\" is none of the verbs %s"
                        .formatted(key, Words.list(Stream.of(values()).map(Verb::key).toList()))));
    }

    /** The verb in links and files: {@code toggle-mute}. */
    public String key() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** The verb as people say it, ready for the name of a part: "mute". */
    public String words() {
        return words;
    }

    /** What to mind before it is tried with sound on, where it can hurt. Common practice, no source. */
    public Optional<String> caution() {
        return this == MUTE ? Optional.empty() : Optional.of("Opening a mic near a monitor can howl, and a jump in level"
                + " hurts in in-ears. Pull the level down before the first try.");
    }

    /** What it changes. */
    public Aspect aspect() {
        return aspect;
    }

    /**
     * The value of the aspect afterwards.
     *
     * @param before its value before
     */
    public abstract int applyTo(int before);
}
