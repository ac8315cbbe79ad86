package embrack.core.chart;

import embrack.core.chart.ChartReading.LinedRow;
import embrack.core.midi.MessageType;
import embrack.core.name.Words;
import embrack.core.text.Problem;
import embrack.core.text.Problem.Level;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.IntStream;

/** Finds what is probably not meant: two actions for one message, numbers left out. Cost: that of sorting the rows. */
final class ChartJudge {

    /** More unused numbers in a row than this are a free space, not a slip. */
    private static final int LARGEST_SLIP = 3;

    private final Conventions conventions;
    private final List<LinedRow> rows;
    private final List<Learnable> learnables;
    private final Beside beside;
    private final List<Problem> problems = new ArrayList<>();

    ChartJudge(Conventions conventions, List<LinedRow> rows, List<Learnable> learnables, Beside beside) {
        this.conventions = conventions;
        this.rows = rows;
        this.learnables = learnables;
        this.beside = beside;
    }

    List<Problem> problems() {
        overlaps();
        missingInFamilies();
        missingOpposites();
        unusedNumbers();
        unsaidMeanings();
        return problems;
    }

    private record Key(List<Trigger> before, MessageType type, int number, Object rest) {
        static Key of(ChartRow row) {
            return switch (row.last()) {
                case Trigger.Voice voice -> new Key(row.before(), voice.type(), voice.number(), voice.channel());
                case Trigger.Whole whole -> new Key(row.before(), whole.type(), 0, whole.message());
            };
        }
    }

    private void overlaps() {
        Map<Key, List<LinedRow>> byMessage = new LinkedHashMap<>();
        rows.forEach(row -> byMessage
                .computeIfAbsent(Key.of(row.row()), k -> new ArrayList<>(2))
                .add(row));
        Set<List<Integer>> told = new HashSet<>();
        byMessage.values().stream().filter(same -> same.size() > 1).forEach(same -> {
            same.sort(Comparator.comparingInt(row -> low(row.row())));
            LinedRow widest = same.getFirst();
            for (LinedRow next : same.subList(1, same.size())) {
                if (low(next.row()) <= high(widest.row())) {
                    overlap(widest, next, told);
                }
                widest = high(next.row()) > high(widest.row()) ? next : widest;
            }
        });
    }

    private void overlap(LinedRow one, LinedRow other, Set<List<Integer>> told) {
        LinedRow later = one.line() > other.line() ? one : other;
        LinedRow earlier = later == one ? other : one;
        if (told.add(List.of(earlier.line(), later.line()))) {
            boolean same = one.row().verb() == other.row().verb()
                    && one.row().part().equals(other.row().part());
            add(
                    Level.LOOK,
                    later.line(),
                    same
                            ? "%s stands here twice with the same message.".formatted(words(one.row()))
                            : ("One message, two actions: %s is for \"%s\" (line %d) and for \"%s\". The box "
                                            + "would do both.")
                                    .formatted(
                                            ChartWords.of(later.row().last(), conventions),
                                            words(earlier.row()),
                                            earlier.line(),
                                            words(later.row())));
        }
    }

    private static int low(ChartRow row) {
        return row.last() instanceof Trigger.Voice voice ? voice.values().low() : 0;
    }

    private static int high(ChartRow row) {
        return row.last() instanceof Trigger.Voice voice ? voice.values().high() : 0;
    }

    private record Family(Verb verb, String name) {}

    private void missingInFamilies() {
        Map<Family, TreeMap<Integer, Integer>> families = new LinkedHashMap<>();
        for (LinedRow row : rows) {
            number(row.row().part())
                    .ifPresent(n -> families.computeIfAbsent(
                                    new Family(
                                            row.row().verb(), row.row().part().family()),
                                    k -> new TreeMap<>())
                            .put(n, row.line()));
        }
        families.forEach((family, lines) -> {
            List<Integer> missing = new ArrayList<>();
            for (int n = lines.firstKey(); n < lines.lastKey() && missing.size() <= LARGEST_SLIP; n++) {
                if (!lines.containsKey(n)) {
                    missing.add(n);
                }
            }
            if (!missing.isEmpty() && missing.size() <= LARGEST_SLIP) {
                int line = lines.ceilingEntry(missing.getFirst()).getValue();
                add(
                        Level.NOTE,
                        line,
                        "%s %s is left out: is that so in the manual?".formatted(family.name(), numbers(missing)));
            }
        });
    }

    private void missingOpposites() {
        Map<PartId, Set<Verb>> verbs = new HashMap<>();
        rows.forEach(row -> verbs.computeIfAbsent(row.row().part().id(), k -> EnumSet.noneOf(Verb.class))
                .add(row.row().verb()));
        learnables.forEach(learnable -> verbs.computeIfAbsent(learnable.part().id(), k -> EnumSet.noneOf(Verb.class))
                .add(learnable.verb()));
        Set<Family> told = new HashSet<>();
        for (LinedRow row :
                rows.stream().filter(r -> r.row().verb().opposite().isPresent()).toList()) {
            Set<Verb> here = verbs.getOrDefault(row.row().part().id(), Set.of());
            Optional<Verb> lost = row.row()
                    .verb()
                    .opposite()
                    .filter(opposite -> here.stream()
                            .noneMatch(verb -> verb == opposite
                                    || verb == row.row().verb().alternating().orElse(opposite)
                                    || verb == Verb.FADE_OUT));
            boolean stopsAll = row.row().verb() == Verb.PLAY
                    && rows.stream().anyMatch(r -> r.row().verb() == Verb.STOP_ALL);
            if (lost.isPresent()
                    && !stopsAll
                    && told.add(new Family(row.row().verb(), row.row().part().family()))) {
                add(
                        Level.NOTE,
                        row.line(),
                        "%s can be told to %s but not to %s: is that so in the manual?"
                                .formatted(
                                        row.row().part().name(),
                                        row.row().verb().phrase(),
                                        lost.get().phrase()));
            }
        }
    }

    private void unusedNumbers() {
        Map<MessageType, TreeMap<Integer, Integer>> used = new TreeMap<>();
        for (LinedRow row : rows) {
            for (Trigger trigger : row.row().triggers()) {
                if (trigger instanceof Trigger.Voice voice) {
                    used.computeIfAbsent(voice.type(), k -> new TreeMap<>()).putIfAbsent(voice.number(), row.line());
                }
            }
        }
        used.forEach((type, lines) -> {
            int before = -1;
            for (Map.Entry<Integer, Integer> each : lines.entrySet()) {
                int gap = before < 0 ? 0 : each.getKey() - before - 1;
                if (gap > 0 && gap <= LARGEST_SLIP && lines.size() > 4) {
                    List<Integer> unused = IntStream.range(each.getKey() - gap, each.getKey())
                            .mapToObj(n -> ChartWords.number(type, n, conventions))
                            .toList();
                    add(
                            Level.NOTE,
                            each.getValue(),
                            "%s %s %s nothing here: is that so in the manual?"
                                    .formatted(type.shortName(), numbers(unused), unused.size() == 1 ? "does" : "do"));
                }
                before = each.getKey();
            }
        });
    }

    /** Parts that may be something to a show which the chart does not say, once a meaning. */
    private void unsaidMeanings() {
        Map<Meaning, Set<Part>> parts = new EnumMap<>(Meaning.class);
        Map<Meaning, Integer> lines = new EnumMap<>(Meaning.class);
        for (LinedRow row : rows) {
            Part part = row.row().part();
            Meaning.suggestedBy(part.id(), row.row().verb())
                    .filter(meaning -> beside.all(meaning).isEmpty())
                    .ifPresent(meaning -> {
                        parts.computeIfAbsent(meaning, k -> new LinkedHashSet<>())
                                .add(part);
                        lines.putIfAbsent(meaning, row.line());
                    });
        }
        parts.forEach((meaning, each) -> {
            List<Part> all = List.copyOf(each);
            add(
                    Level.LOOK,
                    lines.getOrDefault(meaning, 1),
                    "%s Then add: %s"
                            .formatted(
                                    meaning.question(all.getFirst()),
                                    String.join("; ", ChartWriter.meanings(meaning, all))));
        });
    }

    private void add(Level level, int line, String words) {
        problems.add(new Problem(level, line, 1, 1, words));
    }

    private static Optional<Integer> number(Part part) {
        String name = part.name().text();
        int from = name.length();
        while (from > 0 && name.length() - from < 6 && Character.isDigit(name.charAt(from - 1))) {
            from--;
        }
        return from == name.length() ? Optional.empty() : Optional.of(Integer.parseInt(name.substring(from)));
    }

    private static String numbers(List<Integer> numbers) {
        return Words.list(numbers);
    }

    private static String words(ChartRow row) {
        return row.verb().phrase() + " " + row.part().name();
    }
}
