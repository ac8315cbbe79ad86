package embrack.core.gear;

/** Shapes of socket, and ways of joining boxes without one. */
public enum Connector {
    FIVE_PIN("5-pin", true, true),
    TRS_A("TRS type A", true, true),
    TRS_B("TRS type B", true, true),
    USB_DEVICE("USB device", false, true),
    USB_HOST("USB host", false, true),
    BLUETOOTH("Bluetooth", false, true),
    NETWORK("network", false, true),
    WIFI("Wi-Fi", false, true),
    VIRTUAL("virtual", "app port", false, true),
    POWER("power", false, false),
    AUDIO("audio", false, false),
    DMX("DMX", false, false);

    private final String key;
    private final String words;
    private final boolean serial;
    private final boolean carriesMidi;

    Connector(String words, boolean serial, boolean carriesMidi) {
        this(words, words, serial, carriesMidi);
    }

    Connector(String key, String words, boolean serial, boolean carriesMidi) {
        this.key = key;
        this.words = words;
        this.serial = serial;
        this.carriesMidi = carriesMidi;
    }

    /** As the text of a box has it: "virtual". */
    public String key() {
        return key;
    }

    /** The name on a cable list: "5-pin". */
    public String words() {
        return words;
    }

    /** Whether messages pass it one way, at the speed of {@link embrack.core.midi.Wire}. */
    public boolean isSerial() {
        return serial;
    }

    /** Whether messages pass it at all. */
    public boolean carriesMidi() {
        return carriesMidi;
    }
}
