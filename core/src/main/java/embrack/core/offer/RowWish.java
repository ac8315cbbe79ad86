package embrack.core.offer;

import embrack.core.chart.Part;
import embrack.core.chart.Verb;
import embrack.core.rig.DeviceId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * What a whole row is to do, as people say it: "mute inputs 1-10, not 4", "pads C to B", "layers 1-4 opacity".
 *
 * @param stem what is done, without which
 * @param from the first of the run, as its box calls it; empty for the first there is
 * @param to the last of the run; empty for as many as are needed
 * @param not those that are left out
 */
public record RowWish(String stem, String from, String to, List<String> not) {

    private static final Pattern NOT = Pattern.compile("(?i)[,\\s]+(?:but not|not|except|without)\\s+(.+)$");
    private static final Pattern NUMBERS = Pattern.compile("(\\d{1,3})\\s*(?:-|\u2013|\\.\\.|\\bto\\b)\\s*(\\d{1,3})");
    private static final Pattern NAMES =
            Pattern.compile("(?i)\\b([a-g][b#]?)\\s*(?:-|\u2013|\\.\\.|\\bto\\b)\\s*([a-g][b#]?)(?!\\S)");

    /** As it is typed. */
    public static RowWish of(String typed) {
        String text = typed.strip();
        Matcher not = NOT.matcher(text);
        List<String> left = List.of();
        if (not.find()) {
            left = listed(not.group(1));
            text = text.substring(0, not.start());
        }
        for (Pattern range : List.of(NUMBERS, NAMES)) {
            Matcher run = range.matcher(text);
            if (run.find()) {
                String stem = (text.substring(0, run.start()) + " " + text.substring(run.end())).strip();
                return new RowWish(stem, run.group(1), run.group(2), left);
            }
        }
        return new RowWish(text, "", "", left);
    }

    private static List<String> listed(String typed) {
        return Stream.of(typed.split("[,\\s]+|\\band\\b"))
                .filter(name -> !name.isBlank())
                .flatMap(RowWish::each)
                .toList();
    }

    private static Stream<String> each(String name) {
        Matcher run = NUMBERS.matcher(name);
        return run.matches()
                ? IntStream.rangeClosed(Integer.parseInt(run.group(1)), Integer.parseInt(run.group(2)))
                        .mapToObj(String::valueOf)
                : Stream.of(name);
    }

    /** What something that was found is done to. */
    record About(DeviceId device, Verb verb, Part part, String tape) {}

    /**
     * Those of what was found that the row is about: of the first and its siblings, in the order of the box.
     *
     * @param found for the stem, the likeliest first
     * @param parts of the device of the first, in their order
     * @throws IllegalArgumentException with a sentence for the person when the run has no beginning or end there
     */
    <T> List<T> of(List<T> found, Function<T, About> about, Function<DeviceId, List<Part>> parts) {
        if (found.isEmpty()) {
            return List.of();
        }
        About first = about.apply(found.getFirst());
        List<Part> order = parts.apply(first.device());
        List<T> siblings = found.stream()
                .filter(one -> isSibling(about.apply(one), first))
                .sorted(Comparator.comparingInt(
                        one -> order.indexOf(about.apply(one).part())))
                .toList();
        int begin = from.isEmpty() ? 0 : place(siblings, about, from);
        int end = to.isEmpty() ? siblings.size() - 1 : place(siblings, about, to);
        List<T> row = new ArrayList<>();
        for (int i = 0; i <= Math.floorMod(end - begin, siblings.size()); i++) {
            T one = siblings.get((begin + i) % siblings.size());
            if (not.stream().noneMatch(name -> isCalled(about.apply(one), name))) {
                row.add(one);
            }
        }
        return row;
    }

    private static boolean isSibling(About one, About first) {
        return one.device().equals(first.device())
                && one.verb() == first.verb()
                && one.part().family().equals(first.part().family());
    }

    private static <T> int place(List<T> siblings, Function<T, About> about, String name) {
        return IntStream.range(0, siblings.size())
                .filter(i -> isCalled(about.apply(siblings.get(i)), name))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("There is no %s %s."
                        .formatted(about.apply(siblings.getFirst()).part().family(), name)));
    }

    /** Whether a part goes by a name: what stands behind its family's, or its tape. */
    private static boolean isCalled(About one, String name) {
        String printed = one.part().name().text();
        String behind = printed.startsWith(one.part().family())
                ? printed.substring(one.part().family().length()).strip()
                : printed;
        return behind.equalsIgnoreCase(name)
                || one.tape().toLowerCase(Locale.ROOT).equals(name.toLowerCase(Locale.ROOT));
    }
}
