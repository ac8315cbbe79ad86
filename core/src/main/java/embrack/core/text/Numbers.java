package embrack.core.text;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/** Numbers as people list them: "1..8, 12". */
public final class Numbers {

    private static final Pattern PIECE = Pattern.compile("(\\d{1,5})(?:\\s*(?:\\.\\.|-|\u2013|to)\\s*(\\d{1,5}))?");

    private Numbers() {}

    /**
     * Numbers and ranges with commas between; {@code 1..8}, {@code 1-8} and {@code 1 to 8} are the same.
     *
     * @param max the highest that is allowed; the lowest is 1
     * @throws IllegalArgumentException with a sentence for the person when it is something else
     */
    public static SortedSet<Integer> parse(String typed, int max) {
        SortedSet<Integer> numbers = new TreeSet<>();
        for (String piece : typed.isBlank() ? new String[0] : typed.split(",")) {
            Matcher matcher = PIECE.matcher(piece.strip());
            if (!matcher.matches()) {
                throw new IllegalArgumentException(
                        "\"%s\" is no number and no range; write such as 1..8, 12.".formatted(piece.strip()));
            }
            int first = Integer.parseInt(matcher.group(1));
            int last = matcher.group(2) == null ? first : Integer.parseInt(matcher.group(2));
            if (first < 1 || last > max || first > last) {
                throw new IllegalArgumentException(
                        "\"%s\" does not lie in 1 to %d, from low to high.".formatted(piece.strip(), max));
            }
            IntStream.rangeClosed(first, last).forEach(numbers::add);
        }
        return numbers;
    }

    /** Numbers in their order in as few words as can be: "80..88, 102". */
    public static String text(Collection<Integer> numbers) {
        List<Integer> all = List.copyOf(numbers);
        List<String> pieces = new ArrayList<>();
        for (int i = 0; i < all.size(); ) {
            int end = i + 1;
            while (end < all.size() && all.get(end) == all.get(i) + end - i) {
                end++;
            }
            pieces.add(end - i == 1 ? String.valueOf(all.get(i)) : all.get(i) + ".." + all.get(end - 1));
            i = end;
        }
        return String.join(", ", pieces);
    }
}
