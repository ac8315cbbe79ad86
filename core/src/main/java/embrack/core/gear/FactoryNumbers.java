package embrack.core.gear;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What a factory chose for the switches of a board.
 *
 * @param fixed what cannot be programmed; a switch is in at most one of these runs
 * @param presets what the box brings and can be chosen, under different names
 * @param counter the two switches that step through programs, if it has such
 */
public record FactoryNumbers(List<FactoryRun> fixed, List<Preset> presets, Optional<Counter> counter) {

    /** Everything is programmed by its owner. */
    public static final FactoryNumbers NONE = new FactoryNumbers(List.of(), List.of(), Optional.empty());

    /** What cannot be programmed, without a choice. */
    public static FactoryNumbers of(List<FactoryRun> fixed) {
        return new FactoryNumbers(fixed, List.of(), Optional.empty());
    }

    public FactoryNumbers {
        fixed = List.copyOf(fixed);
        presets = List.copyOf(presets);
        Set<Integer> seen = new HashSet<>();
        fixed.stream()
                .flatMap(run -> run.on().stream())
                .filter(n -> !seen.add(n))
                .findFirst()
                .ifPresent(twice -> {
                    throw new IllegalArgumentException("two factory runs are on switch " + twice);
                });
        counter.filter(steps -> seen.contains(steps.down()) || seen.contains(steps.up()))
                .ifPresent(steps -> {
                    throw new IllegalArgumentException("a switch that counts sends nothing else");
                });
        Set<Object> names = new HashSet<>();
        presets.stream().filter(preset -> !names.add(preset.name())).findFirst().ifPresent(twice -> {
            throw new IllegalArgumentException("the preset \"%s\" is there twice".formatted(twice.name()));
        });
    }

    /** What a switch sends that cannot be programmed; empty when it can. */
    public Optional<FactoryMessage> fixed(int bank, int number, BankChange change) {
        return counter.flatMap(steps -> steps.message(bank, number))
                .or(() -> fixed.stream()
                        .flatMap(run -> run.message(bank, number, change).stream())
                        .findFirst());
    }

    /** The highest switch that is named. */
    int highest() {
        Stream<Integer> inRuns = Stream.concat(
                        fixed.stream(), presets.stream().flatMap(preset -> preset.runs().stream()))
                .flatMap(run -> run.on().stream());
        Stream<Integer> counting = counter.stream().flatMap(steps -> Stream.of(steps.down(), steps.up()));
        return Stream.concat(inRuns, counting).mapToInt(n -> n).max().orElse(0);
    }
}
