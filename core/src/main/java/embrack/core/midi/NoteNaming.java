package embrack.core.midi;

import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What makers call the notes. All agree on the number; note 60, "middle C", is C3 for some, C4 or C5 for others, so
 * that a name without its convention can be off by twelve or by twenty-four.
 *
 * <p>Source: MIDI 1.0 gives only the numbers and calls 60 middle C; the three names are common practice, no source.
 */
public enum NoteNaming {
    C3(3),
    C4(4),
    C5(5);

    /** Middle C on every box. */
    public static final int MIDDLE_C = 60;

    private static final List<String> NAMES = List.of("C", "C#", "D", "D#", "E", "F", "F#", "G", "G#", "A", "A#", "B");
    private static final Pattern NAME = Pattern.compile("([A-Ga-g])([#b\u266F\u266D]?)(-?\\d)");

    private final int octave;

    NoteNaming(int octave) {
        this.octave = octave;
    }

    /** The octave that middle C is in, 3 to 5. */
    public int octaveOfMiddleC() {
        return octave;
    }

    /** The convention in words: "middle C is C4". */
    public String words() {
        return "middle C is " + name();
    }

    /** The convention of an octave; refuses all but 3, 4 and 5. */
    public static NoteNaming ofMiddleC(int octave) {
        return switch (octave) {
            case 3 -> C3;
            case 4 -> C4;
            case 5 -> C5;
            default -> throw new IllegalArgumentException("middle C is C3, C4 or C5, was C" + octave);
        };
    }

    /**
     * The name of a note, with a sharp for a black key: 61 is "C#4" where middle C is C4.
     *
     * @param note 0 to 127
     */
    public String name(int note) {
        DataByte.checked("note", note);
        return NAMES.get(note % 12) + (note / 12 - MIDDLE_C / 12 + octave);
    }

    /** Whether a text has the form of a name, such as "C#3", "Bb-1" or "e4". */
    public static boolean isName(String text) {
        return NAME.matcher(text).matches();
    }

    /**
     * The number of a note by its name.
     *
     * @param name letter, # or b, octave: "C#3", "Bb-1"
     * @return 0 to 127
     * @throws IllegalArgumentException when it is no name, or the note is not among the 128
     */
    public int number(String name) {
        Matcher matcher = NAME.matcher(name);
        if (!matcher.matches()) {
            throw new IllegalArgumentException(
                    "a note is a letter A to G, perhaps # or b, and an octave, was \"%s\"".formatted(name));
        }
        int key = NAMES.indexOf(matcher.group(1).toUpperCase(Locale.ROOT))
                + switch (matcher.group(2)) {
                    case "#", "\u266F" -> 1;
                    case "b", "\u266D" -> -1;
                    default -> 0;
                };
        int note = MIDDLE_C + 12 * (Integer.parseInt(matcher.group(3)) - octave) + key;
        if (note < 0 || note > DataByte.MAX) {
            throw new IllegalArgumentException("%s is outside the 128 notes, %s to %s where %s"
                    .formatted(name, name(0), name(DataByte.MAX), words()));
        }
        return note;
    }

    /**
     * The pitch of a note in equal temperament, in hertz.
     *
     * <p>Source: ISO 16:1975, A above middle C is 440 Hz; that A is note 69. Each semitone is the twelfth root of 2.
     *
     * @param note 0 to 127
     */
    public static double hertz(int note) {
        return 440.0 * Math.pow(2, (DataByte.checked("note", note) - 69) / 12.0);
    }
}
