package embrack.paper.drawing;

import embrack.core.gear.Connector;
import embrack.core.gear.Port;
import embrack.core.rig.Area;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.eclipse.elk.alg.layered.options.LayeredMetaDataProvider;
import org.eclipse.elk.alg.layered.options.LayeredOptions;
import org.eclipse.elk.alg.layered.options.NodePlacementStrategy;
import org.eclipse.elk.core.RecursiveGraphLayoutEngine;
import org.eclipse.elk.core.data.LayoutMetaDataService;
import org.eclipse.elk.core.math.ElkMargin;
import org.eclipse.elk.core.math.ElkPadding;
import org.eclipse.elk.core.math.KVector;
import org.eclipse.elk.core.options.CoreOptions;
import org.eclipse.elk.core.options.Direction;
import org.eclipse.elk.core.options.EdgeRouting;
import org.eclipse.elk.core.options.HierarchyHandling;
import org.eclipse.elk.core.options.PortConstraints;
import org.eclipse.elk.core.options.PortSide;
import org.eclipse.elk.core.options.SizeConstraint;
import org.eclipse.elk.core.util.BasicProgressMonitor;
import org.eclipse.elk.graph.ElkBendPoint;
import org.eclipse.elk.graph.ElkEdge;
import org.eclipse.elk.graph.ElkEdgeSection;
import org.eclipse.elk.graph.ElkNode;
import org.eclipse.elk.graph.ElkPort;
import org.eclipse.elk.graph.util.ElkGraphUtil;

/**
 * Where everything is drawn, worked out by the Eclipse Layout Kernel: places from left to right, apps inside their
 * computers, no line through a box. All lengths in pixels, counted from the corner of the picture.
 */
public final class Layout {

    static {
        LayoutMetaDataService.getInstance().registerLayoutMetaDataProviders(new LayeredMetaDataProvider());
    }

    private final Rig rig;
    private final Layer layer;
    private final Draft draft;
    private final ElkNode root = ElkGraphUtil.createGraph();
    private final Map<DeviceId, ElkNode> nodes = new HashMap<>();
    private final Map<Socket, ElkPort> ports = new HashMap<>();
    private final Map<List<Socket>, ElkEdge> edges = new HashMap<>();

    private Layout(Rig rig, Layer layer, Draft draft) {
        this.rig = rig;
        this.layer = layer;
        this.draft = draft;
        prepare(root, new ElkPadding(draft.top(), draft.margin(), draft.margin(), draft.margin()));
        root.setProperty(CoreOptions.PARTITIONING_ACTIVATE, true);
        root.setProperty(CoreOptions.HIERARCHY_HANDLING, HierarchyHandling.INCLUDE_CHILDREN);
        layer.devices(rig)
                .forEach(d ->
                        add(d, d.spot().host().map(host -> drawn(nodes, host)).orElse(root)));
        layer.links(rig)
                .forEach(link -> edges.put(
                        ends(link), ElkGraphUtil.createSimpleEdge(drawn(ports, link.from()), drawn(ports, link.to()))));
        new RecursiveGraphLayoutEngine().layout(root, new BasicProgressMonitor());
    }

    /** The layout of a rig; the kernel may draw the same one in more than one way. */
    public static Layout of(Rig rig, Layer layer) {
        return of(rig, layer, Draft.SCREEN);
    }

    /** The layout of a rig in other sizes. */
    public static Layout of(Rig rig, Layer layer, Draft draft) {
        return new Layout(rig, layer, draft);
    }

    /** All that decides where things are drawn. */
    public record Shape(Layer layer, List<List<Object>> boxes, List<List<Socket>> links) {

        /** What of a rig decides it. */
        public static Shape of(Rig rig, Layer layer) {
            return new Shape(
                    layer,
                    layer.devices(rig).stream()
                            .map(d -> List.<Object>of(
                                    d.id(),
                                    d.spot(),
                                    layer.ports(rig, d.id()).stream()
                                            .map(p -> List.of(p.id(), p.direction(), p.connector()))
                                            .toList()))
                            .toList(),
                    layer.links(rig).stream().map(Layout::ends).toList());
        }
    }

    private static <K, V> V drawn(Map<K, V> things, K key) {
        return Objects.requireNonNull(things.get(key), () -> key + " is not in the drawing");
    }

    /** What a link is known by here: its length is not drawn. */
    private static List<Socket> ends(Link link) {
        return List.of(link.from(), link.to());
    }

    /** A corner of a line. */
    public record Point(int x, int y) {}

    /** A box. */
    public record Place(int x, int y, int width, int height) {}

    public int width() {
        return (int) Math.ceil(root.getWidth());
    }

    public int height() {
        return (int) Math.ceil(root.getHeight());
    }

    public Place place(DeviceId device) {
        ElkNode node = drawn(nodes, device);
        KVector at = corner(node);
        return new Place((int) at.x, (int) at.y, (int) node.getWidth(), (int) node.getHeight());
    }

    public Point port(Socket socket) {
        ElkPort port = drawn(ports, socket);
        KVector at = corner(port.getParent());
        return new Point((int) (at.x + port.getX()), (int) (at.y + port.getY()));
    }

    /** The corners of a line, from its first port to its second. */
    public List<Point> line(Link link) {
        ElkEdge edge = drawn(edges, ends(link));
        KVector at = edge.getContainingNode() == root ? new KVector() : corner(edge.getContainingNode());
        List<Point> points = new ArrayList<>();
        for (ElkEdgeSection section : edge.getSections()) {
            points.add(point(at, section.getStartX(), section.getStartY()));
            for (ElkBendPoint bend : section.getBendPoints()) {
                points.add(point(at, bend.getX(), bend.getY()));
            }
            points.add(point(at, section.getEndX(), section.getEndY()));
        }
        return points;
    }

    /** The leftmost point of the boxes of a place. */
    public int left(Area area) {
        return boxes(area).mapToInt(Place::x).min().orElse(0);
    }

    /** The rightmost point of the boxes of a place. */
    public int right(Area area) {
        return boxes(area).mapToInt(p -> p.x() + p.width()).max().orElse(0);
    }

    private Stream<Place> boxes(Area area) {
        return layer.devices(rig).stream()
                .filter(d -> d.spot().host().isEmpty() && rig.area(d.id()) == area)
                .map(d -> place(d.id()));
    }

    private static Point point(KVector at, double x, double y) {
        return new Point((int) (at.x + x), (int) (at.y + y));
    }

    private KVector corner(ElkNode node) {
        KVector at = new KVector(node.getX(), node.getY());
        for (ElkNode parent = node.getParent(); parent != root && parent != null; parent = parent.getParent()) {
            at.add(parent.getX(), parent.getY());
        }
        return at;
    }

    private void prepare(ElkNode node, ElkPadding padding) {
        node.setProperty(CoreOptions.ALGORITHM, LayeredOptions.ALGORITHM_ID);
        node.setProperty(CoreOptions.DIRECTION, Direction.RIGHT);
        node.setProperty(CoreOptions.EDGE_ROUTING, EdgeRouting.ORTHOGONAL);
        node.setProperty(CoreOptions.PADDING, padding);
        node.setProperty(CoreOptions.SPACING_NODE_NODE, draft.apart());
        node.setProperty(CoreOptions.SPACING_COMPONENT_COMPONENT, draft.apart());
        node.setProperty(LayeredOptions.NODE_PLACEMENT_STRATEGY, NodePlacementStrategy.NETWORK_SIMPLEX);
        node.setProperty(CoreOptions.SEPARATE_CONNECTED_COMPONENTS, false);
        node.setProperty(LayeredOptions.SPACING_NODE_NODE_BETWEEN_LAYERS, draft.between());
        node.setProperty(LayeredOptions.SPACING_EDGE_NODE_BETWEEN_LAYERS, draft.lines());
        node.setProperty(CoreOptions.SPACING_EDGE_NODE, draft.lines());
        node.setProperty(CoreOptions.SPACING_EDGE_EDGE, draft.lines());
    }

    private void add(Device device, ElkNode parent) {
        ElkNode node = ElkGraphUtil.createNode(parent);
        nodes.put(device.id(), node);
        if (parent == root) {
            node.setProperty(
                    CoreOptions.PARTITIONING_PARTITION, rig.area(device.id()).ordinal());
        }
        if (layer.devices(rig).stream()
                .noneMatch(app -> app.spot().host().filter(device.id()::equals).isPresent())) {
            addLeaf(device, node);
        } else {
            addHost(device, node);
        }
    }

    private void addLeaf(Device device, ElkNode node) {
        node.setProperty(CoreOptions.PORT_CONSTRAINTS, PortConstraints.FIXED_POS);
        int left = 0;
        int right = 0;
        int width = draft.width(rig, device, ports(device));
        for (Port port : ports(device)) {
            boolean atRight = isRight(new Socket(device.id(), port.id()), port);
            addPort(device, port, node, atRight)
                    .setLocation(
                            atRight ? width : 0,
                            draft.head() + draft.down() + draft.step() * (atRight ? right++ : left++));
        }
        node.setDimensions(width, draft.head() + draft.step() * Math.max(1, Math.max(left, right)));
    }

    private void addHost(Device device, ElkNode node) {
        prepare(node, new ElkPadding(draft.head() + draft.under(), draft.right(layer), draft.margin(), draft.left()));
        node.setProperty(CoreOptions.PORT_CONSTRAINTS, PortConstraints.FIXED_SIDE);
        node.setProperty(CoreOptions.NODE_SIZE_CONSTRAINTS, SizeConstraint.minimumSizeWithPorts());
        node.setProperty(CoreOptions.SPACING_PORT_PORT, (double) draft.step());
        node.setProperty(CoreOptions.SPACING_PORTS_SURROUNDING, new ElkMargin(draft.portsOfHost(), 0, 0, 0));
        int ports = ports(device).size();
        node.setProperty(
                CoreOptions.NODE_SIZE_MINIMUM,
                new KVector(draft.width(rig, device, ports(device)), draft.head() + draft.step() * ports));
        ports(device).forEach(port -> addPort(device, port, node, isRight(new Socket(device.id(), port.id()), port)));
    }

    private List<Port> ports(Device device) {
        return draft.ports(rig, layer, device);
    }

    private ElkPort addPort(Device device, Port port, ElkNode node, boolean atRight) {
        ElkPort elk = ElkGraphUtil.createPort(node);
        elk.setDimensions(0, 0);
        elk.setProperty(CoreOptions.PORT_SIDE, atRight ? PortSide.EAST : PortSide.WEST);
        ports.put(new Socket(device.id(), port.id()), elk);
        return elk;
    }

    /** Where links leave is right; what carries both ways is where its first link has it. */
    private boolean isRight(Socket socket, Port port) {
        return switch (port.direction()) {
            case IN -> false;
            case OUT, THRU -> true;
            case BOTH ->
                rig.linksIn(socket).stream()
                        .filter(link -> !rig.kind(link).equals(LinkKind.INSIDE))
                        .findFirst()
                        .map(link -> link.from().equals(socket))
                        .orElse(port.connector() != Connector.USB_HOST);
        };
    }
}
