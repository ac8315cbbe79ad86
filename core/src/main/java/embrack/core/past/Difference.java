package embrack.core.past;

import embrack.core.plan.Plan;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;

/**
 * A thing that is another in a later plan, in words.
 *
 * @param name what it is called, in the later plan if it is there
 * @param before what it was, a line each; empty when it was not there
 * @param after what it is; empty when it is there no more
 */
public record Difference(Thing thing, String name, List<Line> before, List<Line> after) {

    /** A line of what a thing is, and whether the other plan says it too. */
    public record Line(String words, boolean isSame) {}

    public Difference {
        before = List.copyOf(before);
        after = List.copyOf(after);
    }

    /** As many lines say the same in both. */
    public long same() {
        return after.stream().filter(Line::isSame).count();
    }

    /** Whether it came. */
    public boolean isNew() {
        return before.isEmpty();
    }

    /** Whether it went. */
    public boolean isGone() {
        return after.isEmpty();
    }

    /** All that is another from an earlier plan to a later one, in the order of rooms. */
    public static List<Difference> between(Plan earlier, Plan later) {
        Things then = Things.of(earlier);
        Things now = Things.of(later);
        var thenInWords = new InWords(earlier);
        var nowInWords = new InWords(later);
        Set<Thing> all = new LinkedHashSet<>(now.all());
        all.addAll(then.all());
        List<Difference> differences = new ArrayList<>();
        for (Thing.Room room : Thing.Room.values()) {
            for (Thing thing : all) {
                if (thing.room() != room
                        || Objects.equals(then.find(thing), now.find(thing))
                        || comesOrGoes(thing, then, now)) {
                    continue;
                }
                boolean whole = then.find(thing).isEmpty() || now.find(thing).isEmpty();
                List<String> before = thenInWords.lines(thing, then, whole);
                List<String> after = nowInWords.lines(thing, now, whole);
                if (!before.equals(after)) {
                    differences.add(new Difference(
                            thing,
                            now.find(thing).isPresent() ? nowInWords.name(thing) : thenInWords.name(thing),
                            beside(before, after),
                            beside(after, before)));
                }
            }
        }
        return List.copyOf(differences);
    }

    /** Whether what a thing is a part of comes or goes as a whole. */
    private static boolean comesOrGoes(Thing thing, Things then, Things now) {
        return thing.owner()
                .filter(owner -> then.find(owner).isEmpty() || now.find(owner).isEmpty())
                .isPresent();
    }

    private static List<Line> beside(List<String> lines, List<String> others) {
        List<String> left = new ArrayList<>(others);
        return lines.stream().map(line -> new Line(line, left.remove(line))).toList();
    }
}
