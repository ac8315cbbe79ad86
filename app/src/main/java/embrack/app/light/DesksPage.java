package embrack.app.light;

import embrack.core.chart.PartId;
import embrack.core.gear.Kind;
import embrack.core.light.Look;
import embrack.core.light.LookId;
import embrack.core.light.Scenes;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What the desks hold. */
record DesksPage(List<Desk> desks, int looks) {

    /**
     * A desk.
     *
     * @param places the places that hold something, and the next free ones
     * @param missing how many looks it does not hold
     * @param hasBanks whether there is anything to arrange
     */
    record Desk(String id, String name, List<Row> places, int all, int missing, boolean hasBanks) {}

    /** A place of a desk. */
    record Row(String key, String words, List<Choice> looks, boolean isFree) {}

    /** A look to choose. */
    record Choice(String key, String words, boolean isChosen) {}

    private static final int FREE = 4;

    static DesksPage of(Plan plan) {
        return new DesksPage(
                desks(plan).stream().map(desk -> desk(plan, desk)).toList(),
                plan.lights().looks().size());
    }

    /** Lighting desks that can hold looks. */
    static List<Device> desks(Plan plan) {
        return lightDesks(plan).stream()
                .filter(device ->
                        !Scenes.of(plan.rig().chart(device.id())).scenes().isEmpty())
                .toList();
    }

    /** All lighting desks. */
    static List<Device> lightDesks(Plan plan) {
        return plan.rig().devices().stream()
                .filter(device -> plan.rig().model(device.id()).kind() == Kind.LIGHT_DESK)
                .toList();
    }

    private static Desk desk(Plan plan, Device device) {
        List<Scenes.Place> all = Scenes.of(plan.rig().chart(device.id())).places();
        List<Scenes.Place> taken = all.stream()
                .filter(place -> plan.lights().holds(device.id(), place).isPresent())
                .toList();
        List<Scenes.Place> free =
                all.stream().filter(place -> !taken.contains(place)).limit(FREE).toList();
        return new Desk(
                device.id().text(),
                device.name().text(),
                Stream.concat(taken.stream(), free.stream())
                        .map(place -> row(plan, device.id(), place))
                        .toList(),
                all.size(),
                (int) plan.lights().looks().stream()
                        .filter(look -> plan.lights().holding(look.id()).stream()
                                .noneMatch(held -> held.desk().equals(device.id())))
                        .count(),
                !taken.isEmpty()
                        && Scenes.of(plan.rig().chart(device.id())).banks().size() > 1);
    }

    private static Row row(Plan plan, DeviceId desk, Scenes.Place place) {
        Optional<LookId> held = plan.lights().holds(desk, place).map(Look::id);
        return new Row(
                key(place),
                words(plan, place, desk),
                Stream.concat(
                                Stream.of(new Choice("", "nothing", held.isEmpty())),
                                plan.lights().looks().stream()
                                        .map(look -> new Choice(
                                                look.id().text(),
                                                look.name().text(),
                                                held.filter(look.id()::equals).isPresent())))
                        .toList(),
                held.isEmpty());
    }

    /** What stands for a place in a form: "scene-4", "bank-2 scene-4". */
    static String key(Scenes.Place place) {
        return place.bank().map(bank -> bank + " ").orElse("") + place.scene();
    }

    /** Reads what {@link #key} wrote. */
    static Scenes.Place place(String key) {
        String[] pieces = key.split(" ", 2);
        return pieces.length == 1
                ? new Scenes.Place(Optional.empty(), new PartId(pieces[0]))
                : new Scenes.Place(Optional.of(new PartId(pieces[0])), new PartId(pieces[1]));
    }

    /** A place in words, with its desk: "Lantern desk, Scene 4". */
    static String words(Plan plan, DeviceId desk, Scenes.Place place) {
        return plan.rig().name(desk) + ", " + words(plan, place, desk);
    }

    private static String words(Plan plan, Scenes.Place place, DeviceId desk) {
        return place.bank().map(bank -> plan.rig().partName(desk, bank) + ", ").orElse("")
                + plan.rig().partName(desk, place.scene());
    }
}
