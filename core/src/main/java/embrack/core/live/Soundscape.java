package embrack.core.live;

import embrack.core.chart.Action;
import embrack.core.chart.Aspect;
import embrack.core.chart.Part;
import embrack.core.chart.PartId;
import embrack.core.chart.Verb;
import embrack.core.gear.Gate;
import embrack.core.level.Gain;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.Entry;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.show.When;
import embrack.core.sound.Heard;
import embrack.core.sound.Listener;
import embrack.core.sound.SoundPaths;
import embrack.core.sound.SoundPoint;
import embrack.core.sound.Source;
import embrack.core.sound.Stand;
import embrack.core.sound.Strand;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Target;
import embrack.core.world.Lane;
import embrack.core.world.Place;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Who hears what in the hour of a show: the ways of sound in the states that switches and cues are meant to bring
 * about. What nothing in the plan ever moves is taken as people have it, open; what something moves stands as the
 * engine has it, so a level that only a pedal moves stands at its heel until somebody says how it is at doors.
 */
public final class Soundscape {

    /** How a transport stands that is heard. */
    private static final int PLAYING = 1;

    private static final int RECORDING = 3;

    private final Plan plan;
    private final SoundPaths paths;
    private final Heard open;
    private final World doors;

    /** What decides whether sound passes, and how it stands is known: in the order of the rig, and by box and gate. */
    private final List<Place> places;

    private final Map<DeviceId, Map<Gate, Place>> deciding = new HashMap<>();

    /**
     * A sound that begins and that nobody hears.
     *
     * @param song in which it begins; empty where a switch brings it about from how the rig stands at doors
     * @param at the switch, where it is one
     * @param source what begins
     * @param shut what stands in its way, the first of it on the way
     * @param value how that stands
     */
    public record Silent(Optional<Song> song, Optional<SwitchAt> at, Source source, Place shut, int value) {}

    public Soundscape(Plan plan, SoundPaths paths) {
        this.plan = plan;
        this.paths = paths;
        this.open = paths.heard(Stand.OPEN);
        this.doors = World.poweredOn(plan.rig());
        List<Place> gates =
                paths.strands().stream().flatMap(Soundscape::gates).distinct().toList();
        Set<Lane> known = Stream.concat(moved(plan), gates.stream().filter(this::isChosen))
                .map(place -> Lane.of(plan.rig(), place))
                .collect(Collectors.toSet());
        places = gates.stream()
                .filter(place -> known.contains(Lane.of(plan.rig(), place)))
                .toList();
        places.forEach(place -> deciding.computeIfAbsent(place.device(), d -> new HashMap<>())
                .put(new Gate(place.part(), place.aspect()), place));
    }

    /** Of several of which one is chosen, the one that is from the beginning: then the others are not. */
    private boolean isChosen(Place place) {
        return place.aspect() == Aspect.CHOSEN && doors.value(place) != 0;
    }

    private static Stream<Place> moved(Plan plan) {
        Set<Place> moved = new HashSet<>();
        Stream.concat(
                        plan.switches().assignments().stream().flatMap(assignment -> assignment.steps().stream()),
                        plan.book().cues().stream().flatMap(cue -> cue.steps().stream()))
                .forEach(step -> moved.add(World.place(step.device(), step.action())));
        for (ControlAssignment control : plan.switches().controlAssignments()) {
            for (Target target : control.targets()) {
                moved.add(new Place(target.device(), target.part(), Aspect.LEVEL));
            }
        }
        for (Device device : plan.rig().devices()) {
            for (Action action : device.handWork().atDoors()) {
                moved.add(World.place(device.id(), action));
            }
        }
        return moved.stream();
    }

    /** What could be heard with everything open. */
    public Heard open() {
        return open;
    }

    /** What is heard before the first press. */
    public Heard atDoors() {
        return paths.heard(stand(doors));
    }

    /** How everything on the ways of sound stands that the plan moves: states that are alike in it sound alike. */
    public List<Integer> standing(World world) {
        return places.stream().map(world::value).toList();
    }

    /** What is heard in a state while some of it lets nothing through: a lead that is out, a box that is off. */
    public Heard heard(World world, Predicate<Strand> isOut) {
        return paths.heard(stand(world), isOut);
    }

    /** One mute, level or choice that stands otherwise than at doors. */
    public record Otherwise(Place place, int value) {}

    /** Each mute, level and choice on the ways of sound that the plan moves, otherwise than it stands at doors. */
    public List<Otherwise> otherwise() {
        return places.stream()
                .filter(place -> place.aspect() != Aspect.CHOSEN || doors.value(place) == 0)
                .map(place -> new Otherwise(place, doors.value(place) == 0 ? most(place.aspect()) : 0))
                .toList();
    }

    private static int most(Aspect aspect) {
        return aspect == Aspect.LEVEL ? aspect.size() - 1 : 1;
    }

    /** What is heard with one thing otherwise than at doors. */
    public Heard with(Otherwise other) {
        return paths.heard(stand(doors.with(other.place(), other.value())));
    }

    /**
     * What is heard in a song once its first section goes: after all songs of tonight before it, as they are meant to
     * leave things, or straight from doors where it is not in tonight's order.
     */
    public Heard in(Song song) {
        World world = doors;
        for (Song before : tonight()) {
            if (before.id().equals(song.id())) {
                break;
            }
            world = after(world, before, Long.MAX_VALUE);
        }
        return paths.heard(stand(after(world, song, 0)));
    }

    /**
     * What is heard as each song of tonight begins, in order; states that are alike for sound are worked out once. As
     * many worlds as there are cues; as many tables as there are different states.
     */
    public Map<SongId, Heard> bySong() {
        Map<SongId, Heard> bySong = new LinkedHashMap<>();
        Map<List<Integer>, Heard> known = new HashMap<>();
        World world = doors;
        for (Song song : tonight()) {
            World begun = after(world, song, 0);
            List<Integer> state = places.stream().map(begun::value).toList();
            bySong.put(song.id(), known.computeIfAbsent(state, s -> paths.heard(stand(begun))));
            world = after(world, song, Long.MAX_VALUE);
        }
        return bySong;
    }

    private List<Song> tonight() {
        return plan.book().tonight().stream()
                .flatMap(show -> show.order().stream())
                .map(Entry::song)
                .flatMap(Optional::stream)
                .map(plan.book()::song)
                .toList();
    }

    private World after(World world, Song song, long until) {
        World now = world;
        for (Timed cue : cues(song)) {
            if (cue.micros() <= until) {
                now = after(now, cue.steps());
            }
        }
        return now;
    }

    private static World after(World world, List<Step> steps) {
        World now = world;
        for (Step step : steps) {
            now = now.after(step.device(), List.of(step.action()));
        }
        return now;
    }

    private record Timed(long micros, List<Step> steps) {}

    private List<Timed> cues(Song song) {
        return Stream.concat(song.cues().stream(), plan.book().always().stream())
                .flatMap(cue -> micros(song, cue).map(micros -> new Timed(micros, steps(cue))).stream())
                .sorted(Comparator.comparingLong(Timed::micros))
                .toList();
    }

    private List<Step> steps(Cue cue) {
        return cue.foot().map(at -> plan.switches().at(at).steps(Moment.PRESS)).orElse(cue.steps());
    }

    private static Optional<Long> micros(Song song, Cue cue) {
        return cue.at() instanceof Anchor.Automatic automatic
                ? Stream.of(When.LOAD, When.PLAY)
                        .filter(automatic.when()::equals)
                        .map(when -> 0L)
                        .findFirst()
                : cue.at().micros(song.form());
    }

    /** What begins along tonight's order, and at switches that no cue presses, and is not heard by anybody then. */
    public List<Silent> silent() {
        List<Silent> silent = new ArrayList<>();
        World world = doors;
        for (Song song : tonight()) {
            for (Timed cue : cues(song)) {
                world = after(world, cue.steps());
                silent.addAll(silent(world, cue.steps(), Optional.of(song), Optional.empty()));
            }
        }
        Set<SwitchAt> pressed = new HashSet<>();
        plan.book().cues().forEach(cue -> cue.foot().ifPresent(pressed::add));
        for (Assignment assignment : plan.switches().assignments()) {
            if (!pressed.contains(assignment.at())) {
                World after = after(doors, assignment.steps(Moment.PRESS));
                silent.addAll(
                        silent(after, assignment.steps(Moment.PRESS), Optional.empty(), Optional.of(assignment.at())));
            }
        }
        return silent;
    }

    private List<Silent> silent(World world, List<Step> steps, Optional<Song> song, Optional<SwitchAt> at) {
        List<DeviceId> begun = steps.stream()
                .filter(step -> begins(step.action().verb()))
                .map(Step::device)
                .distinct()
                .toList();
        if (begun.isEmpty()) {
            return List.of();
        }
        Stand stand = stand(world);
        Heard heard = paths.heard(stand);
        return begun.stream()
                .flatMap(device -> paths.of(device).values().stream())
                .filter(source -> source.sound().isPlayed() && open.isHeard(source) && !heard.isHeard(source))
                .flatMap(source ->
                        shut(world, source)
                                .map(place -> new Silent(song, at, source, place, world.value(place)))
                                .stream())
                .toList();
    }

    /**
     * What sounds on in a state: what was begun and not stopped of boxes that do not play whole songs, which end by
     * themselves.
     */
    public List<Sounding> sounding(World world) {
        Heard heard = paths.heard(stand(world));
        return paths.sources().stream()
                .filter(source -> source.sound().isPlayed() && !plan.players().contains(source.device()))
                .flatMap(source -> sounding(world, heard, source).stream())
                .toList();
    }

    private Optional<Sounding> sounding(World world, Heard heard, Source source) {
        List<Integer> sides = IntStream.rangeClosed(1, source.sides().size())
                .filter(side -> isRunning(world, source.sides().get(side - 1)))
                .boxed()
                .toList();
        Map<Listener, Gain> gains = new LinkedHashMap<>();
        if (!sides.isEmpty()) {
            paths.listeners().stream()
                    .filter(listener -> open.arrival(source, listener).of(sides).isHeard())
                    .forEach(listener -> gains.put(
                            listener, heard.arrival(source, listener).of(sides).gain()));
        }
        return gains.isEmpty() ? Optional.empty() : Optional.of(new Sounding(source, gains));
    }

    /** Whether what begins at a point runs: the part that is its level, else anything of the box. */
    private boolean isRunning(World world, SoundPoint begin) {
        DeviceId device = begin.device();
        List<PartId> running = plan.rig().implementation(device).parts().stream()
                .map(Part::id)
                .filter(part -> plan.rig().implementation(device).aspects(part).contains(Aspect.TRANSPORT))
                .toList();
        List<PartId> own = paths.strands().stream()
                .filter(strand -> strand.from().equals(begin))
                .flatMap(strand -> strand.gates().stream())
                .map(Gate::part)
                .filter(running::contains)
                .toList();
        return (own.isEmpty() ? running : own)
                .stream()
                        .map(part -> world.value(new Place(device, part, Aspect.TRANSPORT)))
                        .anyMatch(value -> value == PLAYING || value == RECORDING);
    }

    private static boolean begins(Verb verb) {
        return verb == Verb.PLAY || verb == Verb.TOGGLE_PLAY || verb == Verb.RUN || verb == Verb.RECORD;
    }

    /** The first thing on the ways of a source that lets nothing through now. */
    private Optional<Place> shut(World world, Source source) {
        return paths.listeners().stream()
                .flatMap(listener -> open.way(source, listener).stream())
                .flatMap(strand -> gates(strand).filter(place -> isShut(world, place)))
                .findFirst();
    }

    private static Stream<Place> gates(Strand strand) {
        return strand.gates().stream().map(gate -> new Place(strand.from().device(), gate.part(), gate.aspect()));
    }

    private boolean isShut(World world, Place place) {
        if (place(place.device(), new Gate(place.part(), place.aspect())).isEmpty()) {
            return false;
        }
        int value = world.value(place);
        return place.aspect() == Aspect.MUTED ? value == 1 : value == 0;
    }

    private Stand stand(World world) {
        return (device, gate) -> value(world, device, gate);
    }

    private OptionalInt value(World world, DeviceId device, Gate gate) {
        Optional<Place> place = place(device, gate);
        return place.isPresent() ? OptionalInt.of(world.value(place.get())) : OptionalInt.empty();
    }

    /** What says how a gate stands; empty where nothing in the plan ever moves it. */
    private Optional<Place> place(DeviceId device, Gate gate) {
        return Optional.ofNullable(deciding.getOrDefault(device, Map.of()).get(gate));
    }
}
