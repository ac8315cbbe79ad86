package embrack.app.switches;

import embrack.core.chart.PartId;
import embrack.core.chart.Trigger;
import embrack.core.gear.Counter;
import embrack.core.midi.MessageType;
import embrack.core.name.Words;
import embrack.core.offer.Walk;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.switches.SwitchAt;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * What a board that counts goes through, from the position that the page shows.
 *
 * @param counts what it does, in words
 * @param receivers the boxes whose sounds it can go through
 * @param sounds the walk as a person types it, a line a sound
 * @param isOfTheShow whether songs have sounds, so that tonight's order can be walked
 */
record WalkView(String counts, List<Choice> receivers, List<Stop> stops, String sounds, boolean isOfTheShow) {

    /** A box to choose. */
    record Choice(String id, String name, boolean isChosen) {}

    /**
     * A position.
     *
     * @param shown as the box shows it
     * @param where the song and section for which it is
     * @param presses what brings one there from the position of the page: "3 up, over Bells and Strings"
     */
    record Stop(String shown, String sound, String where, String presses, String href, boolean isHere) {}

    /** The walk of the board that a switch is on, if it counts. */
    static Optional<WalkView> of(Plan plan, SwitchAt at, String path) {
        return at.of().isPresent()
                ? Optional.empty()
                : Walk.counter(plan, at.board()).map(counter -> of(plan, at, counter, path));
    }

    private static WalkView of(Plan plan, SwitchAt at, Counter counter, String path) {
        Rig rig = plan.rig();
        Optional<DeviceId> receiver = Walk.receiver(plan, at.board());
        List<Optional<PartId>> planned = Walk.planned(plan, at.board());
        List<DeviceId> choices = rig.devices().stream()
                .map(device -> device.id())
                .filter(id -> choosesByProgram(rig, id))
                .toList();
        List<Walk.Stop> ofTheShow = receiver.or(() -> choices.stream().findFirst())
                .map(to -> Walk.ofTheShow(plan, to))
                .orElse(List.of());
        List<String> names = planned.stream()
                .map(part -> part.map(
                                p -> rig.partName(receiver.orElseThrow(), p).text())
                        .orElse("nothing planned"))
                .toList();
        return new WalkView(
                "Switch %d goes a step on, switch %d a step back, from where the board stands itself: %s to %s%s."
                        .formatted(
                                counter.up(),
                                counter.down(),
                                plan.bankName(at.inBank(1)),
                                plan.bankName(at.inBank(counter.positions())),
                                counter.round() ? ", and round" : ""),
                choices.stream()
                        .map(id -> new Choice(
                                id.text(),
                                rig.name(id).text(),
                                receiver.filter(id::equals).isPresent()))
                        .toList(),
                IntStream.range(0, planned.size())
                        .mapToObj(i -> new Stop(
                                plan.bankName(at.inBank(i + 1)).text(),
                                names.get(i),
                                i < ofTheShow.size() ? where(ofTheShow.get(i)) : "",
                                presses(names, at.bank(), counter.presses(at.bank(), i + 1)),
                                BoardView.href(path, at.inBank(i + 1)),
                                i + 1 == at.bank()))
                        .toList(),
                typed(ofTheShow, planned, names),
                Walk.hasSounds(plan));
    }

    /** What is planned; where nothing is, what tonight's order asks for. */
    private static String typed(List<Walk.Stop> ofTheShow, List<Optional<PartId>> planned, List<String> names) {
        return planned.isEmpty()
                ? ofTheShow.stream().map(stop -> stop.sound().text()).collect(Collectors.joining("\n"))
                : IntStream.range(0, names.size())
                        .filter(i -> planned.get(i).isPresent())
                        .filter(i -> i + 1 < names.size()
                                || i == 0
                                || !planned.get(i).equals(planned.get(i - 1)))
                        .mapToObj(names::get)
                        .collect(Collectors.joining("\n"));
    }

    private static String where(Walk.Stop stop) {
        return stop.where().map(at -> at.song() + ", " + at.section()).orElse("");
    }

    /** How often which switch is pressed, and what sounds on the way. */
    private static String presses(List<String> names, int from, int presses) {
        if (presses == 0) {
            return "here";
        }
        int step = Integer.signum(presses);
        List<String> over = IntStream.range(1, Math.abs(presses))
                .map(i -> from - 1 + i * step)
                .filter(i -> i >= 0 && i < names.size())
                .mapToObj(names::get)
                .toList();
        return "%d %s%s"
                .formatted(
                        Math.abs(presses),
                        presses > 0 ? "up" : "down",
                        over.isEmpty()
                                ? ""
                                : over.size() > 3
                                        ? ", over %d sounds".formatted(over.size())
                                        : ", over " + Words.list(over));
    }

    private static boolean choosesByProgram(Rig rig, DeviceId id) {
        return rig.chart(id).rows().stream()
                .anyMatch(row -> row.verb().isExclusive()
                        && row.last() instanceof Trigger.Voice voice
                        && voice.type() == MessageType.PROGRAM_CHANGE);
    }
}
