package embrack.core.light;

/** What a fixture is, and how it is drawn. */
public enum Shape {
    PAR("par"),
    BAR("bar"),
    WASH("wash"),
    SPOT("spot"),
    STROBE("strobe"),
    BLINDER("blinder"),
    DIMMER("dimmer"),
    LANTERN("lantern"),
    HAZER("hazer"),
    RELAY("relay");

    private final String words;

    Shape(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
