package embrack.app.order;

import embrack.core.loss.Without;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.Area;
import embrack.core.rig.Device;
import embrack.core.show.Show;
import embrack.core.switches.SwitchAt;
import java.util.List;
import java.util.stream.Stream;

/**
 * Which boxes are there on an evening, and what is lost without the others.
 *
 * @param along boxes that are no use without those, in words; empty for none
 */
record TonightsGear(
        String show,
        String path,
        List<Place> places,
        boolean isComplete,
        String along,
        List<Line> lacks,
        List<Line> unpressed,
        List<Line> unsent) {

    /** Boxes that stand at one place. */
    record Place(String name, List<Box> boxes) {}

    /** A box, and whether it is there. */
    record Box(String id, String name, String hardware, boolean isHere) {}

    /** What is lost, and what is pressed instead; empty where nothing is. */
    record Line(String what, String lost, String instead) {}

    static TonightsGear of(Plan plan, Show show) {
        Without without = Without.of(plan, show);
        return new TonightsGear(
                show.name().text(),
                "/order/" + show.id(),
                Stream.of(Area.values())
                        .map(area -> new Place(area.words(), boxes(plan, show, area)))
                        .filter(place -> !place.boxes().isEmpty())
                        .toList(),
                show.absent().isEmpty(),
                Words.list(without.along().stream().map(plan.rig()::name).toList()),
                without.lacks().stream()
                        .map(lack -> new Line(
                                named(plan, lack.at()),
                                Words.list(
                                        lack.steps().stream().map(plan::words).toList()),
                                ""))
                        .toList(),
                without.unpressed().stream()
                        .map(press -> new Line(
                                named(plan, press.at()),
                                Words.count(press.times(), "press"),
                                instead(plan, press.instead())))
                        .toList(),
                without.unsent().stream()
                        .map(cue -> new Line(
                                "%s, %s"
                                        .formatted(
                                                cue.song().title(),
                                                cue.cue()
                                                        .at()
                                                        .text(cue.song().form().tempoMap())),
                                Words.list(cue.steps().stream().map(plan::words).toList()),
                                instead(plan, cue.instead())))
                        .toList());
    }

    private static List<Box> boxes(Plan plan, Show show, Area area) {
        return plan.rig().devices().stream()
                .filter(device ->
                        plan.rig().device(plan.rig().box(device.id())).spot().area() == area)
                .map(device -> box(plan, show, device))
                .toList();
    }

    private static Box box(Plan plan, Show show, Device device) {
        return new Box(
                device.id().text(),
                device.name().text(),
                plan.rig().model(device.id()).name().text(),
                !show.absent().contains(device.id()));
    }

    private static String named(Plan plan, SwitchAt at) {
        return plan.words(at)
                + plan.switches().at(at).label().map(label -> ", " + label).orElse("");
    }

    private static String instead(Plan plan, List<SwitchAt> switches) {
        return Words.list(switches.stream().map(at -> named(plan, at)).toList());
    }
}
