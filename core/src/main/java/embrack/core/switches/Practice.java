package embrack.core.switches;

import java.util.List;
import java.util.Locale;

/** A question on which practitioners disagree. The first answer is the default. */
public enum Practice {
    MUTES(
            "Mutes",
            "one switch opens, one closes",
            "one switch toggles",
            "A lost message cannot leave the state unknown."),
    GO("Go", "next and previous through the order", "one switch for each song or key", "Fewer switches."),
    NUMBERS(
            "Numbers",
            "computed by Embrack",
            "a ready map that the box brings",
            "Nothing clashes, and no switch does what nobody planned."),
    FADERS("Faders that stand elsewhere", "closing in", "at once", "No jump in a quiet pad."),
    LINKS(
            "Sounds on a computer",
            "through a layer of on-screen controls",
            "straight to each sound",
            "When a controller dies, a layer is linked anew in minutes."),
    CHANNELS(
            "Channels",
            "one for each receiver, from 2 upwards",
            "everything on 1",
            "What is on a channel of its own cannot be hit by accident."),
    MEMORIES(
            "Settings kept in each memory",
            "fill a template first, then write it into every memory",
            "set each memory as it is needed",
            "The settings are made once.");

    private final String question;
    private final List<String> answers;
    private final String reason;

    Practice(String question, String first, String second, String reason) {
        this.question = question;
        this.answers = List.of(first, second);
        this.reason = reason;
    }

    public String question() {
        return question;
    }

    /** Both answers, the default first. */
    public List<String> answers() {
        return answers;
    }

    /** Why the first answer is the default. */
    public String reason() {
        return reason;
    }

    /** The question in links and files. */
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }
}
