package embrack.core.rig;

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

    /** The place as it is written above its lane. */
    public String words() {
        return words;
    }
}
