package embrack.core.show;

import embrack.core.gear.Sound;

/** What kind of sound is on a stem. */
public enum StemSort {
    TONES("tones", Sound.TRACKS),
    PERCUSSION("percussion", Sound.TRACKS),
    CLICK("click", Sound.CLICK),
    GUIDE("guide", Sound.GUIDE),
    PAD("pad", Sound.PADS),
    /** The whole song as a recording, for players to lean on; never in the house. */
    REFERENCE("reference", Sound.REFERENCE);

    private final String words;
    private final Sound sound;

    StemSort(String words, Sound sound) {
        this.words = words;
        this.sound = sound;
    }

    public String words() {
        return words;
    }

    /** The sound of the rig that it is part of. */
    public Sound sound() {
        return sound;
    }

    /** Whether it is transposed with the song; drums, click and speech are not. */
    public boolean isTransposed() {
        return this == TONES || this == PAD;
    }
}
