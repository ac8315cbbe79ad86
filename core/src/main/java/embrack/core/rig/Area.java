package embrack.core.rig;

import embrack.core.gear.Kind;

/** Where a box stands, which is also the case it travels in. */
public enum Area {
    FLOOR("Floor"),
    RACK("Rack"),
    DESK("Desk"),
    BOOTH("Booth"),
    CREW("Crew's own");

    private final String words;

    Area(String words) {
        this.words = words;
    }

    /** Where a box of a kind usually stands (common practice, no source). */
    static Area usualFor(Kind kind) {
        return switch (kind) {
            case FLOOR_BOARD, FADER_BOX, KEYBOARD, LOOPER, SOUND_SOURCE, SOUND_BOX, LISTENING -> FLOOR;
            case MIXER, SOUND_SWITCHER, INTERFACE, PLAYBACK_PAIR, SUPPLY -> RACK;
            case TRACK_PLAYER, INSTRUMENT_HOST, HOST -> DESK;
            case LIGHT_DESK, PICTURES -> BOOTH;
        };
    }

    /** The place as it is written above its lane. */
    public String words() {
        return words;
    }
}
