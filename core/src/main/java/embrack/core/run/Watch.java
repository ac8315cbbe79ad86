package embrack.core.run;

import embrack.core.chart.Aspect;
import embrack.core.rig.Rig;
import embrack.core.world.Happened;
import embrack.core.world.Lane;
import embrack.core.world.Place;
import embrack.core.world.Reading;
import embrack.core.world.World;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** Watches what stands otherwise than it should, and tells it once it has been so for longer than messages take. */
final class Watch {

    private final Rig rig;
    private final Tape tape;
    private final Agenda agenda;
    private final SortedMap<Place, Wrong> wrongs;

    Watch(Rig rig, Tape tape, Agenda agenda, Map<Place, Wrong> wrongs) {
        this.rig = rig;
        this.tape = tape;
        this.agenda = agenda;
        this.wrongs = new TreeMap<>(wrongs);
    }

    SortedMap<Place, Wrong> wrongs() {
        return wrongs;
    }

    /**
     * Holds the rig as it is against how it should be. What is off is no place.
     *
     * @param doing what was done last, and is to blame for what is wrong from now on
     */
    void compare(World ideal, World actual, long now, Optional<Line.What> doing) {
        SortedSet<Place> differ = ideal.differences(actual);
        differ.removeIf(place -> actual.isDark(place.device()));
        differ.removeAll(givenUp(ideal, differ));
        List<Place> right = wrongs.keySet().stream()
                .filter(place -> !differ.contains(place))
                .toList();
        for (Place place : right) {
            Wrong was = Objects.requireNonNull(wrongs.remove(place));
            if (was.told()) {
                tape.tell(now, new Line.Righted(place, now - was.since()));
            }
        }
        for (Place place : differ) {
            int meant = ideal.value(place);
            int is = actual.value(place);
            Wrong known = wrongs.get(place);
            if (known == null) {
                wrongs.put(place, new Wrong(place, now, meant, is, doing, Optional.empty(), false));
                agenda.add(now + Wrong.SETTLES_MICROS, new Due.Look(place));
            } else {
                wrongs.put(place, known.standing(meant, is));
            }
        }
    }

    /** Of what is one thing, only what should be is wrong: not what stands in its place. */
    private List<Place> givenUp(World ideal, SortedSet<Place> differ) {
        if (differ.size() < 2) {
            return List.of();
        }
        Set<Lane> lanes = differ.stream()
                .filter(place -> place.aspect() == Aspect.CHOSEN && ideal.value(place) != 0)
                .map(place -> Lane.of(rig, place))
                .collect(Collectors.toSet());
        return differ.stream()
                .filter(place -> place.aspect() == Aspect.CHOSEN
                        && ideal.value(place) == 0
                        && lanes.contains(Lane.of(rig, place)))
                .toList();
    }

    /** Tells what is wrong by now for long enough. */
    void look(Place place, long now) {
        Wrong wrong = wrongs.get(place);
        if (wrong == null || wrong.told() || now - wrong.since() < Wrong.SETTLES_MICROS) {
            return;
        }
        Wrong told = wrong.told(stopped(wrong));
        wrongs.put(place, told);
        tape.tell(now, new Line.Amiss(told));
    }

    /** What became of messages since a place stands wrong: of the first that got lost, or that its box left alone. */
    private Optional<Happened> stopped(Wrong wrong) {
        return tape.since(wrong.since())
                .filter(line -> line.what() instanceof Line.Travelled)
                .map(line -> ((Line.Travelled) line.what()).what())
                .filter(happened -> isStopped(happened, wrong))
                .findFirst();
    }

    private static boolean isStopped(Happened happened, Wrong wrong) {
        return switch (happened) {
            case Happened.Lost lost -> true;
            case Happened.Failed failed -> true;
            case Happened.CameRound round -> true;
            case Happened.KeptBack kept -> false;
            case Happened.Sent sent -> false;
            case Happened.Arrived arrived ->
                arrived.socket().device().equals(wrong.place().device())
                        && !(arrived.reading() instanceof Reading.Acts);
        };
    }
}
