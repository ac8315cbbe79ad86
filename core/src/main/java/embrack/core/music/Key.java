package embrack.core.music;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/**
 * A key.
 *
 * @param letter A to G
 * @param accidental 1 sharp, -1 flat, 0 neither
 * @param minor whether it is a minor key
 */
public record Key(char letter, int accidental, boolean minor) {

    private static final Pattern FORM =
            Pattern.compile("([A-Ga-g])([#b\u266F\u266D]?)\\s*(m|min|minor)?(?:\\s*maj(?:or)?)?");
    private static final int[] NATURALS = {9, 11, 0, 2, 4, 5, 7};
    private static final int[] MAJOR = {0, 2, 4, 5, 7, 9, 11};
    private static final int[] NATURAL_MINOR = {0, 2, 3, 5, 7, 8, 10};
    private static final List<String> NAMES =
            List.of("C", "D\u266D", "D", "E\u266D", "E", "F", "F\u266F", "G", "A\u266D", "A", "B\u266D", "B");
    private static final int OCTAVE = 12;
    private static final int FIFTH = 7;

    public Key {
        if (letter < 'A' || letter > 'G' || Math.abs(accidental) > 1) {
            throw new IllegalArgumentException("A key is a letter from A to G, sharp, flat or neither.");
        }
    }

    /**
     * The key that a person typed: "D", "F#", "Bb", "C\u266Fm".
     *
     * @throws IllegalArgumentException with a sentence for the person when it is none
     */
    public static Key parse(String typed) {
        Matcher matcher = FORM.matcher(typed.strip());
        if (!matcher.matches()) {
            throw new IllegalArgumentException("Write a key such as D, F#, Bb or Am.");
        }
        int accidental =
                switch (matcher.group(2)) {
                    case "#", "\u266F" -> 1;
                    case "b", "\u266D" -> -1;
                    default -> 0;
                };
        return new Key(Character.toUpperCase(matcher.group(1).charAt(0)), accidental, matcher.group(3) != null);
    }

    /** Semitones above C, 0 to 11. */
    public int pitchClass() {
        return Math.floorMod(NATURALS[letter - 'A'] + accidental, OCTAVE);
    }

    /** Semitones to another key by the shorter way: one from -5 to 5, or both ways of six. */
    public List<Integer> semitonesTo(Key other) {
        int up = Math.floorMod(other.pitchClass() - pitchClass(), OCTAVE);
        return up == OCTAVE / 2 ? List.of(-up, up) : List.of(up < OCTAVE / 2 ? up : up - OCTAVE);
    }

    /**
     * By how much the frequency of every tone changes over so many semitones of equal temperament: 2 to the power of
     * n/12.
     */
    public static double ratio(int semitones) {
        return Math.pow(2, semitones / (double) OCTAVE);
    }

    /** Semitones in words: "\u22122", "+3", "0", "\u22126 or +6". */
    public static String words(List<Integer> semitones) {
        return String.join(
                " or ",
                semitones.stream()
                        .map(n -> n < 0 ? "\u2212" + -n : n > 0 ? "+" + n : "0")
                        .toList());
    }

    /** The tones of its scale, major or natural minor, as semitones above C. */
    public Set<Integer> scale() {
        Set<Integer> tones = new TreeSet<>();
        for (int step : minor ? NATURAL_MINOR : MAJOR) {
            tones.add((pitchClass() + step) % OCTAVE);
        }
        return tones;
    }

    /** Whether a drone of a key's root and fifth has both tones in this scale. */
    public boolean holdsDrone(Key drone) {
        return scale().containsAll(List.of(drone.pitchClass(), (drone.pitchClass() + FIFTH) % OCTAVE));
    }

    /**
     * The drones that lie under two keys, the best first: the next song's own, then the one before, then what both
     * scales hold. A drone in the played key is common practice, no source; the rest follows from the scales.
     */
    public static List<Key> dronesUnder(Key before, Key next) {
        List<Key> fit = new ArrayList<>();
        for (Key key : List.of(next.root(), before.root())) {
            if (before.holdsDrone(key) && next.holdsDrone(key) && !fit.contains(key)) {
                fit.add(key);
            }
        }
        IntStream.range(0, OCTAVE)
                .mapToObj(tone -> parse(NAMES.get(tone)))
                .filter(key -> before.holdsDrone(key)
                        && next.holdsDrone(key)
                        && fit.stream().noneMatch(k -> k.pitchClass() == key.pitchClass()))
                .forEach(fit::add);
        return fit;
    }

    /** The key so many semitones away, written as is usual. */
    public Key transposed(int semitones) {
        return semitones % OCTAVE == 0
                ? this
                : parse(NAMES.get(Math.floorMod(pitchClass() + semitones, OCTAVE)) + (minor ? "m" : ""));
    }

    /**
     * How far two keys are apart on the circle of fifths, 0 to 6: 0 for the same key and for a key and its relative, 1
     * for close neighbours, whose scales differ in one tone.
     */
    public int fifthsTo(Key other) {
        int apart = Math.floorMod(FIFTH * (relativeMajor() - other.relativeMajor()), OCTAVE);
        return Math.min(apart, OCTAVE - apart);
    }

    private int relativeMajor() {
        return Math.floorMod(pitchClass() + (minor ? 3 : 0), OCTAVE);
    }

    /** Whether both are built on the same tone. */
    public boolean hasRootOf(Key other) {
        return pitchClass() == other.pitchClass();
    }

    /** The tone it is built on, as a major key. */
    public Key root() {
        return new Key(letter, accidental, false);
    }

    /** As it is written: "D", "F\u266F", "B\u266Dm". */
    @Override
    public String toString() {
        return letter + (accidental > 0 ? "\u266F" : accidental < 0 ? "\u266D" : "") + (minor ? "m" : "");
    }
}
