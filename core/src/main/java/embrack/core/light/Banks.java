package embrack.core.light;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Which looks lie together in a bank, so that those which follow one another in a song need no other bank: pairs that
 * songs share most are joined first, then looks are moved and exchanged as long as that spares a bank. Not always the
 * best there is, always the same for the same songs; the cost grows with the cube of the looks.
 */
public final class Banks {

    private final List<Set<Integer>> songs;
    private final int scenes;
    private final int[] bankOf;
    private final int banks;

    private Banks(int looks, List<Set<Integer>> songs, int scenes, int banks) {
        this.songs = songs;
        this.scenes = scenes;
        this.banks = banks;
        this.bankOf = new int[looks];
    }

    /**
     * The looks of each bank, in the order in which they were given.
     *
     * @param looks no more than there is room for
     * @param together the looks of each song, or of whatever should need one bank
     * @param scenes how many a bank holds, 1 or more
     * @param banks how many there are
     * @throws IllegalArgumentException when there is no room for them all
     */
    public static List<List<LookId>> of(List<LookId> looks, List<Set<LookId>> together, int scenes, int banks) {
        if (looks.size() > (long) scenes * banks) {
            throw new IllegalArgumentException(
                    "%d banks of %d scenes hold no %d looks.".formatted(banks, scenes, looks.size()));
        }
        List<Set<Integer>> songs = together.stream()
                .map(song -> {
                    Set<Integer> numbers = new HashSet<>();
                    song.forEach(look -> numbers.add(looks.indexOf(look)));
                    numbers.remove(-1);
                    return numbers;
                })
                .toList();
        Banks placed = new Banks(looks.size(), songs, scenes, banks);
        placed.pack(placed.joined());
        placed.exchange();
        return IntStream.range(0, banks)
                .mapToObj(bank -> IntStream.range(0, looks.size())
                        .filter(look -> placed.bankOf[look] == bank)
                        .mapToObj(looks::get)
                        .toList())
                .toList();
    }

    /** Groups that fit into a bank, those first joined that songs share most. */
    private List<List<Integer>> joined() {
        int[][] shared = new int[bankOf.length][bankOf.length];
        for (Set<Integer> song : songs) {
            for (int one : song) {
                song.forEach(other -> shared[one][other]++);
            }
        }
        List<List<Integer>> groups = new ArrayList<>();
        IntStream.range(0, bankOf.length).forEach(look -> groups.add(new ArrayList<>(List.of(look))));
        while (true) {
            int best = 0;
            int first = -1;
            int second = -1;
            for (int i = 0; i < groups.size(); i++) {
                for (int j = i + 1; j < groups.size(); j++) {
                    int weight = shared[groups.get(i).getFirst()][groups.get(j).getFirst()];
                    if (weight > best && groups.get(i).size() + groups.get(j).size() <= scenes) {
                        best = weight;
                        first = i;
                        second = j;
                    }
                }
            }
            if (best == 0) {
                return groups;
            }
            int into = groups.get(first).getFirst();
            List<Integer> gone = groups.remove(second);
            for (int other = 0; other < bankOf.length; other++) {
                shared[into][other] += shared[gone.getFirst()][other];
                shared[other][into] = shared[into][other];
            }
            groups.get(first).addAll(gone);
        }
    }

    /** Groups into banks, the largest first; one for which no bank has room is spread over what is free. */
    private void pack(List<List<Integer>> groups) {
        int[] free = new int[banks];
        Arrays.fill(free, scenes);
        List<List<Integer>> large = new ArrayList<>(groups);
        large.sort(Comparator.comparing((List<Integer> group) -> -group.size())
                .thenComparing(group -> Collections.min(group)));
        for (List<Integer> group : large) {
            int whole = IntStream.range(0, banks)
                    .filter(bank -> free[bank] >= group.size())
                    .findFirst()
                    .orElse(-1);
            for (int look : group) {
                int bank = whole >= 0
                        ? whole
                        : IntStream.range(0, banks)
                                .filter(any -> free[any] > 0)
                                .findFirst()
                                .orElseThrow();
                bankOf[look] = bank;
                free[bank]--;
            }
        }
    }

    /** Moves and exchanges looks of different banks as long as songs need fewer banks by it. */
    private void exchange() {
        boolean isBetter = true;
        while (isBetter) {
            isBetter = false;
            for (int look = 0; look < bankOf.length; look++) {
                for (int bank = 0; bank < banks; bank++) {
                    isBetter |= bank != bankOf[look] && (count(bank) < scenes ? moves(look, bank) : swaps(look, bank));
                }
            }
        }
    }

    private boolean moves(int look, int bank) {
        int before = cost(look, look);
        int home = bankOf[look];
        bankOf[look] = bank;
        if (cost(look, look) < before) {
            return true;
        }
        bankOf[look] = home;
        return false;
    }

    private boolean swaps(int look, int bank) {
        int home = bankOf[look];
        for (int other = 0; other < bankOf.length; other++) {
            if (bankOf[other] == bank) {
                int before = cost(look, other);
                bankOf[look] = bank;
                bankOf[other] = home;
                if (cost(look, other) < before) {
                    return true;
                }
                bankOf[look] = home;
                bankOf[other] = bank;
            }
        }
        return false;
    }

    private long count(int bank) {
        return IntStream.of(bankOf).filter(one -> one == bank).count();
    }

    /** How many banks the songs need, together, that show one of two looks. */
    private int cost(int look, int other) {
        return songs.stream()
                .filter(song -> song.contains(look) || song.contains(other))
                .mapToInt(song ->
                        (int) song.stream().map(one -> bankOf[one]).distinct().count())
                .sum();
    }
}
