package embrack.paper.part;

import embrack.core.gear.Port;
import embrack.core.rig.Device;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.paper.drawing.Draft;
import embrack.paper.drawing.Layer;
import embrack.paper.type.Ruler;
import embrack.paper.type.Setting;
import java.util.List;

/** The wiring on paper, in tenths of a millimetre: only ports that are joined, boxes as wide as their words. */
final class OnPaper implements Draft {

    /** The size of names of boxes, points. */
    static final double NAME_POINTS = 8;

    /** The size of all else, points. */
    static final double POINTS = 7;

    /** Of what a layout counts in, so many are a millimetre. */
    static final double TENTHS = 10;

    @Override
    public int width(Rig rig, Device device, List<Port> ports) {
        double name = Ruler.BOLD.width(device.name().text(), NAME_POINTS);
        double left = ports.stream()
                .mapToDouble(port -> Ruler.PLAIN.width(port.name().text(), POINTS))
                .max()
                .orElse(0);
        boolean bothSides = ports.stream().map(Port::direction).distinct().count() > 1;
        double points = Math.max(name, bothSides ? 2 * left + 3 : left) + 6;
        return (int) Math.ceil(points / Setting.MM * TENTHS);
    }

    @Override
    public List<Port> ports(Rig rig, Layer layer, Device device) {
        return rig.model(device.id()).ports().stream()
                .filter(port -> rig.linksIn(new Socket(device.id(), port.id())).stream()
                        .anyMatch(link -> layer.shows(rig.kind(link))))
                .toList();
    }

    @Override
    public int head() {
        return 40;
    }

    @Override
    public int down() {
        return 12;
    }

    @Override
    public int step() {
        return 27;
    }

    @Override
    public int margin() {
        return 8;
    }

    @Override
    public int top() {
        return 48;
    }

    @Override
    public int under() {
        return 10;
    }

    @Override
    public int left() {
        return 122;
    }

    @Override
    public int right(Layer layer) {
        return 125;
    }

    @Override
    public int portsOfHost() {
        return 78;
    }

    @Override
    public double apart() {
        return 8;
    }

    @Override
    public double between() {
        return 42;
    }

    @Override
    public double lines() {
        return 7;
    }
}
