package embrack.app.wiring;

import embrack.core.gear.Port;
import embrack.core.gear.SettingId;
import embrack.core.rig.Cable;
import embrack.core.rig.Device;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.eclipse.elk.alg.layered.options.LayeredMetaDataProvider;
import org.eclipse.elk.alg.layered.options.LayeredOptions;
import org.eclipse.elk.core.RecursiveGraphLayoutEngine;
import org.eclipse.elk.core.data.LayoutMetaDataService;
import org.eclipse.elk.core.math.ElkPadding;
import org.eclipse.elk.core.options.CoreOptions;
import org.eclipse.elk.core.options.Direction;
import org.eclipse.elk.core.options.EdgeRouting;
import org.eclipse.elk.core.options.PortConstraints;
import org.eclipse.elk.core.options.PortSide;
import org.eclipse.elk.core.util.BasicProgressMonitor;
import org.eclipse.elk.graph.ElkBendPoint;
import org.eclipse.elk.graph.ElkEdge;
import org.eclipse.elk.graph.ElkEdgeSection;
import org.eclipse.elk.graph.ElkNode;
import org.eclipse.elk.graph.ElkPort;
import org.eclipse.elk.graph.util.ElkGraphUtil;

/**
 * The rig as boxes and cables, laid out by the Eclipse Layout Kernel: senders left, receivers right, no line through a
 * box. All lengths in pixels.
 */
record WiringPicture(int width, int height, List<Box> boxes, List<Line> lines) {

    private static final int BOX_WIDTH = 180;
    private static final int HEAD = 62;
    private static final int PORT_STEP = 26;
    private static final int PORT_DOWN = 6;
    private static final int LONGEST_NAME = 20;

    static {
        LayoutMetaDataService.getInstance().registerLayoutMetaDataProviders(new LayeredMetaDataProvider());
    }

    /** A device; {@code tape} is its name, cut to what fits; {@code tapeWidth} what the name needs. */
    record Box(String id, String name, String tape, int tapeWidth, String facts, int x, int y, int width, int height, List<Plug> plugs) {
    }

    /** A socket at the edge of its box; {@code x} and {@code y} are the middle, counted from the box. */
    record Plug(String key, String name, boolean sends, boolean taken, boolean chosen, int x, int y) {
    }

    /** A cable as an SVG path. */
    record Line(String words, String path) {
    }

    static WiringPicture of(Rig rig, List<Socket> chosen) {
        return new Layout(rig).picture(chosen);
    }

    /** A socket in a link: {@code vocal-mixer.in}. */
    static String key(Socket socket) {
        return socket.device() + "." + socket.port();
    }

    private static final class Layout {

        private final Rig rig;
        private final ElkNode root = ElkGraphUtil.createGraph();
        private final Map<Device, ElkNode> nodes = new HashMap<>();
        private final Map<Socket, ElkPort> ports = new HashMap<>();
        private final Map<Cable, ElkEdge> edges = new HashMap<>();

        Layout(Rig rig) {
            this.rig = rig;
            root.setProperty(CoreOptions.ALGORITHM, LayeredOptions.ALGORITHM_ID);
            root.setProperty(CoreOptions.DIRECTION, Direction.RIGHT);
            root.setProperty(CoreOptions.EDGE_ROUTING, EdgeRouting.ORTHOGONAL);
            root.setProperty(CoreOptions.PADDING, new ElkPadding(18));
            root.setProperty(CoreOptions.SPACING_NODE_NODE, 36.0);
            root.setProperty(CoreOptions.SPACING_COMPONENT_COMPONENT, 44.0);
            root.setProperty(LayeredOptions.SPACING_NODE_NODE_BETWEEN_LAYERS, 52.0);
            rig.devices().forEach(this::addNode);
            rig.cables().forEach(cable -> edges.put(cable,
                    ElkGraphUtil.createSimpleEdge(ports.get(cable.from()), ports.get(cable.to()))));
            new RecursiveGraphLayoutEngine().layout(root, new BasicProgressMonitor());
        }

        private void addNode(Device device) {
            ElkNode node = ElkGraphUtil.createNode(root);
            nodes.put(device, node);
            node.setProperty(CoreOptions.PORT_CONSTRAINTS, PortConstraints.FIXED_POS);
            int left = 0;
            int right = 0;
            for (Port port : rig.model(device.id()).cablePorts()) {
                boolean sends = port.direction().isSending();
                ElkPort elk = ElkGraphUtil.createPort(node);
                elk.setDimensions(0, 0);
                elk.setProperty(CoreOptions.PORT_SIDE, sends ? PortSide.EAST : PortSide.WEST);
                elk.setLocation(sends ? BOX_WIDTH : 0, HEAD + PORT_DOWN + PORT_STEP * (sends ? right++ : left++));
                ports.put(new Socket(device.id(), port.id()), elk);
            }
            node.setDimensions(BOX_WIDTH, HEAD + PORT_STEP * Math.max(1, Math.max(left, right)));
        }

        WiringPicture picture(List<Socket> chosen) {
            return new WiringPicture((int) Math.ceil(root.getWidth()), (int) Math.ceil(root.getHeight()),
                    rig.devices().stream().map(device -> box(device, chosen)).toList(),
                    rig.cables().stream().map(this::line).toList());
        }

        private Box box(Device device, List<Socket> chosen) {
            ElkNode node = nodes.get(device);
            String name = device.name().text();
            String tape = name.length() <= LONGEST_NAME ? name : name.substring(0, LONGEST_NAME - 1).strip() + "\u2026";
            return new Box(device.id().text(), name, tape, 26 + tape.length() * 15 / 2, facts(device), (int) node.getX(), (int) node.getY(),
                    (int) node.getWidth(), (int) node.getHeight(),
                    rig.model(device.id()).cablePorts().stream().map(p -> plug(new Socket(device.id(), p.id()), p, chosen)).toList());
        }

        private Plug plug(Socket socket, Port port, List<Socket> chosen) {
            boolean sends = port.direction().isSending();
            return new Plug(key(socket), port.name().text(), sends, rig.cableIn(socket).isPresent(), chosen.contains(socket),
                    sends ? BOX_WIDTH : 0, (int) ports.get(socket).getY());
        }

        private String facts(Device device) {
            if (rig.model(device.id()).cablePorts().isEmpty()) {
                return "no 5-pin or TRS socket";
            }
            return Stream.of(SettingId.RECEIVE_CHANNEL, SettingId.SEND_CHANNEL)
                    .flatMap(setting -> rig.setting(device.id(), setting).map(channel -> (setting.equals(SettingId.SEND_CHANNEL)
                            ? "sends on ch " : "listens on ch ") + channel).stream())
                    .findFirst().orElseGet(() -> rig.model(device.id()).board().isPresent() ? "channel per message" : rig.model(device.id()).kind().words());
        }

        private Line line(Cable cable) {
            ElkEdgeSection section = edges.get(cable).getSections().getFirst();
            List<String> points = new ArrayList<>();
            points.add(point(section.getStartX(), section.getStartY()));
            for (ElkBendPoint bend : section.getBendPoints()) {
                points.add(point(bend.getX(), bend.getY()));
            }
            points.add(point(section.getEndX(), section.getEndY()));
            return new Line(rig.words(cable), "M" + String.join(" L", points));
        }

        private static String point(double x, double y) {
            return String.format(Locale.ROOT, "%.1f %.1f", x, y);
        }
    }
}
