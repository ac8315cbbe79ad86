package embrack.core.numbers;

import embrack.core.midi.Controllers;
import embrack.core.midi.DataByte;
import embrack.core.midi.MessageType;
import embrack.core.word.Fact;
import embrack.core.word.Phrase;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/** Numbers that are better left alone, and those to take first. */
final class Reserved {

    /**
     * Controllers that keyboards and sound boxes obey by themselves: sustain and its kin, volume, pan, expression,
     * wheel.
     */
    private static final Set<Integer> PLAYED = Set.of(1, 2, 4, 5, 7, 8, 10, 11, 64, 65, 66, 67, 68, 69);

    /** Controllers that the standard leaves undefined. Source: MIDI 1.0 Detailed Specification, table III. */
    private static final List<Integer> UNDEFINED = IntStream.of(IntStream.concat(
                            IntStream.concat(IntStream.rangeClosed(102, 119), IntStream.rangeClosed(20, 31)),
                            IntStream.concat(IntStream.rangeClosed(85, 90), IntStream.of(14, 15, 3, 9)))
                    .toArray())
            .boxed()
            .toList();

    private Reserved() {}

    /** Why a number is better not chosen, without a full stop; empty when it may be. */
    static Optional<Phrase> why(MessageType type, int number) {
        if (type != MessageType.CONTROL_CHANGE) {
            return Optional.empty();
        }
        return Controllers.reserved(number)
                .map(Reserved::key)
                .or(() -> PLAYED.contains(number) ? Optional.of("played") : Optional.empty())
                .map(key -> Phrase.of("core/numbers", "reserved")
                        .with("why", Fact.word(key))
                        .with("number", number)
                        .with("name", Controllers.name(number).orElse("")));
    }

    /** Why boxes obey a controller anyway, as the words of this package have it. */
    private static String key(Controllers.Reserved reserved) {
        return reserved.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** All numbers that may be chosen, those to take first in front, fine halves last. */
    static List<Integer> free(MessageType type) {
        if (type != MessageType.CONTROL_CHANGE) {
            return IntStream.rangeClosed(0, DataByte.MAX).boxed().toList();
        }
        return IntStream.concat(
                        UNDEFINED.stream().mapToInt(n -> n),
                        IntStream.rangeClosed(0, DataByte.MAX).filter(n -> !UNDEFINED.contains(n)))
                .filter(number -> why(type, number).isEmpty())
                .boxed()
                .sorted(Comparator.comparing(
                        number -> Controllers.coarse(number).isPresent()))
                .toList();
    }
}
