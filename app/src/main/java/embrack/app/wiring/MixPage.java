package embrack.app.wiring;

import embrack.core.gear.Passage;
import embrack.core.gear.Phantom;
import embrack.core.gear.Port;
import embrack.core.gear.SoundWay;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.sheet.ConsoleList;
import embrack.core.sound.SoundPaths;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * A console: what comes in, with its switches, and how much of each is in one of its outputs.
 *
 * @param id the console
 * @param out the output that is looked at
 * @param channels of another console, as typed; empty for this one
 * @param sums what to sum for that one
 * @param tooMany inputs that find no room there even so
 */
record MixPage(
        String id,
        String name,
        ConsoleList list,
        List<Out> outs,
        Out out,
        List<Level> levels,
        List<In> inputs,
        String channels,
        List<String> sums,
        int tooMany) {

    /** A place where sounds meet in it, or go out. */
    record Out(String key, String name, String to) {}

    /** How much of one thing is in it. */
    record Level(String from, String to, String name, String what, String level) {}

    /** The switches of an input. */
    record In(String port, String name, boolean gives48, boolean has48, boolean inverted) {}

    static MixPage of(SoundPaths paths, DeviceId console, String out, String channels) {
        Rig rig = paths.rig();
        Device device = rig.device(console);
        ConsoleList list = ConsoleList.of(paths, console);
        Map<Integer, ConsoleList.Input> byNumber = new TreeMap<>();
        list.inputs().forEach(input -> byNumber.put(input.number(), input));
        List<Out> outs = rig.model(console).ports().stream()
                .filter(port -> rig.model(console).sound().ways().stream()
                        .anyMatch(way -> way.to().port().equals(port.id())
                                && way.passage().send() != Passage.Send.FIXED))
                .map(port -> out(rig, console, port))
                .toList();
        Out chosen = outs.stream().filter(o -> o.key().equals(out)).findFirst().orElse(outs.getFirst());
        List<Port> ports = rig.model(console).inputs();
        int count = channels.matches("[1-9]\\d{0,2}") ? Integer.parseInt(channels) : 0;
        return new MixPage(
                console.text(),
                device.name().text(),
                list,
                outs,
                chosen,
                rig.model(console).sound().ways().stream()
                        .filter(way -> way.to().port().text().equals(chosen.key())
                                && way.passage().send() != Passage.Send.FIXED)
                        .map(way -> level(rig, device, way, byNumber, ports))
                        .toList(),
                list.inputs().stream()
                        .map(input -> in(device, ports.get(input.number() - 1)))
                        .toList(),
                channels,
                count == 0
                        ? List.of()
                        : list.sums(count).stream().map(ConsoleList.Sum::words).toList(),
                count == 0 ? 0 : list.tooMany(count));
    }

    private static Out out(Rig rig, DeviceId console, Port port) {
        return new Out(
                port.id().text(),
                port.name().text(),
                String.join(
                        ", ",
                        rig.linksIn(new Socket(console, port.id())).stream()
                                .map(link -> rig.name(link.to().device()).text())
                                .toList()));
    }

    private static Level level(
            Rig rig, Device device, SoundWay way, Map<Integer, ConsoleList.Input> byNumber, List<Port> ports) {
        int number = ports.stream().map(Port::id).toList().indexOf(way.from().port()) + 1;
        ConsoleList.Input input = byNumber.get(number);
        return new Level(
                way.from().key(),
                way.to().key(),
                rig.model(device.id())
                        .port(way.from().port())
                        .orElseThrow()
                        .name()
                        .text(),
                input == null ? "" : input.words(),
                device.sound().send(way).words());
    }

    private static In in(Device device, Port port) {
        return new In(
                port.id().text(),
                port.name().text(),
                port.signal().phantom() == Phantom.GIVES,
                device.sound().phantom().contains(port.id()),
                device.sound().inverted().contains(port.id()));
    }
}
