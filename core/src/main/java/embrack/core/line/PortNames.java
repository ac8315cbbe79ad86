package embrack.core.line;

import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import java.util.Comparator;
import java.util.Locale;
import java.util.Optional;

/** Which box a port is meant for by what a computer calls it. */
public final class PortNames {

    private PortNames() {}

    /** The box whose name, or the name of whose model, stands in that of the port; the longest where several do. */
    public static Optional<DeviceId> box(Rig rig, String port) {
        String name = plain(port);
        return rig.devices().stream()
                .filter(device -> name.contains(plain(device.name().text())))
                .max(Comparator.comparingInt(device -> device.name().text().length()))
                .or(() -> only(rig, name))
                .map(Device::id);
    }

    /** The one box of a model that a port is called by; of two alike nobody knows which. */
    private static Optional<Device> only(Rig rig, String name) {
        var alike = rig.devices().stream()
                .filter(device ->
                        name.contains(plain(rig.model(device.id()).name().text())))
                .toList();
        return alike.size() == 1 ? Optional.of(alike.getFirst()) : Optional.empty();
    }

    private static String plain(String name) {
        return " "
                + name.toLowerCase(Locale.ROOT)
                        .replaceAll("[^\\p{L}\\p{N}]+", " ")
                        .strip() + " ";
    }
}
