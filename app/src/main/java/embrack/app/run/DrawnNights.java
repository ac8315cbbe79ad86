package embrack.app.run;

import embrack.core.run.Rates;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Nights that are to be drawn.
 *
 * @param seed of the first
 * @param count how many
 * @param rates how often things go wrong in them
 */
record DrawnNights(long seed, int count, Rates rates) {

    /** So many are one part: about a second. */
    private static final int IN_A_PART = 8;

    /** In how many parts they are drawn. */
    int parts() {
        return (count + IN_A_PART - 1) / IN_A_PART;
    }

    /** The seed of the first night of a part, from 0; of the part after the last, the seed after the last. */
    long first(int part) {
        return seed + drawn(part);
    }

    /** How many nights so many parts are, the last one not among them or all. */
    int drawn(int parts) {
        return Math.min(count, parts * IN_A_PART);
    }

    /** In words: {@code 1 1000 CABLE=0.002 …}. */
    String written() {
        return Stream.concat(
                        Stream.of(String.valueOf(seed), String.valueOf(count)),
                        Stream.of(Rates.Sort.values()).map(sort -> sort + "=" + rates.of(sort)))
                .collect(Collectors.joining(" "));
    }

    /** What {@link #written} wrote. */
    static DrawnNights read(String text) {
        List<String> words = List.of(text.split(" "));
        Map<Rates.Sort, Double> rates = new EnumMap<>(Rates.Sort.class);
        for (String word : words.subList(2, words.size())) {
            String[] rate = word.split("=");
            rates.put(Rates.Sort.valueOf(rate[0]), Double.valueOf(rate[1]));
        }
        return new DrawnNights(Long.parseLong(words.get(0)), Integer.parseInt(words.get(1)), new Rates(rates));
    }
}
