package embrack.app.run;

import embrack.app.store.LogStore;
import embrack.app.store.RigId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Whose feet were trained, how they did, and what to practise.
 *
 * @param people all whose feet there are
 * @param person the one that is looked at; may be nobody's name
 * @param history that one's drills and shows, the newest first
 * @param practise what goes wrong most in the newest of them, the worst first
 */
record DrillPage(List<String> people, String person, List<Past> history, List<Weak> practise) {

    /** So many of the newest drills count for what to practise. */
    private static final int NEWEST = 5;

    private static final int MOST_WEAK = 12;

    /** A drill or show: how many presses there were, and how many were right. */
    record Past(long entry, String when, int presses, int right, int percent) {}

    /** A press that goes wrong. {@code how} "2 of 5 right, mostly late, by 340 ms". */
    record Weak(String label, String part, String how) {}

    static DrillPage of(LogStore log, RigId rig, String person) {
        List<String> people = log.people(rig);
        String one = person.isEmpty() && !people.isEmpty() ? people.getFirst() : person;
        Map<Long, List<LogStore.Foot>> drills = new LinkedHashMap<>();
        log.feet(rig, one)
                .forEach(foot -> drills.computeIfAbsent(foot.entry(), id -> new ArrayList<>())
                        .add(foot));
        List<Past> history = drills.values().stream().map(DrillPage::past).toList();
        List<LogStore.Foot> newest =
                drills.values().stream().limit(NEWEST).flatMap(List::stream).toList();
        return new DrillPage(people, one, history, weak(newest));
    }

    private static Past past(List<LogStore.Foot> feet) {
        int right = (int) feet.stream().filter(DrillPage::isRight).count();
        return new Past(feet.getFirst().entry(), feet.getFirst().when(), feet.size(), right, 100 * right / feet.size());
    }

    private static boolean isRight(LogStore.Foot foot) {
        return foot.grade().equals("right") && !foot.isWrong();
    }

    /** A switch at a place of the order. */
    private record Place(String label, String part) {}

    private static List<Weak> weak(List<LogStore.Foot> feet) {
        Map<Place, List<LogStore.Foot>> places = new LinkedHashMap<>();
        feet.forEach(foot -> places.computeIfAbsent(new Place(foot.label(), foot.part()), key -> new ArrayList<>())
                .add(foot));
        return places.entrySet().stream()
                .filter(place -> place.getValue().stream().anyMatch(foot -> !isRight(foot)))
                .sorted(Comparator.comparingDouble(place -> rights(place.getValue())))
                .limit(MOST_WEAK)
                .map(place -> new Weak(place.getKey().label(), place.getKey().part(), how(place.getValue())))
                .toList();
    }

    private static double rights(List<LogStore.Foot> feet) {
        return feet.stream().filter(DrillPage::isRight).count() / (double) feet.size();
    }

    private static String how(List<LogStore.Foot> feet) {
        List<String> words = new ArrayList<>();
        words.add("%d of %d right"
                .formatted(feet.stream().filter(DrillPage::isRight).count(), feet.size()));
        for (String grade : List.of("missed", "late", "early")) {
            long count =
                    feet.stream().filter(foot -> foot.grade().equals(grade)).count();
            if (count > 0) {
                words.add(count + " " + grade);
            }
        }
        long wrong = feet.stream().filter(LogStore.Foot::isWrong).count();
        if (wrong > 0) {
            words.add(wrong + " after another switch");
        }
        feet.stream()
                .filter(foot -> !foot.grade().equals("missed"))
                .max(Comparator.comparingInt(foot -> Math.abs(foot.millis())))
                .filter(foot -> !foot.grade().equals("right"))
                .ifPresent(foot -> words.add(
                        "at worst %d ms %s".formatted(Math.abs(foot.millis()), foot.millis() < 0 ? "early" : "late")));
        return String.join(", ", words);
    }
}
