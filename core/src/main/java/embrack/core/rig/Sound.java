package embrack.core.rig;

/** What a playback device sends out of an output. */
public enum Sound {
    TRACKS("tracks", false),
    CLICK("click", true),
    GUIDE("spoken guide", true),
    PADS("pads", false),
    HEARTBEAT("heartbeat", true),
    REFERENCE("reference recording", true);

    private final String words;
    private final boolean secret;

    Sound(String words, boolean secret) {
        this.words = words;
        this.secret = secret;
    }

    public String words() {
        return words;
    }

    /** Whether the audience must never hear it. */
    public boolean isSecret() {
        return secret;
    }
}
