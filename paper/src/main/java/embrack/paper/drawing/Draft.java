package embrack.paper.drawing;

import embrack.core.gear.Port;
import embrack.core.rig.Device;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import java.util.List;

/** The sizes that a layout is made in: for a screen in pixels, for paper in tenths of a millimetre. */
public interface Draft {

    /** For a screen: all boxes are equally wide, all ports are drawn. */
    Draft SCREEN = new Draft() {};

    /** How wide a box is. */
    default int width(Rig rig, Device device, List<Port> ports) {
        return 164;
    }

    /** The ports that are drawn. */
    default List<Port> ports(Rig rig, Layer layer, Device device) {
        return layer.ports(rig, device.id());
    }

    /** Room for the name of a box, above its ports. */
    default int head() {
        return 62;
    }

    /** From the end of the head to the first port. */
    default int down() {
        return 6;
    }

    /** From one port to the next. */
    default int step() {
        return 26;
    }

    /** Around everything. */
    default int margin() {
        return 18;
    }

    /** Above everything, for the names of the places. */
    default int top() {
        return 46;
    }

    /** Under the head of a computer, before what runs on it. */
    default int under() {
        return 22;
    }

    /** From the upper edge of a computer to its own ports, at the least. */
    default int portsOfHost() {
        return 0;
    }

    /** Room at the left of what runs on a computer, for its own ports. */
    default int left() {
        return 70;
    }

    /** The same at its right. */
    default int right(Layer layer) {
        return layer == Layer.SOUND ? 130 : left();
    }

    /** Between two boxes. */
    default double apart() {
        return 30;
    }

    /** Between two columns of boxes. */
    default double between() {
        return 26;
    }

    /** Between a line and a box beside it. */
    default double lines() {
        return 10;
    }

    /** Whether anything is joined to a port. */
    static boolean isUsed(Rig rig, Device device, Port port) {
        return !rig.linksIn(new Socket(device.id(), port.id())).isEmpty();
    }
}
