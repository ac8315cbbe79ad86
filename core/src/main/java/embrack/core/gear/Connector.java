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
    /** A socket for sound of whatever shape. */
    AUDIO("audio", false, false),
    XLR("XLR", false, false),
    /** A jack of three contacts that carries one sound, balanced. */
    JACK("balanced jack", false, false),
    /** A jack of two contacts. */
    MONO_JACK("mono jack", false, false),
    /** A jack of three contacts that carries two sounds. */
    STEREO_JACK("stereo jack", false, false),
    HEADPHONES("headphones", "headphone", false, false),
    PHONO("phono", false, false),
    MULTICORE("multicore", false, false),
    OPTICAL("optical", false, false),
    SOUND_NETWORK("sound network", false, false),
    /** What a program sends to a box that is plugged into its computer, or takes from it. */
    COMPUTER_SOUND("computer sound", false, false),
    /** No socket: a place inside a box where sounds meet. */
    BUS("bus", false, false),
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

    /** Whether sound passes it. */
    public boolean carriesSound() {
        return ordinal() >= AUDIO.ordinal() && ordinal() <= BUS.ordinal();
    }

    /** Whether two sounds share its one plug. */
    public boolean isStereo() {
        return this == STEREO_JACK || this == HEADPHONES;
    }

    /** Whether it is a plug of one sound, as a voltage. */
    public boolean isLine() {
        return this == AUDIO || this == XLR || this == JACK || this == MONO_JACK || this == PHONO;
    }

    /** Whether what it carries comes as two voltages of which hum on the way takes none. */
    public boolean isBalanced() {
        return this == XLR || this == JACK || this == MULTICORE;
    }

    /** Whether ground goes along with what it carries. */
    public boolean isAnalogue() {
        return isLine() || isStereo() || this == MULTICORE;
    }
}
