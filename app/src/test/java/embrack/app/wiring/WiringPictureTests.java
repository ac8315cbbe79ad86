package embrack.app.wiring;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.gear.library.Library;
import embrack.core.gear.Model;
import embrack.core.gear.PortId;
import embrack.core.name.TapeLabel;
import embrack.core.plan.GearEdit;
import embrack.core.plan.Plan;
import embrack.core.plan.Refused;
import embrack.core.plan.WiringEdit;
import embrack.core.rig.Device;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import java.awt.geom.Line2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class WiringPictureTests {

    /** Random rigs of up to twelve boxes with as many cables as fit. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10})
    void boxesDoNotOverlapAndNoLineRunsThroughOne(long seed) {
        Rig rig = randomRig(new Random(seed));
        WiringPicture picture = WiringPicture.of(rig);
        assertThat(picture.boxes()).hasSameSizeAs(rig.devices());
        assertThat(picture.lines()).hasSameSizeAs(rig.links());
        List<Rectangle2D> boxes = picture.boxes().stream().map(WiringPictureTests::rectangle).toList();
        Rectangle2D paper = new Rectangle2D.Double(0, 0, picture.width(), picture.height());
        for (Rectangle2D box : boxes) {
            assertThat(paper.contains(box)).isTrue();
            assertThat(boxes.stream().filter(other -> other != box)).noneMatch(box::intersects);
        }
        for (WiringPicture.Line line : picture.lines()) {
            assertThat(pieces(line)).isNotEmpty().allMatch(p -> p.getX1() == p.getX2() || p.getY1() == p.getY2(), "straight across or down")
                    .noneMatch(piece -> boxes.stream().map(WiringPictureTests::inner).anyMatch(piece::intersects), "through a box");
        }
    }

    @Test
    void linesBeginAndEndAtTheirSockets() {
        Rig rig = randomRig(new Random(1));
        WiringPicture picture = WiringPicture.of(rig);
        List<String> ends = picture.boxes().stream().flatMap(box -> box.plugs().stream().filter(WiringPicture.Plug::taken)
                .map(plug -> "%d %d".formatted(box.x() + plug.x(), box.y() + plug.y()))).sorted().toList();
        List<String> drawn = picture.lines().stream().map(WiringPictureTests::pieces)
                .flatMap(p -> Stream.of(p.getFirst().getP1(), p.getLast().getP2()))
                .map(p -> "%d %d".formatted((int) p.getX(), (int) p.getY())).sorted().toList();
        assertThat(drawn).isEqualTo(ends);
    }

    @Test
    void longNamesAreCutOnTapeAndWholeOnFocus() {
        Plan plan = new GearEdit.AddDevice("The mixer behind the curtain at the left", Library.RACK_MIXER).apply(Plan.empty(new TapeLabel("R")));
        WiringPicture.Box box = WiringPicture.of(plan.rig()).boxes().getFirst();
        assertThat(box.tape()).isEqualTo("The mixer behind th\u2026").hasSizeLessThan(21);
        assertThat(box.name()).isEqualTo("The mixer behind the curtain at the left");
        assertThat(box.tapeWidth()).isLessThanOrEqualTo(box.width());
    }

    private static Rig randomRig(Random random) {
        Plan plan = Plan.empty(new TapeLabel("Random"));
        int boxes = 2 + random.nextInt(11);
        for (int i = 0; i < boxes; i++) {
            Model model = Library.all().get(random.nextInt(Library.all().size()));
            plan = new GearEdit.AddDevice("Box " + i, model).apply(plan);
        }
        List<Socket> sockets = new ArrayList<>();
        for (Device device : plan.rig().devices()) {
            Stream.of("in", "out", "thru").map(PortId::new).filter(p -> random.nextInt(5) > 0).forEach(p -> sockets.add(new Socket(device.id(), p)));
        }
        for (Socket from : sockets) {
            for (Socket to : sockets) {
                try {
                    plan = new WiringEdit.Connect(from, to).apply(plan);
                } catch (Refused refused) {
                    assertThat(refused.words()).isNotBlank();
                }
            }
        }
        return plan.rig();
    }

    private static List<Line2D> pieces(WiringPicture.Line line) {
        List<double[]> points = Stream.of(line.path().substring(1).split(" L"))
                .map(p -> Stream.of(p.split(" ")).mapToDouble(Double::parseDouble).toArray()).toList();
        List<Line2D> pieces = new ArrayList<>();
        for (int i = 1; i < points.size(); i++) {
            pieces.add(new Line2D.Double(points.get(i - 1)[0], points.get(i - 1)[1], points.get(i)[0], points.get(i)[1]));
        }
        return pieces;
    }

    private static Rectangle2D rectangle(WiringPicture.Box box) {
        return new Rectangle2D.Double(box.x(), box.y(), box.width(), box.height());
    }

    private static Rectangle2D inner(Rectangle2D box) {
        return new Rectangle2D.Double(box.getX() + 2, box.getY() + 2, box.getWidth() - 4, box.getHeight() - 4);
    }
}
