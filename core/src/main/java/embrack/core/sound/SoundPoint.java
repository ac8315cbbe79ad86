package embrack.core.sound;

import embrack.core.gear.SoundEnd;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Socket;
import java.util.Comparator;

/**
 * One channel of a socket of a device.
 *
 * @param channel counted from 1
 */
public record SoundPoint(Socket socket, int channel) implements Comparable<SoundPoint> {

    private static final Comparator<SoundPoint> ORDER =
            Comparator.comparing(SoundPoint::socket).thenComparing(SoundPoint::channel);

    static SoundPoint of(DeviceId device, SoundEnd end) {
        return new SoundPoint(new Socket(device, end.port()), end.channel());
    }

    public DeviceId device() {
        return socket.device();
    }

    SoundEnd end() {
        return new SoundEnd(socket.port(), channel);
    }

    @Override
    public int compareTo(SoundPoint other) {
        return ORDER.compare(this, other);
    }
}
