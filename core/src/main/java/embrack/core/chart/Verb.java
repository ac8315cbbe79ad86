package embrack.core.chart;

import embrack.core.name.Words;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;

/** What can be done to a part of a box. */
public enum Verb {
    MUTE("mute", Aspect.MUTED, Effect.set(1)),
    OPEN("open", Aspect.MUTED, Effect.set(0)),
    TOGGLE_MUTE("toggle mute of", Aspect.MUTED, Effect.between(0, 1)),
    ON("switch on", Aspect.SWITCHED, Effect.set(1)),
    OFF("switch off", Aspect.SWITCHED, Effect.set(0)),
    TOGGLE("toggle", Aspect.SWITCHED, Effect.between(0, 1)),
    LEVEL("set level of", Aspect.LEVEL, Effect.amount()),
    SELECT("select", Aspect.CHOSEN, Effect.set(1)),
    RECALL("recall", Aspect.CHOSEN, Effect.set(1)),
    LOAD("load", Aspect.CHOSEN, Effect.set(1)),
    GO("go to", Aspect.CHOSEN, Effect.set(1)),
    JUMP("jump to", Aspect.CHOSEN, Effect.set(1)),
    RUN("run", Aspect.CHOSEN, Effect.set(1)),
    USE("use", Aspect.CHOSEN, Effect.set(1)),
    PLAY("play", Aspect.TRANSPORT, Effect.set(1)),
    STOP("stop", Aspect.TRANSPORT, Effect.set(0)),
    PAUSE("pause", Aspect.TRANSPORT, Effect.set(2)),
    TOGGLE_PLAY("play or stop", Aspect.TRANSPORT, Effect.between(0, 1)),
    FADE_OUT("fade out", Aspect.TRANSPORT, Effect.set(0)),
    /** Records; a second time it plays what was recorded, a third time it records on top. */
    RECORD("record or play", Aspect.TRANSPORT, Effect.between(1, 3)),
    STOP_ALL("stop all", Aspect.TRANSPORT, Effect.set(0)),
    NEXT("next", Aspect.STEP, Effect.by(1)),
    PREVIOUS("previous", Aspect.STEP, Effect.by(-1)),
    PAGE_UP("page up in", Aspect.PAGE, Effect.by(1)),
    PAGE_DOWN("page down in", Aspect.PAGE, Effect.by(-1)),
    CLEAR("clear", Aspect.CLEARED, Effect.by(1)),
    UNDO("undo", Aspect.UNDONE, Effect.by(1)),
    REPEAT("repeat", Aspect.REPEATED, Effect.by(1)),
    TAP("tap", Aspect.TAPPED, Effect.by(1));

    /** Longest phrase first, so that "toggle mute" is not read as "toggle". */
    static final List<Verb> LONGEST_FIRST = Stream.of(values())
            .sorted(Comparator.comparingInt((Verb verb) -> -verb.phrase().length())
                    .thenComparing(verb -> verb))
            .toList();

    private static final Map<Verb, Verb> ALTERNATING = Map.of(
            MUTE,
            TOGGLE_MUTE,
            OPEN,
            TOGGLE_MUTE,
            ON,
            TOGGLE,
            OFF,
            TOGGLE,
            RUN,
            TOGGLE,
            PLAY,
            TOGGLE_PLAY,
            STOP,
            TOGGLE_PLAY);

    private final String phrase = name().toLowerCase(Locale.ROOT).replace('_', ' ');
    private final String words;
    private final Aspect aspect;
    private final Effect effect;

    Verb(String words, Aspect aspect, Effect effect) {
        this.words = words;
        this.aspect = aspect;
        this.effect = effect;
    }

    /**
     * The verb that {@link #key()} wrote.
     *
     * @throws IllegalArgumentException when it is none
     */
    public static Verb parse(String key) {
        return Stream.of(values())
                .filter(verb -> verb.key().equals(key))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("\"%s\" is none of the verbs %s"
                        .formatted(
                                key,
                                Words.list(Stream.of(values()).map(Verb::key).toList()))));
    }

    /** The verb in links and files: {@code toggle-mute}. */
    public String key() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** The verb in the text of a chart: {@code toggle mute}. */
    public String phrase() {
        return phrase;
    }

    /** The verb as people say it, ready for the name of a part: "mute". */
    public String words() {
        return words;
    }

    /** What it changes. */
    public Aspect aspect() {
        return aspect;
    }

    /** Whether it needs to be told how much, 0 to 127. */
    public boolean takesAmount() {
        return this == LEVEL;
    }

    /** Whether it ends what other parts of the same family were chosen for: of the scenes of a desk one holds. */
    public boolean isExclusive() {
        return aspect == Aspect.CHOSEN;
    }

    /** The verb for a message that does the opposite every second time; empty where that makes no sense. */
    public Optional<Verb> alternating() {
        return Optional.ofNullable(ALTERNATING.get(this));
    }

    /**
     * What a verb that turns something round is meant to leave, where that is known.
     *
     * @param off whether it is meant to be off, open or stopped afterwards, and not on, muted or playing
     */
    public Verb settled(boolean off) {
        return switch (this) {
            case TOGGLE_MUTE -> off ? OPEN : MUTE;
            case TOGGLE -> off ? OFF : ON;
            case TOGGLE_PLAY -> off ? STOP : PLAY;
            default -> this;
        };
    }

    /** Whether what it does depends on how things stand: it turns round. */
    public boolean turnsRound() {
        return settled(false) != this;
    }

    /** The verb that takes it back, where a chart that has one without the other is worth a question. */
    Optional<Verb> opposite() {
        return switch (this) {
            case MUTE -> Optional.of(OPEN);
            case OPEN -> Optional.of(MUTE);
            case ON -> Optional.of(OFF);
            case OFF -> Optional.of(ON);
            case PLAY -> Optional.of(STOP);
            default -> Optional.empty();
        };
    }

    /**
     * The value of the aspect afterwards.
     *
     * @param before its value before
     * @param amount how much, 0 to 127, for a verb that takes an amount; else ignored
     */
    public int applyTo(int before, int amount) {
        return Math.floorMod(effect.after(before, amount), aspect.size());
    }

    /**
     * What a verb leaves, however things stood; empty when that depends on how they stood.
     *
     * @param amount how much, 0 to 127, for a verb that takes an amount; else ignored
     */
    public OptionalInt leaves(int amount) {
        int value = applyTo(0, amount);
        for (int before = 1; before < Math.min(aspect.size(), 4); before++) {
            if (applyTo(before, amount) != value) {
                return OptionalInt.empty();
            }
        }
        return OptionalInt.of(value);
    }

    private interface Effect {

        int after(int before, int amount);

        static Effect set(int value) {
            return (before, amount) -> value;
        }

        static Effect between(int one, int other) {
            return (before, amount) -> before == other ? one : other;
        }

        static Effect by(int step) {
            return (before, amount) -> before + step;
        }

        static Effect amount() {
            return (before, amount) -> amount;
        }
    }
}
