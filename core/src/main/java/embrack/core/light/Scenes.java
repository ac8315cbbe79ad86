package embrack.core.light;

import embrack.core.chart.Action;
import embrack.core.chart.Chart;
import embrack.core.chart.Meaning;
import embrack.core.chart.Part;
import embrack.core.chart.PartId;
import embrack.core.chart.Verb;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;

/**
 * Where a desk can hold looks: its scenes, in each of its banks where it has some.
 *
 * @param scenes those that its chart says are scenes; else what of it puts out one another; else all that is recalled
 * @param banks those that its chart says are banks; else what is recalled beside scenes that put out one another; the
 *     first is chosen from the start; empty for a desk without
 */
public record Scenes(List<PartId> scenes, List<PartId> banks) {

    private static final List<Verb> SHOWS = List.of(Verb.RECALL, Verb.ON, Verb.SELECT, Verb.GO, Verb.RUN, Verb.TOGGLE);

    /** A show has a few desks, and each cue is looked at by them. */
    private static final int MOST_KNOWN = 200;

    private static final Map<Chart, Scenes> KNOWN = new ConcurrentHashMap<>();

    public Scenes {
        scenes = List.copyOf(scenes);
        banks = List.copyOf(banks);
    }

    /** Those of a desk, by its chart. */
    public static Scenes of(Chart chart) {
        if (KNOWN.size() >= MOST_KNOWN) {
            KNOWN.clear();
        }
        return KNOWN.computeIfAbsent(chart, Scenes::read);
    }

    private static Scenes read(Chart chart) {
        List<PartId> recalled = chart.actions().stream()
                .filter(action -> action.verb() == Verb.RECALL)
                .map(Action::part)
                .distinct()
                .toList();
        List<PartId> alone = chart.beside().standing().alone().stream()
                .flatMap(List::stream)
                .filter(part -> chart.need(part).isEmpty())
                .toList();
        List<PartId> scenes = meant(chart, Meaning.SCENE);
        List<PartId> banks = meant(chart, Meaning.BANK);
        return new Scenes(
                !scenes.isEmpty() ? scenes : !alone.isEmpty() ? alone : recalled,
                !banks.isEmpty() ? banks : !scenes.isEmpty() || alone.isEmpty() ? List.of() : recalled);
    }

    private static List<PartId> meant(Chart chart, Meaning meaning) {
        return chart.parts().stream()
                .map(Part::id)
                .filter(part -> chart.isMeant(part, meaning))
                .toList();
    }

    /** Whether doing so to a scene shows what it holds. */
    public static boolean isShown(Verb verb) {
        return SHOWS.contains(verb);
    }

    /** Parts of a desk that can hold a chase: what of it is run, or stands still without something else. */
    public static List<PartId> chases(Chart chart) {
        return chart.actions().stream()
                .filter(action ->
                        action.verb() == Verb.RUN || chart.need(action.part()).isPresent())
                .map(Action::part)
                .distinct()
                .toList();
    }

    /** A place for a look. */
    public record Place(Optional<PartId> bank, PartId scene) {}

    /** All places, bank by bank. */
    public List<Place> places() {
        List<Place> places = new ArrayList<>();
        List<Optional<PartId>> all = banks.isEmpty()
                ? List.of(Optional.empty())
                : banks.stream().map(Optional::of).toList();
        for (Optional<PartId> bank : all) {
            scenes.forEach(scene -> places.add(new Place(bank, scene)));
        }
        return places;
    }

    /** What has a desk show what it holds at a place: the bank first, then the scene. */
    public static List<Action> shows(Chart chart, Place place) {
        return Stream.concat(place.bank().stream(), Stream.of(place.scene()))
                .flatMap(part -> SHOWS.stream()
                        .map(verb -> new Action(verb, part))
                        .filter(action -> chart.actions().contains(action))
                        .limit(1))
                .toList();
    }
}
