package embrack.app.browser;

import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import javax.sound.midi.MidiDevice;
import javax.sound.midi.MidiMessage;
import javax.sound.midi.Receiver;
import javax.sound.midi.Transmitter;
import javax.sound.midi.spi.MidiDeviceProvider;
import org.jspecify.annotations.Nullable;

/** A MIDI interface of the computer that tests run on, whose way out leads back to its way in. */
public final class LoopCable extends MidiDeviceProvider {

    /** All that went over it. */
    static final List<MidiMessage> SENT = new CopyOnWriteArrayList<>();

    private static final MidiDevice.Info INFO = new MidiDevice.Info("Loop cable", "made up", "leads back", "1") {};
    private static final Device DEVICE = new Device();

    @Override
    public MidiDevice.Info[] getDeviceInfo() {
        return new MidiDevice.Info[] {INFO};
    }

    @Override
    public MidiDevice getDevice(MidiDevice.Info info) {
        if (!INFO.equals(info)) {
            throw new IllegalArgumentException("no " + info);
        }
        return DEVICE;
    }

    private static final class Device implements MidiDevice {

        private final List<Receiver> ears = new CopyOnWriteArrayList<>();

        @Override
        public void open() {}

        @Override
        public void close() {
            ears.clear();
        }

        @Override
        public boolean isOpen() {
            return true;
        }

        @Override
        public long getMicrosecondPosition() {
            return -1;
        }

        @Override
        public int getMaxReceivers() {
            return -1;
        }

        @Override
        public int getMaxTransmitters() {
            return -1;
        }

        @Override
        public Receiver getReceiver() {
            return new Receiver() {
                @Override
                public void send(MidiMessage message, long timeStamp) {
                    SENT.add(message);
                    ears.forEach(ear -> ear.send(message, timeStamp));
                }

                @Override
                public void close() {}
            };
        }

        @Override
        public List<Receiver> getReceivers() {
            return List.of();
        }

        @Override
        public Transmitter getTransmitter() {
            return new Transmitter() {
                private @Nullable Receiver ear;

                @Override
                public void setReceiver(Receiver receiver) {
                    ear = receiver;
                    ears.add(receiver);
                }

                @Override
                public @Nullable Receiver getReceiver() {
                    return ear;
                }

                @Override
                public void close() {
                    ears.remove(ear);
                }
            };
        }

        @Override
        public List<Transmitter> getTransmitters() {
            return List.of();
        }

        @Override
        public Info getDeviceInfo() {
            return INFO;
        }
    }
}
