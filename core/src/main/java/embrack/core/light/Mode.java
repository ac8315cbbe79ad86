package embrack.core.light;

import embrack.core.name.TapeLabel;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/**
 * A way in which a fixture can be set to read its slots.
 *
 * @param slots in the order of their addresses, 1 to 512
 */
public record Mode(TapeLabel name, List<Slot> slots) {

    /** A universe holds no more (ANSI E1.11). */
    public static final int MAX_SLOTS = 512;

    public Mode {
        slots = List.copyOf(slots);
        if (slots.isEmpty() || slots.size() > MAX_SLOTS) {
            throw new IllegalArgumentException(
                    "A mode has 1 to %d slots; this one has %d.".formatted(MAX_SLOTS, slots.size()));
        }
    }

    /** How many addresses it takes. */
    public int footprint() {
        return slots.size();
    }

    /** How many cells are told apart; 1 where none are. */
    public int cells() {
        return Math.max(1, slots.stream().mapToInt(Slot::cell).max().orElse(0));
    }

    public boolean has(Use use) {
        return slots.stream().anyMatch(slot -> slot.use() == use);
    }

    /** Where the first slot for such a use stands, from 0. */
    public OptionalInt first(Use use) {
        return IntStream.range(0, slots.size())
                .filter(i -> slots.get(i).use() == use)
                .findFirst();
    }
}
