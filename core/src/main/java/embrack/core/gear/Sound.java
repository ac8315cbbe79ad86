package embrack.core.gear;

import java.util.Locale;

/** What sounds: what a player sends out of an output, and what is played or sung into one. */
public enum Sound {
    TRACKS("tracks"),
    CLICK("click"),
    GUIDE("spoken guide"),
    PADS("pads"),
    HEARTBEAT("heartbeat"),
    REFERENCE("reference recording"),
    LOOPS("loops"),
    INSTRUMENT("instrument"),
    MICROPHONE("microphone");

    private final String words;

    Sound(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** As a word in a class or a file: {@code reference}. */
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** Whether the audience must never hear it. */
    public boolean isSecret() {
        return this == CLICK || this == GUIDE || this == HEARTBEAT || this == REFERENCE;
    }

    /**
     * Whether these ears may get it: click and guide are for those who play, a recording may keep them apart; a tone by
     * which boxes know that a player lives is for nobody.
     */
    public boolean isFor(Ear ear) {
        return this != HEARTBEAT && (!isSecret() || !ear.isOpen());
    }

    /** Whether it may be wide: a click, a voice that speaks and a tone are one sound on however many outputs. */
    public boolean hasSides() {
        return this != CLICK && this != GUIDE && this != HEARTBEAT && this != MICROPHONE;
    }

    /** Whether it comes out of a player, and not from somebody who plays or sings. */
    public boolean isPlayed() {
        return this != INSTRUMENT && this != MICROPHONE;
    }
}
