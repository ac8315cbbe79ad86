package embrack.app.wiring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embrack.core.edit.GearEdit;
import embrack.core.edit.Refused;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.library.Library;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.Area;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.paper.drawing.Layer;
import java.awt.geom.Line2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WiringPictureTests {

    /** Random rigs with computers, apps and links of every kind, in all places; the last as large as a tour. */
    @ParameterizedTest
    @CsvSource({"1, 4", "2, 8", "3, 12", "4, 12", "5, 16", "6, 16", "7, 20", "8, 24", "9, 30", "10, 40"})
    void boxesDoNotOverlapAndNoLineRunsThroughOne(long seed, int boxes) {
        Rig rig = randomRig(new Random(seed), boxes);
        WiringPicture picture = WiringPicture.of(rig);
        assertThat(picture.boxes()).hasSameSizeAs(rig.devices());
        assertThat(picture.lines()).hasSameSizeAs(rig.links());
        Map<String, Rectangle2D> places = new HashMap<>();
        picture.boxes()
                .forEach(box -> places.put(
                        box.id(),
                        new Rectangle2D.Double(
                                box.at().x(),
                                box.at().y(),
                                box.at().width(),
                                box.at().height())));
        Rectangle2D paper = new Rectangle2D.Double(0, 0, picture.width(), picture.height());
        places.forEach((id, place) -> {
            assertThat(paper.contains(place)).isTrue();
            places.forEach((other, there) -> assertThat(id.equals(other)
                            || isAround(rig, id, other)
                            || isAround(rig, other, id)
                            || !place.intersects(there))
                    .as("%s and %s overlap", id, other)
                    .isTrue());
        });
        for (WiringPicture.Line line : picture.lines()) {
            List<Line2D> pieces = pieces(line);
            assertThat(pieces)
                    .isNotEmpty()
                    .allMatch(p -> p.getX1() == p.getX2() || p.getY1() == p.getY2(), "straight across or down");
            String[] ends = line.key().split("[.~]");
            places.forEach((id, place) -> assertThat(isAround(rig, id, ends[0])
                            || isAround(rig, id, ends[2])
                            || id.equals(ends[0]) && isHost(rig, id)
                            || id.equals(ends[2]) && isHost(rig, id)
                            || pieces.stream().noneMatch(inner(place)::intersectsLine))
                    .as("%s through %s", line.words(), id)
                    .isTrue());
        }
    }

    /** Nothing jumps about when a page is loaded again. */
    @Test
    void theSameRigIsAlwaysDrawnTheSame() {
        Rig rig = randomRig(new Random(9), 30);
        WiringPicture first = WiringPicture.of(rig);
        for (int i = 0; i < 5; i++) {
            assertThat(WiringPicture.of(rig)).isEqualTo(first);
        }
    }

    @Test
    void everyBoxStandsInTheLaneOfItsPlace() {
        Rig rig = randomRig(new Random(5), 20);
        WiringPicture picture = WiringPicture.of(rig);
        assertThat(picture.lanes())
                .extracting(WiringPicture.Lane::name)
                .isSubsetOf(Stream.of(Area.values()).map(Area::words).toList())
                .isNotEmpty();
        for (WiringPicture.Box box : picture.boxes()) {
            WiringPicture.Lane lane = picture.lanes().stream()
                    .filter(l ->
                            l.name().equals(rig.area(new DeviceId(box.id())).words()))
                    .findFirst()
                    .orElseThrow();
            assertThat(box.at().x())
                    .as(box.name())
                    .isBetween(lane.x(), lane.x() + lane.width() - box.at().width());
        }
    }

    @Test
    void linesBeginAndEndAtTheirPorts() {
        WiringPicture picture = WiringPicture.of(randomRig(new Random(6), 16));
        Map<String, String> ports = new HashMap<>();
        picture.boxes()
                .forEach(box -> box.plugs()
                        .forEach(plug -> ports.put(
                                plug.key(),
                                "%d %d"
                                        .formatted(
                                                box.at().x() + plug.x(),
                                                box.at().y() + plug.y()))));
        for (WiringPicture.Line line : picture.lines()) {
            String[] ends = line.key().split("~");
            assertThat(line.path()).startsWith("M" + ports.get(ends[0])).endsWith(ports.get(ends[1]));
        }
    }

    @Test
    void longNamesAreCutOnTapeAndWholeOnFocus() {
        Plan plan = new GearEdit.AddDevice("The mixer behind the curtain at the left", Library.RACK_MIXER)
                .apply(Plan.empty(new TapeLabel("R")));
        WiringPicture.Box box = WiringPicture.of(plan.rig()).boxes().getFirst();
        assertThat(box.tape()).isEqualTo("The mixer behind\u2026").hasSizeLessThan(19);
        assertThat(box.name()).isEqualTo("The mixer behind the curtain at the left");
        assertThat(box.tapeWidth()).isLessThanOrEqualTo(box.at().width());
        assertThat(box.farName()).containsExactly("The mixer", "behind the", "curtain at");
    }

    @Test
    void whatIsLitIsShownLargeInTheShapeOfTheWhole() {
        Rig rig = randomRig(new Random(9), 30);
        DeviceId first = rig.devices().getFirst().id();
        WiringPicture picture = WiringPicture.of(
                rig,
                Layer.MESSAGES,
                new Focus.OnDevice(first, Optional.empty()),
                Optional.of(new Focus.Lit(Set.of(first), Set.of())));
        double[] view = Stream.of(picture.view().split(" "))
                .mapToDouble(Double::parseDouble)
                .toArray();
        WiringPicture.Box box = picture.boxes().stream()
                .filter(b -> b.id().equals(first.text()))
                .findFirst()
                .orElseThrow();
        assertThat(new Rectangle2D.Double(view[0], view[1], view[2], view[3])
                        .contains(
                                box.at().x(),
                                box.at().y(),
                                box.at().width(),
                                box.at().height()))
                .isTrue();
        assertThat(view[2] / view[3]).isCloseTo((double) picture.width() / picture.height(), within(0.01));
        assertThat(WiringPicture.of(rig).view()).isEqualTo("0 0 %d %d".formatted(picture.width(), picture.height()));
    }

    private static boolean isAround(Rig rig, String host, String app) {
        return rig.device(new DeviceId(app))
                .spot()
                .host()
                .filter(new DeviceId(host)::equals)
                .isPresent();
    }

    private static boolean isHost(Rig rig, String id) {
        return !rig.appsIn(new DeviceId(id)).isEmpty();
    }

    private static Rig randomRig(Random random, int boxes) {
        Plan plan = Plan.empty(new TapeLabel("Random"));
        List<Model> models =
                Library.all().stream().filter(model -> !model.isForSoundAlone()).toList();
        for (int i = 0; i < boxes; i++) {
            Model model = models.get(random.nextInt(models.size()));
            plan = new GearEdit.AddDevice("Box " + i, model).apply(plan);
            plan = new WiringEdit.Stand(
                            plan.rig().devices().getLast().id(), Area.values()[random.nextInt(Area.values().length)])
                    .apply(plan);
        }
        List<DeviceId> hosts = plan.rig().devices().stream()
                .map(Device::id)
                .filter(kind(plan.rig()))
                .toList();
        for (Device app : plan.rig().devices()) {
            if (plan.rig().model(app.id()).isApp() && !hosts.isEmpty()) {
                plan = new WiringEdit.LiveIn(app.id(), Optional.of(hosts.get(random.nextInt(hosts.size()))))
                        .apply(plan);
            }
        }
        Rig rig = plan.rig();
        List<Socket> sockets = new ArrayList<>(rig.devices().stream()
                .flatMap(d -> Layer.MESSAGES.ports(rig, d.id()).stream().map(p -> new Socket(d.id(), p.id())))
                .toList());
        Collections.shuffle(sockets, random);
        for (Socket from : sockets) {
            for (Socket to : sockets.subList(0, sockets.size() / 3)) {
                try {
                    plan = plan.rig().links().size() < boxes * 3 / 2
                            ? new WiringEdit.Connect(from, to).apply(plan)
                            : plan;
                } catch (Refused refused) {
                    assertThat(refused.words()).isNotBlank();
                }
            }
        }
        return plan.rig();
    }

    private static Predicate<DeviceId> kind(Rig rig) {
        return id -> rig.model(id).kind() == Kind.HOST;
    }

    private static List<Line2D> pieces(WiringPicture.Line line) {
        List<double[]> points = Stream.of(line.path().substring(1).split(" L"))
                .map(p ->
                        Stream.of(p.split(" ")).mapToDouble(Double::parseDouble).toArray())
                .toList();
        List<Line2D> pieces = new ArrayList<>();
        for (int i = 1; i < points.size(); i++) {
            pieces.add(
                    new Line2D.Double(points.get(i - 1)[0], points.get(i - 1)[1], points.get(i)[0], points.get(i)[1]));
        }
        return pieces;
    }

    private static Rectangle2D inner(Rectangle2D box) {
        return new Rectangle2D.Double(box.getX() + 2, box.getY() + 2, box.getWidth() - 4, box.getHeight() - 4);
    }
}
