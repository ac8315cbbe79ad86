package embrack.core.past;

import embrack.core.gear.Model;
import embrack.core.light.Chase;
import embrack.core.light.Fixture;
import embrack.core.light.FixtureType;
import embrack.core.light.Held;
import embrack.core.light.Lights;
import embrack.core.light.Look;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.Link;
import embrack.core.rig.Pair;
import embrack.core.rig.Rig;
import embrack.core.show.Book;
import embrack.core.show.Cue;
import embrack.core.show.Entry;
import embrack.core.show.Show;
import embrack.core.show.Song;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.Practice;
import embrack.core.switches.Practices;
import embrack.core.switches.Switches;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A plan as its things, in order, each with what it is. Taken apart and put together, a plan is the same: nothing of it
 * is in no thing.
 */
public final class Things {

    /** What every song sends, with the last number that was given to one of them. */
    private record Always(List<Cue> cues, int last) {}

    private final Map<Thing, Object> all;

    private Things(Map<Thing, Object> all) {
        this.all = Collections.unmodifiableMap(all);
    }

    /** The things of a plan. */
    public static Things of(Plan plan) {
        Map<Thing, Object> all = new LinkedHashMap<>();
        Rig rig = plan.rig();
        all.put(new Thing.Name(), rig.name());
        rig.models().forEach(model -> all.put(new Thing.Hardware(model.id()), model));
        rig.devices().forEach(device -> all.put(new Thing.Box(device.id()), device));
        rig.links().forEach(link -> all.put(new Thing.Lead(link.from(), link.to()), link));
        rig.pairs().forEach(pair -> all.put(new Thing.StandIn(pair.first()), pair));
        Lights lights = plan.lights();
        lights.types().forEach(type -> all.put(new Thing.Sort(type.id()), type));
        lights.fixtures().forEach(fixture -> all.put(new Thing.Lamp(fixture.id()), fixture));
        lights.looks().forEach(look -> all.put(new Thing.OneLook(look.id()), look));
        lights.held().forEach(held -> all.put(new Thing.Scene(held.desk(), held.place()), held));
        lights.chases().forEach(chase -> all.put(new Thing.OneChase(chase.id()), chase));
        plan.switches().assignments().forEach(one -> all.put(new Thing.Pressed(one.at()), one));
        plan.switches().controlAssignments().forEach(one -> all.put(new Thing.Moved(one.at()), one));
        plan.practices().answers().forEach((practice, answer) -> all.put(new Thing.Way(practice), answer));
        Book book = plan.book();
        if (book.lastAlways() > 0) {
            all.put(new Thing.EverySong(), new Always(book.always(), book.lastAlways()));
        }
        for (Song song : book.songs()) {
            all.put(new Thing.OneSong(song.id()), song.withCues(List.of()));
            song.cues().forEach(cue -> all.put(new Thing.OneCue(song.id(), cue.number()), cue));
        }
        for (Show show : book.shows()) {
            all.put(new Thing.OneShow(show.id()), show.withOrder(List.of()));
            show.order().forEach(entry -> all.put(new Thing.OnePart(show.id(), entry.number()), entry));
        }
        return new Things(all);
    }

    /** What a thing is; empty when there is none of it. */
    public Optional<Object> find(Thing thing) {
        return Optional.ofNullable(all.get(thing));
    }

    /** All of them, in the order of the plan. */
    public Collection<Thing> all() {
        return all.keySet();
    }

    /** What is another in later things, or there in one of both alone. */
    public List<Thing> changed(Things later) {
        return Stream.concat(all.keySet().stream(), later.all.keySet().stream())
                .distinct()
                .filter(thing -> !find(thing).equals(later.find(thing)))
                .toList();
    }

    /**
     * With some things as they are in another plan: changed, put where they stood there, or taken out. What comes or
     * goes does so with its parts, and with how it is described. Numbers that were given to cues and parts since are
     * not given again.
     */
    public Things with(Collection<Thing> some, Things other) {
        Set<Thing> chosen = new LinkedHashSet<>(some);
        Stream.concat(all.keySet().stream(), other.all.keySet().stream())
                .filter(thing -> thing.owner()
                        .filter(owner ->
                                some.contains(owner) && !(all.containsKey(owner) && other.all.containsKey(owner)))
                        .isPresent())
                .forEach(chosen::add);
        List<Thing> order = new ArrayList<>(all.keySet());
        Map<Thing, Object> values = new LinkedHashMap<>(all);
        List<Thing> there = List.copyOf(other.all.keySet());
        for (Thing thing : there) {
            if (!chosen.contains(thing)) {
                continue;
            }
            Object value = Objects.requireNonNull(other.all.get(thing));
            values.merge(thing, value, Things::numbered);
            if (!order.contains(thing)) {
                order.add(place(order, there, there.indexOf(thing)), thing);
            }
        }
        order.removeIf(thing -> chosen.contains(thing) && !other.all.containsKey(thing));
        Map<Thing, Object> kept = new LinkedHashMap<>();
        order.forEach(thing -> kept.put(thing, Objects.requireNonNull(values.get(thing))));
        List.copyOf(kept.values())
                .forEach(value -> described(value)
                        .filter(thing -> !kept.containsKey(thing))
                        .flatMap(
                                thing -> find(thing).or(() -> other.find(thing)).map(what -> Map.entry(thing, what)))
                        .ifPresent(description -> kept.put(description.getKey(), description.getValue())));
        Set<Thing> used = kept.values().stream()
                .flatMap(value -> described(value).stream())
                .collect(Collectors.toSet());
        kept.keySet().removeIf(thing -> thing instanceof Thing.Hardware && !used.contains(thing));
        return new Things(kept);
    }

    /** The description without which a thing is nothing: it comes along, and stays while anything is of it. */
    private static Optional<Thing> described(Object value) {
        return switch (value) {
            case Device device -> Optional.of(new Thing.Hardware(device.model()));
            case Fixture fixture -> Optional.of(new Thing.Sort(fixture.type()));
            default -> Optional.empty();
        };
    }

    /** Behind the nearest of those before it that is there. */
    private static int place(List<Thing> order, List<Thing> there, int index) {
        for (int before = index - 1; before >= 0; before--) {
            int at = order.indexOf(there.get(before));
            if (at >= 0) {
                return at + 1;
            }
        }
        return 0;
    }

    /** An earlier one, which gives no number again that the present one gave. */
    static Object numbered(Object now, Object then) {
        return switch (then) {
            case Song song when now instanceof Song present -> song.numberedFrom(present.lastCue());
            case Show show when now instanceof Show present -> show.numberedFrom(present.lastPart());
            case Always always
            when now instanceof Always present -> new Always(always.cues(), Math.max(always.last(), present.last()));
            default -> then;
        };
    }

    /**
     * The plan that they are.
     *
     * @throws IllegalArgumentException with a sentence for a person when something lacks what it needs
     */
    public Plan plan() {
        Map<Practice, Integer> answers = new EnumMap<>(Practice.class);
        all.forEach((thing, value) -> {
            if (thing instanceof Thing.Way way && value instanceof Integer answer) {
                answers.put(way.practice(), answer);
            }
        });
        Rig rig = new Rig(
                the(TapeLabel.class).getFirst(), the(Model.class), the(Device.class), the(Link.class), the(Pair.class));
        return new Plan(
                rig,
                new Switches(the(Assignment.class), the(ControlAssignment.class)),
                new Practices(answers),
                new Book(
                        songs(),
                        the(Always.class).stream().findFirst().map(Always::cues).orElse(List.of()),
                        shows(),
                        the(Always.class).stream().findFirst().map(Always::last).orElse(0)),
                new Lights(
                        the(FixtureType.class),
                        the(Fixture.class),
                        the(Look.class),
                        the(Held.class),
                        the(Chase.class)));
    }

    private List<Song> songs() {
        return the(Song.class).stream()
                .map(song -> song.withCues(owned(new Thing.OneSong(song.id()), Cue.class)))
                .toList();
    }

    private List<Show> shows() {
        return the(Show.class).stream()
                .map(show -> show.withOrder(owned(new Thing.OneShow(show.id()), Entry.class)))
                .toList();
    }

    private <T> List<T> owned(Thing owner, Class<T> kind) {
        return all.entrySet().stream()
                .filter(entry -> entry.getKey().owner().filter(owner::equals).isPresent())
                .map(Map.Entry::getValue)
                .filter(kind::isInstance)
                .map(kind::cast)
                .toList();
    }

    private <T> List<T> the(Class<T> kind) {
        return all.values().stream().filter(kind::isInstance).map(kind::cast).toList();
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Things things && all.equals(things.all);
    }

    @Override
    public int hashCode() {
        return all.hashCode();
    }

    @Override
    public String toString() {
        return all.keySet().toString();
    }
}
