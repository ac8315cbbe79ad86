package embrack.core.light;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/**
 * Where the slots of a fixture begin.
 *
 * @param universe counted from 1, at most 63 999 (ANSI E1.31)
 * @param start 1 to 512
 */
public record Address(int universe, int start) implements Comparable<Address> {

    private static final int LAST_UNIVERSE = 63_999;
    private static final int DIP_SWITCHES = 9;
    private static final Pattern FORM = Pattern.compile("(?:(\\d{1,5})\\s*[./]\\s*)?(\\d{1,4})");

    public Address {
        if (universe < 1 || universe > LAST_UNIVERSE) {
            throw new IllegalArgumentException("Universes are counted from 1 to 63999, not " + universe + ".");
        }
        if (start < 1 || start > Mode.MAX_SLOTS) {
            throw new IllegalArgumentException("An address is 1 to 512, not " + start + ".");
        }
    }

    /**
     * Reads "33", or "2.33" in the second universe.
     *
     * @throws IllegalArgumentException with a sentence for the person when it is no address
     */
    public static Address parse(String typed) {
        Matcher matcher = FORM.matcher(typed.strip());
        if (!matcher.matches()) {
            throw new IllegalArgumentException(
                    "Write an address as the fixture shows it, 1 to 512; 2.33 is 33 in the second universe.");
        }
        int universe =
                Optional.ofNullable(matcher.group(1)).map(Integer::parseInt).orElse(1);
        return new Address(universe, Integer.parseInt(matcher.group(2)));
    }

    /** The last slot of a fixture that begins here; above 512 where it does not fit. */
    public int last(int footprint) {
        return start + footprint - 1;
    }

    /** The addresses of its slots, in order. */
    IntStream slots(int footprint) {
        return IntStream.rangeClosed(start, last(footprint));
    }

    /** The address so many slots further on in the same universe, if there is one. */
    public Optional<Address> plus(int slots) {
        return start + slots <= Mode.MAX_SLOTS ? Optional.of(new Address(universe, start + slots)) : Optional.empty();
    }

    /** The switches that are on where a fixture has nine, the first for 1, the second for 2, the third for 4. */
    public List<Integer> dipSwitches() {
        return IntStream.rangeClosed(1, DIP_SWITCHES)
                .filter(n -> (start & 1 << n - 1) != 0)
                .boxed()
                .toList();
    }

    @Override
    public int compareTo(Address other) {
        return universe != other.universe
                ? Integer.compare(universe, other.universe)
                : Integer.compare(start, other.start);
    }

    /** As it is written: "33", "2.33". */
    @Override
    public String toString() {
        return universe == 1 ? String.valueOf(start) : universe + "." + start;
    }
}
