package embrack.core.sheet;

import embrack.core.chart.Action;
import embrack.core.chart.Aspect;
import embrack.core.chart.Meaning;
import embrack.core.chart.Part;
import embrack.core.chart.PartId;
import embrack.core.check.Report;
import embrack.core.gear.Ability;
import embrack.core.gear.Board;
import embrack.core.gear.Condition;
import embrack.core.gear.ControlType;
import embrack.core.gear.Model;
import embrack.core.gear.PortId;
import embrack.core.gear.Setting;
import embrack.core.gear.SwitchMode;
import embrack.core.light.Chase;
import embrack.core.light.Look;
import embrack.core.light.Pace;
import embrack.core.music.Clock;
import embrack.core.name.TapeLabel;
import embrack.core.name.Words;
import embrack.core.offer.Workers;
import embrack.core.plan.Plan;
import embrack.core.rig.Area;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.sheet.Section.Task;
import embrack.core.sheet.Sheet.Job;
import embrack.core.show.Entry;
import embrack.core.show.Show;
import embrack.core.show.Song;
import embrack.core.sound.SoundPaths;
import embrack.core.sound.Source;
import embrack.core.stage.Flashes;
import embrack.core.stage.Scenery;
import embrack.core.stage.Sight;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.Target;
import embrack.core.world.Lane;
import embrack.core.world.Place;
import embrack.core.world.Places;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * How every box has to stand before the first press, which is where all proofs start: what its display shows, what is
 * loaded, where pedals and faders are, what is off. Box by box, by where they stand, to tick on the way round; then
 * what has to be put back after each song.
 */
public final class AtDoors {

    /** What the keys of its lines begin with. */
    public static final String KEYS = "doors/";

    private static final String BANK = "bank";
    private static final String PROGRAM_MODE = "program-mode";

    private static final int TOP = 127;
    private static final String LEVEL = "level/";

    private final Plan plan;
    private final Rig rig;
    private final World start;
    private final Places places;
    private final SoundPaths paths;

    private AtDoors(Plan plan) {
        this.plan = plan;
        rig = plan.rig();
        places = new Places(rig);
        start = World.poweredOn(places);
        paths = new SoundPaths(rig);
    }

    /** The list; without sections for a rig in which nothing works anything yet. */
    public static Sheet of(Report report) {
        return of(report.plan());
    }

    /** As {@link #of(Report)}; nothing has to be proven for it. */
    public static Sheet of(Plan plan) {
        AtDoors doors = new AtDoors(plan);
        List<Section> sections = new ArrayList<>();
        for (Area area : Area.values()) {
            plan.rig().devices().stream()
                    .filter(device -> plan.rig().area(device.id()) == area)
                    .map(device ->
                            new Section.Todo("%s: %s".formatted(area.words(), device.name()), doors.lines(device)))
                    .filter(section -> !section.lines().isEmpty())
                    .forEach(sections::add);
        }
        sections.addAll(doors.waysBack());
        List<Task> notices = doors.notices();
        if (!notices.isEmpty()) {
            sections.add(new Section.Todo("at every door, for the audience", notices));
        }
        return new Sheet(Job.DOORS, "doors", "At doors", "", sections, doors.cautions());
    }

    /** What the audience is told before it comes in, of light that can hurt some. */
    private List<Task> notices() {
        Tasks tasks = new Tasks(KEYS + "notice/");
        Set<Look> flashing = new LinkedHashSet<>();
        Set<Chase> bySound = new LinkedHashSet<>();
        List<Song> songs = plan.book().tonight().map(Show::order).orElse(List.of()).stream()
                .flatMap(entry -> entry.song().flatMap(plan.book()::find).stream())
                .distinct()
                .toList();
        for (Song song : songs) {
            List<Sight> sights = Scenery.of(plan, song);
            Flashes.of(plan.lights(), sights, song.lengthMicros())
                    .ifPresent(flashes -> tasks.add(
                            song.id().text(),
                            String.format(
                                    Locale.ROOT,
                                    "A notice: flashing light, %.1f times a second, in %s from %s to %s.",
                                    flashes.rate(),
                                    song.title(),
                                    Clock.brief(flashes.fromMicros()),
                                    Clock.brief(flashes.toMicros()))));
            flashing.addAll(Scenery.looks(plan.lights(), sights));
            sights.stream()
                    .flatMap(sight -> sight.chase().stream())
                    .filter(chase -> chase.pace() instanceof Pace.BySound)
                    .forEach(bySound::add);
        }
        bySound.forEach(chase -> tasks.add(
                "chase-" + chase.id(),
                "A notice: flashing light, as fast as the music, whenever %s runs.".formatted(chase.name())));
        flashing.forEach(look -> Flashes.of(plan.lights(), look)
                .ifPresent(flashes -> tasks.add(
                        "look-" + look.id(),
                        String.format(
                                Locale.ROOT,
                                "A notice: flashing light, %.1f times a second, whenever %s is shown.",
                                flashes.rate(),
                                look.name()))));
        return tasks.all;
    }

    private List<String> cautions() {
        boolean isDark = plan.rig().devices().stream()
                .anyMatch(device -> rig.chart(device.id()).parts().stream()
                        .anyMatch(part -> rig.chart(device.id()).isMeant(part.id(), Meaning.BLACKOUT)));
        return Stream.concat(
                        Stream.of("Levels low and ears out while outputs are opened."),
                        isDark ? Stream.of("Never black out emergency lighting.") : Stream.empty())
                .toList();
    }

    private List<Task> lines(Device device) {
        DeviceId id = device.id();
        Map<PartId, List<Workers.Worker>> worked = Workers.of(plan, id);
        boolean sends = !plan.switches().of(id).isEmpty()
                || !plan.switches().travelsOf(id).isEmpty();
        if (!sends
                && worked.isEmpty()
                && device.handWork().atDoors().isEmpty()
                && !plan.players().contains(id)) {
            return sound(device);
        }
        Tasks tasks = new Tasks(KEYS + id + "/");
        conditions(device, tasks);
        rig.model(id).board().ifPresent(board -> board(id, board, tasks));
        plan.switches().travelsOf(id).stream()
                .filter(control -> control.at().bank() == 1)
                .forEach(control -> control(control, tasks));
        memory(id, tasks);
        player(id, tasks);
        parts(device, worked.keySet(), tasks);
        if (!rig.model(id).chart().learnables().isEmpty()) {
            tasks.add("learning", "Learning is off, or it takes the next press for something else.");
        }
        tasks.all.addAll(sound(device));
        return tasks.all;
    }

    /** What of a console has to be looked at before anybody hears it: 48 V, and what the audience must not get. */
    private List<Task> sound(Device device) {
        Tasks tasks = new Tasks(KEYS + device.id() + "/sound/");
        List<TapeLabel> fed = device.sound().phantom().stream()
                .map(input -> port(device.id(), input))
                .toList();
        if (!fed.isEmpty()) {
            tasks.add("phantom", "48 V is on at %s, and nowhere else.".formatted(Words.list(fed)));
        }
        Map<List<String>, List<Source>> shut = new LinkedHashMap<>();
        for (Source source : paths.sources()) {
            List<String> sends = shut(device.id(), source);
            if (!sends.isEmpty()) {
                shut.computeIfAbsent(sends, s -> new ArrayList<>()).add(source);
            }
        }
        shut.forEach((sends, sources) -> tasks.add(
                "off/" + sources.getFirst().key(),
                "Off, so that nobody hears it who must not: %s. That is %s."
                        .formatted(
                                Words.list(sources.stream()
                                        .map(source -> source.words(rig))
                                        .toList()),
                                String.join("; ", sends))));
        return tasks.all;
    }

    /** Sends of a device that would bring a source to ears that must not get it: "Input 1 to Mix left and Aux 2". */
    private List<String> shut(DeviceId device, Source source) {
        Map<TapeLabel, Set<TapeLabel>> sends = new LinkedHashMap<>();
        paths.listeners().stream()
                .filter(listener -> !source.sound().isFor(listener.ear()))
                .flatMap(listener -> paths.openings(source, listener).stream())
                .filter(strand -> strand.from().device().equals(device))
                .forEach(strand -> sends.computeIfAbsent(
                                port(device, strand.from().socket().port()), from -> new LinkedHashSet<>())
                        .add(port(device, strand.to().socket().port())));
        return sends.entrySet().stream()
                .map(send -> "%s to %s".formatted(send.getKey(), Words.list(send.getValue())))
                .toList();
    }

    private TapeLabel port(DeviceId device, PortId port) {
        return rig.model(device).port(port).orElseThrow().name();
    }

    /** Lines of one box, each with its key. */
    private record Tasks(String prefix, List<Task> all) {

        Tasks(String prefix) {
            this(prefix, new ArrayList<>());
        }

        void add(String key, String words) {
            all.add(new Task(prefix + key, words));
        }
    }

    /** What it does only while a setting is so, and that is easily turned by hand. */
    private void conditions(Device device, Tasks tasks) {
        Model model = rig.model(device.id());
        Set<Condition> seen = new LinkedHashSet<>();
        for (Condition condition : model.memory().conditions()) {
            boolean isMet = rig.setting(device.id(), condition.setting())
                    .filter(value -> value == condition.value())
                    .isPresent();
            if (isMet && condition.ability() != Ability.SENDS_CLOCK && seen.add(condition)) {
                Setting setting = rig.settingOf(device.id(), condition);
                tasks.add(
                        "set/" + setting.id(), "%s is %s.".formatted(setting.name(), setting.shown(condition.value())));
            }
        }
    }

    private void board(DeviceId id, Board board, Tasks tasks) {
        List<Assignment> used = plan.switches().of(id);
        if (board.banks().size() > 1 && !used.isEmpty()) {
            tasks.add(BANK, "Bank %s is on its display.".formatted(board.banks().get(start.shownBank(id) - 1)));
        }
        List<TapeLabel> alternating = used.stream()
                .filter(assignment ->
                        assignment.mode().filter(SwitchMode.ALTERNATING::equals).isPresent())
                .map(assignment -> new TapeLabel(assignment.at().words()))
                .toList();
        if (!alternating.isEmpty()) {
            tasks.add(
                    "sides", "The lamp of %s is out: the next press is the first.".formatted(Words.list(alternating)));
        }
        rig.model(id)
                .memory()
                .writing()
                .filter(how -> !used.isEmpty())
                .ifPresent(how -> tasks.add(PROGRAM_MODE, "Program mode is left; a press now sends."));
    }

    private void control(ControlAssignment control, Tasks tasks) {
        if (control.targets().isEmpty()) {
            return;
        }
        Target first = control.targets().getFirst();
        int position = position(start, control);
        tasks.add(
                own(control.at()),
                "%s %s: so %s stands at its start, and nothing jumps."
                        .formatted(
                                Words.capital("%s %d"
                                        .formatted(
                                                control.at().type().words(),
                                                control.at().number())),
                                where(control.at().type(), position),
                                plan.words(first)));
    }

    /** Where a control that moves something stands at the start, 0 to 127: as what it moves first stands there. */
    public static int position(Plan plan, ControlAssignment control) {
        return position(World.poweredOn(plan.rig()), control);
    }

    private static int position(World start, ControlAssignment control) {
        Target first = control.targets().getFirst();
        int level = start.value(new Place(first.device(), first.part(), Aspect.LEVEL));
        return IntStream.rangeClosed(0, TOP)
                .boxed()
                .min(Comparator.<Integer>comparingInt(p -> Math.abs(amount(first, p) - level))
                        .thenComparing(p -> p != 0 && p != TOP))
                .orElse(0);
    }

    private static String own(ControlAt at) {
        return "control/%s%d".formatted(at.type().key(), at.number());
    }

    /** The key of the line that says where a control stands. */
    public static String key(ControlAt at) {
        return KEYS + at.box() + "/" + own(at);
    }

    /** The key of the line that says which bank a board shows. */
    public static String bankKey(DeviceId board) {
        return KEYS + board + "/" + BANK;
    }

    /** The key of the line that says that a board sends what is pressed. */
    public static String programModeKey(DeviceId board) {
        return KEYS + board + "/" + PROGRAM_MODE;
    }

    private static int amount(Target target, int position) {
        return target.at(position).amount().orElse(0);
    }

    private static String where(ControlType type, int position) {
        boolean isFoot = type == ControlType.TREADLE;
        if (position == 0) {
            return isFoot ? "heel down" : "all the way down";
        }
        return position == TOP ? (isFoot ? "toe down" : "all the way up") : "at about %d of 127".formatted(position);
    }

    private void memory(DeviceId id, Tasks tasks) {
        List<Place> memories = places.memories(id);
        if (memories.isEmpty()) {
            return;
        }
        Place loaded = memories.stream()
                .filter(place -> start.value(place) != 0)
                .findFirst()
                .orElse(memories.getFirst());
        tasks.add("memory", "%s is loaded.".formatted(rig.partName(id, loaded.part())));
    }

    private void player(DeviceId id, Tasks tasks) {
        if (!plan.players().contains(id)
                && rig.pairs().stream()
                        .noneMatch(pair ->
                                pair.second().equals(id) && plan.players().contains(pair.first()))) {
            return;
        }
        DeviceId first = rig.pairs().stream()
                .filter(pair -> pair.second().equals(id))
                .map(pair -> pair.first())
                .findFirst()
                .orElse(id);
        Optional<Song> begins = songs().filter(
                        song -> plan.player(song).filter(first::equals).isPresent())
                .findFirst();
        tasks.add(
                "player",
                begins.map(song -> "Stopped, at the beginning of %s.".formatted(song.title()))
                        .orElse("Stopped, at the beginning of what comes first."));
        rig.standIn(id)
                .ifPresent(second -> tasks.add(
                        "in-step",
                        "Stopped together with %s: both at the same place before either starts."
                                .formatted(rig.name(second))));
    }

    private Stream<Song> songs() {
        return plan.book().tonight().stream()
                .flatMap(show -> show.order().stream())
                .map(Entry::song)
                .flatMap(Optional::stream)
                .map(plan.book()::song);
    }

    /** The parts that somebody works, or that people set: how they stand at the start, those alike in one line. */
    private void parts(Device device, Set<PartId> worked, Tasks tasks) {
        DeviceId id = device.id();
        Map<String, List<String>> alike = new LinkedHashMap<>();
        List<String> kept = new ArrayList<>();
        List<Place> memories = places.memories(id);
        for (Part part : rig.chart(id).parts()) {
            boolean isDark = rig.chart(id).isMeant(part.id(), Meaning.BLACKOUT);
            if (!worked.contains(part.id()) && !isDark) {
                continue;
            }
            for (Aspect aspect : rig.implementation(id).aspects(part.id())) {
                Place place = new Place(id, part.id(), aspect);
                int value = start.value(place);
                boolean isSaid = !aspect.isCount()
                        && !memories.contains(place)
                        && !(plan.players().contains(id) && aspect == Aspect.TRANSPORT)
                        && (aspect != Aspect.CHOSEN || value != 0);
                if (isSaid && places.isKept(place)) {
                    kept.add(rig.partName(id, part.id()).text());
                } else if (isSaid) {
                    alike.computeIfAbsent(
                                    aspect.name().toLowerCase(Locale.ROOT) + "/" + place.word(rig, value),
                                    key -> new ArrayList<>())
                            .add(rig.partName(id, part.id()).text());
                }
            }
        }
        alike.forEach((state, names) -> tasks.add(
                state.replace(' ', '-'),
                state.startsWith(LEVEL)
                        ? "Level of %s at %s.".formatted(named(names), state.substring(LEVEL.length()))
                        : "%s: %s.".formatted(Words.capital(state.substring(state.indexOf('/') + 1)), named(names))));
        if (!kept.isEmpty()) {
            tasks.all.add(new Task(
                    tasks.prefix + "kept",
                    "As it was left, whichever way that is: %s. The proofs hold from either.".formatted(named(kept)),
                    false));
        }
    }

    /** Several names; of many the first, the last and how many. */
    private static String named(List<String> names) {
        return names.size() <= 8
                ? Words.list(names)
                : "%s to %s, %d of them".formatted(names.getFirst(), names.getLast(), names.size());
    }

    /** For each song of tonight that leaves something otherwise than at doors: what, and what puts it back. */
    private List<Section> waysBack() {
        List<Section> sections = new ArrayList<>();
        List<Song> order = songs().distinct().toList();
        for (int i = 0; i < order.size(); i++) {
            Song song = order.get(i);
            Optional<Song> next = i + 1 < order.size() ? Optional.of(order.get(i + 1)) : Optional.empty();
            Tasks tasks = new Tasks("%safter/%s/".formatted(KEYS, song.id()));
            Set<Lane> seen = new HashSet<>();
            World after = after(song);
            for (Place place : start.differences(after)) {
                Lane lane = Lane.of(rig, place);
                boolean isSaid = !place.aspect().isCount()
                        && !plan.players().contains(place.device())
                        && (place.aspect() != Aspect.CHOSEN || after.value(place) != 0)
                        && next.filter(other -> sets(other, lane)).isEmpty();
                if (isSaid && seen.add(lane)) {
                    tasks.add(place.device() + "/" + place.part(), back(place, after.value(place)));
                }
            }
            if (!tasks.all.isEmpty()) {
                sections.add(new Section.Todo("After %s".formatted(song.title()), tasks.all));
            }
        }
        return sections;
    }

    private World after(Song song) {
        World world = start;
        for (Step step :
                song.cues().stream().flatMap(cue -> cue.steps().stream()).toList()) {
            world = world.after(step.device(), List.of(step.action()));
        }
        return world;
    }

    private boolean sets(Song song, Lane lane) {
        return song.cues().stream()
                .flatMap(cue -> cue.steps().stream())
                .anyMatch(step ->
                        Lane.of(rig, World.place(step.device(), step.action())).equals(lane));
    }

    private String back(Place place, int value) {
        String stands = "%s, %s is %s"
                .formatted(
                        rig.name(place.device()), rig.partName(place.device(), place.part()), place.word(rig, value));
        return plan.switches().assignments().stream()
                .filter(assignment -> assignment.steps(Moment.PRESS).stream().anyMatch(step -> restores(step, place)))
                .findFirst()
                .map(assignment -> "%s: %s puts it back.".formatted(stands, plan.words(assignment.at())))
                .orElse("%s, and no switch puts it back: at the box, by hand.".formatted(stands));
    }

    /** Whether a step sets the lane of a place as it was at the start, however it stood. */
    private boolean restores(Step step, Place place) {
        Action action = step.action();
        Place set = World.place(step.device(), action);
        OptionalInt leaves = action.verb().leaves(action.amount().orElse(0));
        return Lane.of(rig, set).equals(Lane.of(rig, place))
                && leaves.isPresent()
                && leaves.getAsInt() == start.value(set);
    }
}
