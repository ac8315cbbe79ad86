package embrack.app.wiring;

import embrack.core.gear.Ear;
import embrack.core.gear.Port;
import embrack.core.gear.PortId;
import embrack.core.gear.Sound;
import embrack.core.rig.Device;
import embrack.core.rig.Feed;
import embrack.core.rig.Rig;
import java.util.List;
import java.util.stream.Stream;

/** Every device with sound outputs: what is on each and who hears it. */
record SoundPage(List<Player> players) {

    /** A device; {@code free} counts outputs that are not used. */
    record Player(String id, String name, String model, int free, List<Output> outputs) {}

    /** An output. */
    record Output(String key, String name, List<Tick> sounds, List<Tick> ears, String words, boolean isUsed) {}

    /** Something that is on it or not. */
    record Tick(String key, String words, boolean isOn) {}

    static SoundPage of(Rig rig) {
        return new SoundPage(rig.devices().stream()
                .filter(d -> !rig.model(d.id()).outputs().isEmpty())
                .map(d -> player(rig, d))
                .toList());
    }

    private static Player player(Rig rig, Device device) {
        List<Output> outputs = rig.model(device.id()).outputs().stream()
                .map(port -> output(device, port))
                .toList();
        return new Player(
                device.id().text(),
                device.name().text(),
                rig.model(device.id()).name().text(),
                (int) outputs.stream().filter(o -> !o.isUsed).count(),
                outputs);
    }

    private static Output output(Device device, Port port) {
        PortId id = port.id();
        Feed feed = device.feed(id);
        return new Output(
                id.text(),
                port.name().text(),
                Stream.of(Sound.values())
                        .map(s -> new Tick(s.name(), s.words(), feed.sounds().contains(s)))
                        .toList(),
                Stream.of(Ear.values())
                        .map(e -> new Tick(e.name(), e.words(), feed.to().contains(e)))
                        .toList(),
                feed.words(),
                feed.isUsed());
    }
}
