package embrack.core.show;

/** What one part of a show is. */
public enum Item {
    PRE_SHOW("look and music before the show"),
    COUNTDOWN("countdown"),
    SONG("song"),
    TALK("talk"),
    ANNOUNCEMENT("announcement"),
    MESSAGE("message"),
    RESPONSE("response song"),
    PRAYER("prayer or reading"),
    PICTURE("picture or film"),
    BUMPER("bumper"),
    SET("set of another band"),
    BREAK("break"),
    WALK_OUT("walk-out");

    private final String words;

    Item(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** Whether it is over when the show starts. */
    public boolean isBeforeStart() {
        return this == PRE_SHOW || this == COUNTDOWN;
    }

    /** Whether somebody speaks, so that nobody knows how long it takes. */
    public boolean isSpoken() {
        return this == TALK || this == ANNOUNCEMENT || this == MESSAGE || this == PRAYER;
    }
}
