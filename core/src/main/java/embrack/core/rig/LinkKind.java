package embrack.core.rig;

import embrack.core.gear.Connector;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** What joins two ports. */
public enum LinkKind {
    FIVE_PIN("5-pin", true, true),
    USB("USB", true, true),
    WIRELESS("wireless", false, true),
    NETWORK("network", true, true),
    INSIDE("inside a computer", false, true),
    POWER("power", true, false),
    SOUND("sound", true, false),
    /** Sound between programs and the boxes that are plugged into their computer. */
    SOUND_INSIDE("sound inside a computer", false, false);

    private final String words;
    private final boolean cable;
    private final boolean carriesMidi;

    LinkKind(String words, boolean cable, boolean carriesMidi) {
        this.words = words;
        this.cable = cable;
        this.carriesMidi = carriesMidi;
    }

    /** The kind as the legend of the picture calls it. */
    public String words() {
        return words;
    }

    /** The kind as a word in a class or a file: {@code five-pin}. */
    public String key() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** Whether it is a cable that can be carried, measured and tripped over. */
    public boolean isCable() {
        return cable;
    }

    /** Whether messages can pass it. */
    public boolean carriesMidi() {
        return carriesMidi;
    }

    /** Whether sound passes it. */
    public boolean carriesSound() {
        return this == SOUND || this == SOUND_INSIDE;
    }

    /** Whether messages pass it both ways. */
    public boolean isBothWays() {
        return this == USB || this == WIRELESS || this == NETWORK;
    }

    /** What joins two shapes of socket; empty when nothing does. */
    public static Optional<LinkKind> between(Connector one, Connector other) {
        Set<Connector> ends = EnumSet.of(one, other);
        if (one.isSerial() && other.isSerial()) {
            return Optional.of(FIVE_PIN);
        }
        if (ends.contains(Connector.VIRTUAL)) {
            return one.carriesMidi() && other.carriesMidi() ? Optional.of(INSIDE) : Optional.empty();
        }
        if (ends.equals(EnumSet.of(Connector.USB_DEVICE, Connector.USB_HOST))) {
            return Optional.of(USB);
        }
        if (one.isLine() && other.isLine() || one.isStereo() && other.isStereo()) {
            return Optional.of(SOUND);
        }
        if (ends.size() > 1) {
            return Optional.empty();
        }
        return switch (one) {
            case BLUETOOTH, WIFI -> Optional.of(WIRELESS);
            case NETWORK -> Optional.of(NETWORK);
            case POWER -> Optional.of(POWER);
            case MULTICORE, OPTICAL, SOUND_NETWORK -> Optional.of(SOUND);
            case COMPUTER_SOUND -> Optional.of(SOUND_INSIDE);
            default -> Optional.empty();
        };
    }
}
