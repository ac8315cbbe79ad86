package embrack.core.midi;

import java.util.Optional;

/**
 * A command to a recorder or player over MIDI Machine Control: F0 7F device 06 command F7.
 *
 * <p>Source: MIDI Machine Control 1.0 (MMA/AMEI RP-013): command numbers, LOCATE [TARGET] 44 06 01 hr mn sc fr ff.
 */
public sealed interface MachineControl {

    /** Every device obeys. */
    int ALL_DEVICES = 0x7F;

    /** The commands that have no data. */
    enum Plain implements MachineControl {
        STOP(0x01),
        PLAY(0x02),
        DEFERRED_PLAY(0x03),
        FAST_FORWARD(0x04),
        REWIND(0x05),
        RECORD_STROBE(0x06),
        RECORD_EXIT(0x07),
        PAUSE(0x09);

        private final int number;

        Plain(int number) {
            this.number = number;
        }

        /** The command byte, 0x01 to 0x09. */
        public int number() {
            return number;
        }
    }

    /** Go to a moment. */
    record Locate(TimeCode to) implements MachineControl {}

    /**
     * The command as a message.
     *
     * @param device 0 to 126, or {@link #ALL_DEVICES}
     */
    default SystemExclusive to(int device) {
        DataByte.checked("device", device);
        return switch (this) {
            case Plain plain -> SystemExclusive.of(SystemExclusive.REAL_TIME, device, 0x06, plain.number());
            case Locate locate ->
                SystemExclusive.of(
                        SystemExclusive.REAL_TIME,
                        device,
                        0x06,
                        0x44,
                        0x06,
                        0x01,
                        locate.to.hourByte(),
                        locate.to.minutes(),
                        locate.to.seconds(),
                        locate.to.frames(),
                        0);
        };
    }

    /** The command that a message holds; empty when it holds none of these. */
    static Optional<MachineControl> in(SystemExclusive message) {
        if (message.at(0) != SystemExclusive.REAL_TIME || message.at(2) != 0x06) {
            return Optional.empty();
        }
        if (message.length() == 13 && message.at(3) == 0x44 && message.at(4) == 0x06 && message.at(5) == 0x01) {
            return TimeCode.of(message.at(6), message.at(7), message.at(8), message.at(9))
                    .map(Locate::new);
        }
        for (Plain plain : Plain.values()) {
            if (message.length() == 6 && plain.number == message.at(3)) {
                return Optional.of(plain);
            }
        }
        return Optional.empty();
    }
}
