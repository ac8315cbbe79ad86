package embrack.core.rig;

/** Who hears an output. */
public enum Ear {
    HOUSE("house"),
    IN_EARS("in-ears");

    private final String words;

    Ear(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
