package embrack.core.rig;

import embrack.core.gear.PortId;

/** One socket of one device: the end of a cable. */
public record Socket(DeviceId device, PortId port) implements Comparable<Socket> {

    @Override
    public int compareTo(Socket other) {
        int byDevice = device.compareTo(other.device);
        return byDevice != 0 ? byDevice : port.compareTo(other.port);
    }
}
