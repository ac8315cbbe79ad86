package embrack.core.chart;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;

/** What a part is to a show, beside its name: said by the chart, since a name can be anything. */
public enum Meaning {
    /** Goes round while it is on, until it is let go. */
    VAMP("vamp", "Does %s go round until it is let go?"),
    /** Takes all light away while it is on. */
    BLACKOUT("blackout", "Does %s take all light away?"),
    /** What the audience hears goes through it. */
    HOUSE("house sound", "Does what the audience hears go through %s?"),
    /** A section of the song that plays. */
    SECTION("section", "Is %s a section of the song that plays?"),
    /** A song of the player's list, by its place: the first that the line names is the first of the list. */
    SONG("song", "Is %s a song of the player's list?"),
    /** Holds a look of the lights. */
    SCENE("scene", "Does %s hold a look of the lights?"),
    /** Chooses other scenes for the same messages. */
    BANK("bank of scenes", "Does %s choose other scenes for the same messages?"),
    /** The level of a slot of light: the first that the line names is slot 1. */
    SLOT("slot of light", "Is %s the level of a slot of light?");

    private static final Set<Verb> TURNS = EnumSet.of(Verb.ON, Verb.OFF, Verb.TOGGLE);
    private static final Set<Verb> MUTES = EnumSet.of(Verb.MUTE, Verb.TOGGLE_MUTE);
    private static final Set<Verb> LEADS = EnumSet.of(Verb.JUMP, Verb.LOAD, Verb.GO);

    private final String words;
    private final String question;

    Meaning(String words, String question) {
        this.words = words;
        this.question = question;
    }

    /** What is asked where a part may be that. */
    String question(Part part) {
        return question.formatted(part.name());
    }

    /**
     * What a part may be by its English name and by what is done to it. Good enough for a question, and for files of a
     * time when charts could not say it; nothing else goes by it.
     */
    public static Optional<Meaning> suggestedBy(PartId part, Verb verb) {
        String name = part.text();
        if (name.matches("(.*-)?loop") && TURNS.contains(verb)) {
            return Optional.of(VAMP);
        }
        if (name.startsWith("blackout")) {
            return Optional.of(BLACKOUT);
        }
        if (name.equals("main") && MUTES.contains(verb)) {
            return Optional.of(HOUSE);
        }
        if (name.startsWith("section") && verb == Verb.JUMP) {
            return Optional.of(SECTION);
        }
        return name.matches("song-[1-9]\\d*") && LEADS.contains(verb) ? Optional.of(SONG) : Optional.empty();
    }

    /** As charts say it. */
    public String words() {
        return words;
    }
}
