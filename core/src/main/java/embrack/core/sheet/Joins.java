package embrack.core.sheet;

import embrack.core.chart.Aspect;
import embrack.core.gear.Ear;
import embrack.core.gear.Kind;
import embrack.core.level.Crossfade;
import embrack.core.live.Sounding;
import embrack.core.live.Soundscape;
import embrack.core.music.Clock;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.Rig;
import embrack.core.show.Entry;
import embrack.core.show.Running;
import embrack.core.show.Show;
import embrack.core.show.Song;
import embrack.core.show.Transition;
import embrack.core.show.Transition.Way;
import embrack.core.sound.SoundPaths;
import embrack.core.switches.Duty;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Lane;
import embrack.core.world.Place;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/** The joins of a show: what is heard, seen and open between one part and the next, and who brings in the next. */
public final class Joins {

    private final Plan plan;
    private final Rig rig;
    private final Show show;
    private final Set<Place> worked = new TreeSet<>();
    private final List<Running.Part> silences = new ArrayList<>();
    private final Soundscape scape;

    private Joins(Plan plan, Show show) {
        this.plan = plan;
        this.rig = plan.rig();
        this.show = show;
        this.scape = new Soundscape(plan, new SoundPaths(rig));
        plan.switches().assignments().stream()
                .flatMap(assignment -> assignment.steps().stream())
                .forEach(this::work);
        plan.book().cues().stream().flatMap(cue -> cue.steps().stream()).forEach(this::work);
    }

    private void work(Step step) {
        worked.add(World.place(step.device(), step.action()));
    }

    /**
     * One join.
     *
     * @param from the part that ends
     * @param into the part that begins
     * @param way how one goes over, with its time
     * @param lines what is heard, seen and open, and who acts, by what each is about
     * @param blank what nobody meant perhaps: silence, nobody who begins; empty when nothing of the sort is there
     */
    public record Join(Entry from, Entry into, String way, Map<About, String> lines, Optional<String> blank) {}

    /** What a line of a join is about, in the order in which people ask. */
    public enum About {
        SOUND("Sound"),
        LOOK("Look"),
        PICTURE("Picture"),
        MICROPHONES("Open microphones"),
        EFFECTS("Effects"),
        WHO("Who does what");

        private final String words;

        About(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** All joins of a show, in order; the rig is taken to do what its cues mean. */
    public static List<Join> of(Plan plan, Show show) {
        return new Joins(plan, show).all();
    }

    private List<Join> all() {
        Running running = Running.of(plan.book(), show);
        List<Running.Part> parts = running.parts();
        silences.addAll(running.silences());
        List<Join> joins = new ArrayList<>();
        World world = World.poweredOn(rig);
        for (int i = 0; i + 1 < parts.size(); i++) {
            Running.Part one = parts.get(i);
            world = after(world, one.entry());
            joins.add(join(one, parts.get(i + 1), world));
        }
        return joins;
    }

    private World after(World world, Entry entry) {
        World next = world;
        for (Step step : entry.song().map(plan.book()::song).map(Song::cues).orElse(List.of()).stream()
                .flatMap(cue -> cue.steps().stream())
                .toList()) {
            next = next.after(step.device(), List.of(step.action()));
        }
        return next;
    }

    private Join join(Running.Part one, Running.Part next, World world) {
        Transition transition = one.entry().transition();
        Map<About, String> lines = new TreeMap<>();
        lines.put(About.SOUND, sound(one, transition) + goesOn(world));
        lines.put(About.LOOK, standing(world, kind -> kind == Kind.LIGHT_DESK, "as it was left by hand"));
        lines.put(About.PICTURE, standing(world, kind -> kind == Kind.PICTURES, "as it was left by hand"));
        lines.put(About.MICROPHONES, microphones(world));
        lines.put(
                About.EFFECTS,
                standing(world, kind -> kind == Kind.SOUND_SWITCHER || kind == Kind.INSTRUMENT_HOST, "none is on"));
        lines.put(About.WHO, ends(one.entry()) + armed(next.entry()) + who(transition, next.entry()));
        lines.values().removeIf(String::isEmpty);
        return new Join(
                one.entry(),
                next.entry(),
                transition.way().takesTime()
                        ? "%s, %s".formatted(transition.way().words(), Clock.brief(transition.micros()))
                        : transition.way().words(),
                lines,
                blank(one));
    }

    private static String sound(Running.Part one, Transition transition) {
        String bed = one.pad().map("The pad in %s goes on. "::formatted).orElse("");
        return bed
                + switch (transition.way()) {
                    case CROSSFADE ->
                        "Both sound for %s. In the middle, %s; %s. Which of them it is, the player's manual says."
                                .formatted(
                                        Clock.brief(transition.micros()),
                                        Crossfade.LINEAR.middle(),
                                        Crossfade.EQUAL_POWER.middle());
                    case FADE -> "It fades out over %s.".formatted(Clock.brief(transition.micros()));
                    case TAIL -> "Its reverb rings for %s.".formatted(Clock.brief(transition.micros()));
                    case ON_DEMAND -> one.pad().isPresent() ? "" : "Nothing sounds until the next begins.";
                    case HARD, STRAIGHT_ON -> one.pad().isPresent() ? "" : "It ends, and the next begins at once.";
                };
    }

    /** What was begun and goes on under the join, with how loud the house hears it, or who does. */
    private String goesOn(World world) {
        return scape.sounding(world).stream().map(this::words).collect(Collectors.joining());
    }

    private String words(Sounding sounding) {
        String name = sounding.source().words(rig);
        if (sounding.isUnheard()) {
            return " Running unheard, and in at once when its level or mute is opened: %s.".formatted(name);
        }
        return sounding.heardBy().stream()
                .filter(listener -> listener.ear() == Ear.HOUSE)
                .findFirst()
                .map(house -> " Still heard: %s, in the house at %s."
                        .formatted(
                                name,
                                Objects.requireNonNull(sounding.gains().get(house))
                                        .words()))
                .orElseGet(() -> " Still heard: %s, by %s."
                        .formatted(
                                name,
                                Words.list(sounding.heardBy().stream()
                                        .map(listener -> listener.words(rig))
                                        .toList())));
    }

    /** What stands on boxes of some kinds that this rig works: "Lights: Scene 3". */
    private String standing(World world, Predicate<Kind> which, String none) {
        List<String> on = new ArrayList<>();
        boolean isWorked = false;
        Set<Lane> seen = new TreeSet<>();
        for (Place place : worked) {
            if (!which.test(rig.model(place.device()).kind())
                    || place.aspect().isCount()
                    || place.aspect() == Aspect.LEVEL) {
                continue;
            }
            isWorked = true;
            if (world.value(place) != 0 && seen.add(Lane.of(rig, place))) {
                on.add("%s: %s".formatted(rig.name(place.device()), rig.partName(place.device(), place.part())));
            }
        }
        return !isWorked ? "" : on.isEmpty() ? none : Words.list(on);
    }

    private String microphones(World world) {
        List<Place> mutes =
                worked.stream().filter(place -> place.aspect() == Aspect.MUTED).toList();
        List<String> open = mutes.stream()
                .filter(place -> world.value(place) == 0)
                .map(place -> rig.partName(place.device(), place.part()).text())
                .toList();
        return mutes.isEmpty() ? "" : open.isEmpty() ? "all that switches work are muted" : Words.list(open);
    }

    private String who(Transition transition, Entry next) {
        Optional<String> press = next.press()
                .or(() -> transition.way() == Way.ON_DEMAND ? go() : Optional.empty())
                .map(plan::words);
        return press.map(words -> "%s begins %s.".formatted(words, next.name()))
                .orElseGet(() -> transition.way() == Way.STRAIGHT_ON || transition.way() == Way.CROSSFADE
                        ? "%s follows by itself.".formatted(next.name())
                        : next.item().isSpoken()
                                ? "Whoever speaks begins."
                                : "Nobody is said to begin %s.".formatted(next.name()));
    }

    private String armed(Entry next) {
        return next.calls()
                .arm()
                .map(at -> "%s makes %s ready. ".formatted(plan.words(at), next.name()))
                .orElse("");
    }

    private Optional<SwitchAt> go() {
        return plan.switches().assignments().stream()
                .filter(assignment -> assignment.isFor(Duty.GO))
                .map(assignment -> assignment.at())
                .findFirst();
    }

    /** Silence that nobody meant: nothing sounds between two songs until somebody acts. */
    private Optional<String> blank(Running.Part one) {
        return silences.contains(one)
                ? Optional.of("Silence until somebody presses. If that is not meant, put a pad under it, or a talk"
                        + " between.")
                : Optional.empty();
    }

    /** Who ends a part, where it does not end by itself. */
    private String ends(Entry entry) {
        return switch (entry.calls().ending()) {
            case ITSELF -> "";
            case FOOT ->
                "%s ends %s. ".formatted(entry.calls().end().map(plan::words).orElse("A foot"), entry.name());
            case DESK -> "%s is ended at the desk, by hand. ".formatted(entry.name());
        };
    }
}
