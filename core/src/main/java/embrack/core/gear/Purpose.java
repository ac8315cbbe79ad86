package embrack.core.gear;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What a setting is for, where Embrack has to know it. A setting of any name can have it ("is the receive channel");
 * one that is called so has it by its name.
 */
public enum Purpose {
    /** The channel a receiver listens to, 1 to 16. */
    RECEIVE_CHANNEL,
    /** The one channel that a board sends everything on, 1 to 16. */
    SEND_CHANNEL,
    /** Of a side of a wireless or network connection: 0 for the one that offers itself or invites, 1 for the other. */
    ROLE,
    /** Of a computer or tablet: whether the app or driver for wireless MIDI is there; 0 when it is missing. */
    WIRELESS_APP,
    /** How often a Bluetooth connection meets; the shown value is in ms. */
    CONNECTION_INTERVAL,
    /** Of an app that makes sound: samples in a buffer; the shown value begins with the number. */
    BUFFER,
    /** Of an app that makes sound: samples a second; the shown value is in kHz. */
    SAMPLE_RATE;

    /** In words, as the text of a box has it: "receive channel". */
    public String words() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** The id of a setting that is called so. */
    public SettingId id() {
        return new SettingId(name().toLowerCase(Locale.ROOT).replace('_', '-'));
    }

    /** What a setting of that id is for by its name, if for anything. */
    public static Optional<Purpose> named(SettingId id) {
        return Stream.of(values()).filter(purpose -> purpose.id().equals(id)).findFirst();
    }
}
