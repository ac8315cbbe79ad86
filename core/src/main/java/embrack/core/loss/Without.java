package embrack.core.loss;

import embrack.core.chart.Action;
import embrack.core.plan.Plan;
import embrack.core.power.PowerPlan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.show.Cue;
import embrack.core.show.Entry;
import embrack.core.show.Show;
import embrack.core.show.Song;
import embrack.core.switches.Assignment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.way.Ways;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What an evening lacks to which some boxes do not come.
 *
 * @param along boxes that are no use without those: apps that live in them, what only they power
 * @param lacks switches that are there, and steps of them that do not get to their box any more
 * @param unpressed switches that are not there and that parts or songs of the show press
 * @param unsent cues of which something is not sent or does not get there
 */
public record Without(List<DeviceId> along, List<Lack> lacks, List<Unpressed> unpressed, List<Unsent> unsent) {

    public Without {
        along = List.copyOf(along);
        lacks = List.copyOf(lacks);
        unpressed = List.copyOf(unpressed);
        unsent = List.copyOf(unsent);
    }

    /** A switch, and what of it is lost. */
    public record Lack(SwitchAt at, List<Step> steps) {}

    /**
     * A switch that nobody can press.
     *
     * @param times how often the show presses it
     * @param instead switches that are there and do the same
     */
    public record Unpressed(SwitchAt at, int times, List<SwitchAt> instead) {}

    /**
     * A cue that does not do all of what it should.
     *
     * @param instead switches that are there and do what is lost, which a foot then has to press
     */
    public record Unsent(Song song, Cue cue, List<Step> steps, List<SwitchAt> instead) {}

    /** What a show lacks, by the boxes that are not there. */
    public static Without of(Plan plan, Show show) {
        return new Tonight(plan, show).without();
    }

    /** Whether everything is done all the same. */
    public boolean isNothing() {
        return lacks.isEmpty() && unpressed.isEmpty() && unsent.isEmpty();
    }

    private record Tonight(Plan plan, Show show, Set<DeviceId> gone, Ways before, Ways ways) {

        Tonight(Plan plan, Show show) {
            this(plan, show, gone(plan.rig(), show));
        }

        private Tonight(Plan plan, Show show, Set<DeviceId> gone) {
            this(plan, show, gone, new Ways(plan.rig()), new Ways(bare(plan.rig(), gone)));
        }

        private static Set<DeviceId> gone(Rig rig, Show show) {
            Set<DeviceId> gone = new LinkedHashSet<>(show.absent());
            PowerPlan power = new PowerPlan(rig);
            show.absent().forEach(box -> gone.addAll(power.diesWith(box)));
            rig.devices().stream()
                    .map(Device::id)
                    .filter(id -> !rig.box(id).equals(id) && gone.contains(rig.box(id)))
                    .forEach(gone::add);
            return gone;
        }

        /** The rig with the boxes in it that are gone, and nothing plugged into them. */
        private static Rig bare(Rig rig, Set<DeviceId> gone) {
            return rig.withoutLinks(link -> gone.contains(link.from().device())
                    || gone.contains(link.to().device()));
        }

        Without without() {
            return new Without(
                    gone.stream().filter(box -> !show.absent().contains(box)).toList(),
                    plan.switches().assignments().stream()
                            .filter(a -> !gone.contains(a.at().board()))
                            .map(a -> new Lack(a.at(), lost(a.at().board(), a.steps())))
                            .filter(lack -> !lack.steps().isEmpty())
                            .toList(),
                    unpressed(),
                    unsent());
        }

        /** Steps that got to their box and do not any more, nor to the one that stands in for it. */
        private List<Step> lost(DeviceId sender, List<Step> steps) {
            DeviceId now = here(sender);
            return steps.stream()
                    .filter(step -> arrives(before, sender, step)
                            && (gone.contains(now)
                                    || gone.contains(here(step.device()))
                                    || !arrives(ways, now, step.on(here(step.device())))))
                    .toList();
        }

        /** What does a box's job tonight: itself, or where it is not there the one that stands in for it. */
        private DeviceId here(DeviceId box) {
            return gone.contains(box) ? plan.rig().standIn(box).orElse(box) : box;
        }

        private static boolean arrives(Ways ways, DeviceId sender, Step step) {
            return sender.equals(step.device())
                    || ways.between(sender, step.device()).isPresent();
        }

        private List<Unpressed> unpressed() {
            Map<SwitchAt, Integer> times = new LinkedHashMap<>();
            for (Entry entry : show.order()) {
                Stream.concat(
                                entry.calls().presses().stream(),
                                entry.song().flatMap(plan.book()::find).stream()
                                        .flatMap(song -> song.cues().stream())
                                        .flatMap(cue -> cue.foot().stream()))
                        .filter(at -> gone.contains(at.board()))
                        .forEach(at -> times.merge(at, 1, Integer::sum));
            }
            List<Unpressed> unpressed = new ArrayList<>();
            times.forEach((at, count) -> unpressed.add(
                    new Unpressed(at, count, instead(plan.switches().at(at).steps()))));
            return unpressed;
        }

        private List<Unsent> unsent() {
            List<Unsent> unsent = new ArrayList<>();
            Set<Song> songs = new LinkedHashSet<>();
            show.order()
                    .forEach(entry -> entry.song().flatMap(plan.book()::find).ifPresent(songs::add));
            for (Song song : songs) {
                Optional<DeviceId> player = plan.player(song);
                for (Cue cue : song.cues()) {
                    List<Step> lost = player.map(sender -> lost(sender, cue.steps()))
                            .filter(steps -> cue.foot().isEmpty())
                            .orElse(List.of());
                    if (!lost.isEmpty()) {
                        unsent.add(new Unsent(song, cue, lost, instead(lost)));
                    }
                }
            }
            return unsent;
        }

        /** Switches that are there and do just that. */
        private List<SwitchAt> instead(List<Step> steps) {
            Set<List<?>> wanted = deeds(steps);
            return plan.switches().assignments().stream()
                    .filter(a -> !gone.contains(a.at().board()))
                    .filter(a -> !steps.isEmpty() && deeds(a.steps()).equals(wanted))
                    .filter(a -> a.steps().stream()
                            .allMatch(step -> !gone.contains(step.device()) && arrives(ways, a.at().board(), step)))
                    .map(Assignment::at)
                    .toList();
        }

        private static Set<List<?>> deeds(List<Step> steps) {
            Set<List<?>> deeds = new HashSet<>();
            for (Step step : steps) {
                Action action = step.action();
                deeds.add(List.of(step.device(), action));
            }
            return deeds;
        }
    }
}
