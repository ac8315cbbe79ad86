package embrack.app.wiring;

import embrack.app.store.Memo;
import embrack.core.gear.Ear;
import embrack.core.gear.Port;
import embrack.core.gear.Purpose;
import embrack.core.gear.Sound;
import embrack.core.gear.SoundInside;
import embrack.core.rig.Area;
import embrack.core.rig.Device;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Linking;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.way.Readiness;
import embrack.paper.drawing.Layer;
import embrack.paper.drawing.Layout;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The rig as boxes in lanes and links between them, ready to be drawn. All lengths in pixels.
 *
 * @param lanes a lane for each place where anything stands, from left to right
 */
record WiringPicture(int width, int height, List<Lane> lanes, List<Box> boxes, List<Line> lines) {

    private static final int LONGEST_NAME = 18;

    /** Letters of a name in a line when it is drawn large, to be read from far. */
    private static final int FAR_LINE = 10;

    /** Wider than this, the whole picture is drawn for far reading at first. */
    private static final int NEAR_WIDTH = 1_750;

    /** Room around what is lit. */
    private static final int AROUND = 40;

    /** The least part of the whole that is shown at first, so that one sees where one is. */
    private static final double LEAST_PART = 0.35;

    private static final int MOST_KEPT = 100;

    /** As long as nothing is added, moved or joined, always the same layout, so that nothing jumps about. */
    private static final Memo<Layout.Shape, Layout> LATEST = Memo.ofCount(MOST_KEPT);

    /** A place, from its left edge to its right. */
    record Lane(String name, int x, int width) {}

    /**
     * A device; {@code tape} is its name, cut to what fits; {@code tapeWidth} what the name needs.
     *
     * @param isHost whether apps stand in it
     * @param tone "lit", "faded" or ""
     */
    record Box(
            String id,
            String name,
            String tape,
            int tapeWidth,
            String facts,
            Rectangle at,
            boolean isHost,
            String tone,
            List<String> farName,
            List<Plug> plugs) {}

    /** Where it lies on the paper. */
    record Rectangle(int x, int y, int width, int height) {}

    /**
     * A port at the edge of its box; {@code x} and {@code y} are the middle, counted from the box.
     *
     * @param tone "chosen", "fits", "no" or ""
     * @param hint what would come of joining it to the chosen port; else what is in it
     */
    record Plug(String key, String name, boolean isRight, boolean taken, String tone, String hint, int x, int y) {}

    /** A link as an SVG path; {@code tone} as of a box, or "lame" when it carries nothing yet. */
    record Line(String key, String words, String kind, String tone, String path) {}

    /** Whether the whole of it is too small to read what stands at the ports. */
    public boolean isFar() {
        return width > NEAR_WIDTH;
    }

    /**
     * The part that is shown at first, as an SVG view box of the shape of the whole: all that is lit, or the whole.
     */
    public String view() {
        List<Box> lit = boxes.stream().filter(box -> box.tone.equals("lit")).toList();
        if (lit.isEmpty()) {
            return "0 0 %d %d".formatted(width, height);
        }
        int left = lit.stream().mapToInt(box -> box.at.x()).min().orElse(0) - AROUND;
        int top = lit.stream().mapToInt(box -> box.at.y()).min().orElse(0) - AROUND;
        int right =
                lit.stream().mapToInt(box -> box.at.x() + box.at.width()).max().orElse(width) + AROUND;
        int bottom =
                lit.stream().mapToInt(box -> box.at.y() + box.at.height()).max().orElse(height) + AROUND;
        double scale = Math.min(
                1, Math.max(Math.max((double) (right - left) / width, (double) (bottom - top) / height), LEAST_PART));
        double x = Math.clamp((left + right - width * scale) / 2, 0, width - width * scale);
        double y = Math.clamp((top + bottom - height * scale) / 2, 0, height - height * scale);
        return String.format(Locale.ROOT, "%.0f %.0f %.0f %.0f", x, y, width * scale, height * scale);
    }

    static WiringPicture of(Rig rig) {
        return of(rig, Layer.MESSAGES, new Focus.Whole(), Optional.empty());
    }

    static WiringPicture of(Rig rig, Layer layer, Focus focus, Optional<Focus.Lit> lit) {
        return new Drawing(rig, layer, focus, lit).picture();
    }

    /** Turns a layout into what is drawn. */
    private record Drawing(
            Rig rig,
            Layer layer,
            Layout layout,
            Readiness readiness,
            Optional<Socket> chosen,
            Optional<Focus.Lit> lit) {

        Drawing(Rig rig, Layer layer, Focus focus, Optional<Focus.Lit> lit) {
            this(
                    rig,
                    layer,
                    LATEST.get(Layout.Shape.of(rig, layer), () -> Layout.of(rig, layer)),
                    new Readiness(rig),
                    focus instanceof Focus.OnPort p ? Optional.of(p.socket()) : Optional.empty(),
                    lit);
        }

        WiringPicture picture() {
            return new WiringPicture(
                    layout.width(),
                    layout.height(),
                    lanes(),
                    layer.devices(rig).stream().map(this::box).toList(),
                    layer.links(rig).stream().map(this::line).toList());
        }

        private List<Lane> lanes() {
            List<Lane> lanes = new ArrayList<>();
            List<Area> used = Stream.of(Area.values())
                    .filter(area -> layer.devices(rig).stream().anyMatch(d -> rig.area(d.id()) == area))
                    .toList();
            int left = 0;
            for (int i = 0; i < used.size(); i++) {
                int right = i + 1 == used.size()
                        ? layout.width()
                        : (layout.right(used.get(i)) + layout.left(used.get(i + 1))) / 2;
                lanes.add(new Lane(used.get(i).words(), left, right - left));
                left = right;
            }
            return lanes;
        }

        private Box box(Device device) {
            Layout.Place place = layout.place(device.id());
            String name = device.name().text();
            String tape = name.length() <= LONGEST_NAME
                    ? name
                    : name.substring(0, LONGEST_NAME - 1).strip() + "\u2026";
            return new Box(
                    device.id().text(),
                    name,
                    tape,
                    Math.min(place.width() - 14, 26 + tape.length() * 15 / 2),
                    facts(device),
                    new Rectangle(place.x(), place.y(), place.width(), place.height()),
                    layer.devices(rig).stream()
                            .anyMatch(d ->
                                    d.spot().host().filter(device.id()::equals).isPresent()),
                    tone(lit.map(l -> l.devices().contains(device.id()))),
                    farName(name),
                    layer.ports(rig, device.id()).stream()
                            .map(p -> plug(new Socket(device.id(), p.id()), p, place))
                            .toList());
        }

        /** The name in at most three short lines. */
        private static List<String> farName(String name) {
            List<String> lines = new ArrayList<>();
            for (String word : name.split(" ")) {
                String last = lines.isEmpty() ? "" : lines.getLast();
                if (!last.isEmpty() && last.length() + 1 + word.length() <= FAR_LINE) {
                    lines.set(lines.size() - 1, last + " " + word);
                } else {
                    lines.add(word.length() <= FAR_LINE ? word : word.substring(0, FAR_LINE - 1) + "\u2026");
                }
            }
            return lines.stream().limit(3).toList();
        }

        private static String tone(Optional<Boolean> isLit) {
            return isLit.map(yes -> yes ? "lit" : "faded").orElse("");
        }

        private Plug plug(Socket socket, Port port, Layout.Place place) {
            Layout.Point at = layout.port(socket);
            boolean right = at.x() > place.x() + place.width() / 2;
            Optional<String> refusal =
                    chosen.filter(c -> !c.equals(socket)).flatMap(c -> Linking.refusalEitherWay(rig, c, socket));
            String tone = chosen.map(c -> c.equals(socket) ? "chosen" : refusal.isEmpty() ? "fits" : "no")
                    .orElse("");
            List<String> holds = rig.linksIn(socket).stream()
                    .map(link -> rig.words(link.beyond(socket)))
                    .toList();
            return new Plug(
                    PortKey.of(socket),
                    port.name().text(),
                    right,
                    !holds.isEmpty(),
                    tone,
                    refusal.orElse(
                            holds.isEmpty() ? port.connector().words() : "joined to " + String.join(", ", holds)),
                    at.x() - place.x(),
                    at.y() - place.y());
        }

        private String facts(Device device) {
            Optional<String> role = layer == Layer.MESSAGES
                            && rig.model(device.id()).ports().stream().anyMatch(Port::carriesMidi)
                    ? Stream.of(Purpose.RECEIVE_CHANNEL, Purpose.SEND_CHANNEL)
                            .flatMap(setting -> rig
                                    .setting(device.id(), setting)
                                    .map(channel ->
                                            (setting.equals(Purpose.SEND_CHANNEL) ? "sends on ch " : "listens on ch ")
                                                    + channel)
                                    .stream())
                            .findFirst()
                    : Optional.empty();
            SoundInside sound = rig.model(device.id()).sound();
            Optional<String> sounds = Stream.concat(
                            sound.sources().values().stream().map(Sound::words),
                            sound.ears().values().stream().map(Ear::words))
                    .findFirst()
                    .filter(words -> rig.model(device.id()).isForSoundAlone());
            return role.or(() -> sounds)
                    .orElseGet(() -> layer == Layer.MESSAGES
                                    && rig.model(device.id()).board().isPresent()
                            ? "channel per message"
                            : rig.model(device.id()).kind().words());
        }

        private Line line(Link link) {
            LinkKind kind = rig.kind(link);
            String tone = kind.carriesMidi() && readiness.lack(link).isPresent()
                    ? "lame"
                    : tone(lit.map(l -> l.links().contains(link)));
            List<String> points = layout.line(link).stream()
                    .map(p -> String.format(Locale.ROOT, "%d %d", p.x(), p.y()))
                    .toList();
            return new Line(
                    PortKey.of(link),
                    "%s link %s".formatted(kind.words(), rig.words(link)),
                    kind.key(),
                    tone,
                    "M" + String.join(" L", points));
        }
    }
}
