package embrack.core.gear;

import embrack.core.name.TapeLabel;
import java.util.List;
import java.util.Optional;

/**
 * A programming of all switches that a box brings and that can be chosen instead of one's own.
 *
 * @param name as the box calls it
 * @param runs what switches send with it, in any bank; those that are in none send nothing
 */
public record Preset(TapeLabel name, List<FactoryRun> runs) {

    public Preset {
        runs = List.copyOf(runs);
        if (runs.isEmpty()) {
            throw new IllegalArgumentException("the preset \"%s\" sends nothing".formatted(name));
        }
    }

    /** What a switch sends with it. */
    public Optional<FactoryMessage> message(int bank, int number, BankChange change) {
        return runs.stream()
                .flatMap(run -> run.message(bank, number, change).stream())
                .findFirst();
    }
}
