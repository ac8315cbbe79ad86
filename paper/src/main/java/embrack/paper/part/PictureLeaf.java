package embrack.paper.part;

import embrack.core.rig.Rig;
import embrack.paper.drawing.Layer;
import embrack.paper.drawing.Layout;
import embrack.paper.page.Part;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * The wiring by place, over as many pages as it needs at a size that can be read: no letter is smaller than 7 pt. Where
 * a line goes on elsewhere stands the number of its cable and where it goes.
 */
final class PictureLeaf {

    /** It is drawn so often, since the kernel draws one rig in more than one way: the shortest is taken. */
    private static final int DRAWN = 3;

    private final Contents contents;
    private final Rig rig;

    PictureLeaf(Contents contents) {
        this.contents = contents;
        this.rig = contents.rig();
    }

    List<Part> parts() {
        Marks marks = new Marks(rig);
        return Stream.of(Layer.values())
                .filter(layer -> !layer.links(rig).isEmpty())
                .map(layer -> part(layer, marks))
                .toList();
    }

    private Part part(Layer layer, Marks marks) {
        boolean isSound = layer == Layer.SOUND;
        CutPicture fewest = Stream.generate(() -> Layout.of(rig, layer, new OnPaper()))
                .limit(DRAWN)
                .flatMap(layout -> Stream.of(Part.Form.TALL, Part.Form.WIDE)
                        .map(form -> new CutPicture(contents, layer, layout, form, marks)))
                .min(Comparator.comparingInt(CutPicture::cost))
                .orElseThrow();
        return new Part(
                isSound ? "wiring-sound" : "wiring",
                isSound ? "Wiring of sound" : "Wiring of messages and power",
                "cables by the numbers of the cable list",
                fewest.form(),
                fewest.pages());
    }
}
