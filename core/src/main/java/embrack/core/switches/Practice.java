package embrack.core.switches;

import java.util.List;
import java.util.Locale;

/** A question on which practitioners disagree. The first answer is the default. */
public enum Practice {
    MUTES(
            "Mutes",
            "A lost message cannot leave the state unknown.",
            "one switch opens, one closes",
            "one switch toggles"),
    GO("Go", "Fewer switches.", "next and previous through the order", "one switch for each song or key"),
    NUMBERS(
            "Numbers",
            "Nothing clashes, and no switch does what nobody planned.",
            "computed by Embrack",
            "a ready map that the box brings",
            "learned by pressing, one after another"),
    FADERS("Faders that stand elsewhere", "No jump in a quiet pad.", "closing in", "at once", "when both meet"),
    LINKS(
            "Sounds on a computer",
            "When a controller dies, a layer is linked anew in minutes.",
            "through a layer of on-screen controls",
            "straight to each sound"),
    CHANNELS(
            "Channels",
            "What is on a channel of its own cannot be hit by accident.",
            "one for each receiver, from 2 upwards",
            "everything on 1"),
    MEMORIES(
            "Settings kept in each memory",
            "The settings are made once.",
            "fill a template first, then write it into every memory",
            "set each memory as it is needed"),
    PROGRAMMING(
            "Programming a board",
            "What a preset sends already needs no typing.",
            "a preset of the box where it sends what is needed, else one's own",
            "always one's own"),
    ADAPTS(
            "Who adapts",
            "The least that has to be set in this rig.",
            "whatever is least work",
            "the receiver takes what the sender sends",
            "the sender obeys the receiver's chart"),
    LINK("Wires", "What is wired cannot be joined by strangers, and is there at once.", "wired", "wireless"),
    CUES(
            "When cues are sent",
            "They land on the downbeat, and move with the tempo.",
            "on beats, where the tempo is known",
            "captured while the song runs",
            "at times that are typed"),
    AUTOMATIC(
            "What a song sends on load, play and stop",
            "Each song says what it needs.",
            "each song its own",
            "the same for all songs"),
    AUTOMATION(
            "What happens in a song",
            "Feet are free for what depends on the room.",
            "tracks do what always comes at the same bar",
            "feet do everything"),
    PLAYER(
            "What plays the songs",
            "Nobody is seen at a computer.",
            "a tablet with a list of songs",
            "a timeline on a computer",
            "rows that are launched"),
    START("How a song starts", "One press less to get wrong.", "one press", "made ready, then go"),
    STOP(
            "How a song stops",
            "A cut is heard; the hard stop stays on the kill switch.",
            "it fades",
            "it stops hard",
            "its reverb rings on"),
    PADS(
            "Who plays pads",
            "Who plays hears when they are wanted.",
            "a foot, and the booth can stop them",
            "the booth",
            "a phone"),
    DESK(
            "Lights",
            "Either can call the same look when the other fails.",
            "scenes that feet and desk both call",
            "by hand at the desk",
            "by the computer alone"),
    REDUNDANCY(
            "When a computer fails",
            "A second computer is another rig to keep alike.",
            "the show goes on without it",
            "a spare, changed over by hand",
            "two in step, changed over by themselves");

    private final String question;
    private final List<String> answers;
    private final String reason;

    Practice(String question, String reason, String... answers) {
        this.question = question;
        this.answers = List.of(answers);
        this.reason = reason;
    }

    public String question() {
        return question;
    }

    /** Two answers or three, the default first. */
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
