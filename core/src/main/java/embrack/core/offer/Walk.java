package embrack.core.offer;

import embrack.core.chart.PartId;
import embrack.core.gear.Counter;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Entry;
import embrack.core.show.Section;
import embrack.core.show.Song;
import embrack.core.switches.Assignment;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** The sounds that somebody goes through with a switch for up and a switch for down: the counter of a board. */
public final class Walk {

    /**
     * A sound at which a walk stops.
     *
     * @param sound by the tape of its patch
     * @param where the song and its section
     */
    public record Stop(TapeLabel sound, Optional<At> where) {}

    /** Where in a show a sound comes in. */
    public record At(TapeLabel song, TapeLabel section) {}

    private Walk() {}

    /** The counter of a board, if it has one. */
    public static Optional<Counter> counter(Plan plan, DeviceId board) {
        return plan.rig()
                .find(board)
                .flatMap(device -> plan.rig().model(board).board())
                .flatMap(shape -> shape.factory().counter());
    }

    /** The boards that count, in the order of the rig. */
    public static List<DeviceId> boards(Plan plan) {
        return plan.boards().stream()
                .filter(board -> counter(plan, board).isPresent())
                .toList();
    }

    /**
     * The sounds of tonight's order, or of all songs one behind the other, that are for a device: those that it has and
     * those that no box of the rig has. What goes on with the sound that is there needs no step.
     */
    public static List<Stop> ofTheShow(Plan plan, DeviceId receiver) {
        List<Stop> stops = new ArrayList<>();
        songs(plan).forEach(song -> {
            for (Section section : song.form().sections()) {
                section.sound()
                        .filter(sound -> isFor(plan, receiver, sound))
                        .filter(sound ->
                                stops.isEmpty() || !stops.getLast().sound().sameAs(sound))
                        .ifPresent(sound ->
                                stops.add(new Stop(sound, Optional.of(new At(song.title(), section.name())))));
            }
        });
        return stops;
    }

    /** Whether any section of these songs names a sound. */
    public static boolean hasSounds(Plan plan) {
        return songs(plan)
                .flatMap(song -> song.form().sections().stream())
                .anyMatch(section -> section.sound().isPresent());
    }

    private static boolean isFor(Plan plan, DeviceId receiver, TapeLabel sound) {
        return part(plan, receiver, sound).isPresent()
                || plan.rig().devices().stream()
                        .noneMatch(device -> part(plan, device.id(), sound).isPresent());
    }

    private static Stream<Song> songs(Plan plan) {
        return plan.book()
                .tonight()
                .map(show -> show.order().stream()
                        .map(Entry::song)
                        .flatMap(Optional::stream)
                        .flatMap(id -> plan.book().find(id).stream()))
                .orElseGet(() -> plan.book().songs().stream());
    }

    /** The device that a counter goes through, if anything is planned for it. */
    public static Optional<DeviceId> receiver(Plan plan, DeviceId board) {
        return assigned(plan, board)
                .flatMap(assignment -> assignment.steps(Moment.PRESS).stream())
                .map(Step::device)
                .findFirst();
    }

    private static Stream<Assignment> assigned(Plan plan, DeviceId board) {
        return counter(plan, board).stream()
                .flatMap(steps -> plan.switches().assignments().stream()
                        .filter(a -> a.at().board().equals(board) && a.at().of().isEmpty())
                        .filter(a -> steps.has(a.at().number())));
    }

    /**
     * What is planned for the positions of a counter, from the first; empty for one that nothing leads to. It ends with
     * the last to which a switch leads.
     */
    public static List<Optional<PartId>> planned(Plan plan, DeviceId board) {
        Optional<Counter> counter = counter(plan, board);
        Optional<DeviceId> receiver = receiver(plan, board);
        if (counter.isEmpty() || receiver.isEmpty()) {
            return List.of();
        }
        List<Optional<PartId>> all = IntStream.rangeClosed(1, counter.get().positions())
                .mapToObj(position -> planned(plan, board, receiver.get(), counter.get(), position))
                .toList();
        int last = all.size();
        while (last > 0 && all.get(last - 1).isEmpty()) {
            last--;
        }
        return all.subList(0, last);
    }

    private static Optional<PartId> planned(
            Plan plan, DeviceId board, DeviceId receiver, Counter counter, int position) {
        return Stream.of(
                        new SwitchAt(board, position == 1 ? counter.positions() : position - 1, counter.up()),
                        new SwitchAt(board, position % counter.positions() + 1, counter.down()))
                .filter(at -> counter.after(at.bank(), at.number()) == position)
                .flatMap(at -> plan.switches().at(at).steps(Moment.PRESS).stream())
                .filter(step ->
                        step.device().equals(receiver) && step.action().verb().isExclusive())
                .map(step -> step.action().part())
                .findFirst();
    }

    /** The part of a device that wears a tape, or is called so on the box. */
    public static Optional<PartId> part(Plan plan, DeviceId device, TapeLabel sound) {
        return plan.rig().chart(device).parts().stream()
                .filter(part -> plan.rig().partName(device, part.id()).sameAs(sound)
                        || part.name().sameAs(sound))
                .map(part -> part.id())
                .findFirst();
    }
}
