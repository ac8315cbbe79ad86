package embrack.core.send;

import embrack.core.chart.PartId;
import embrack.core.rig.DeviceId;
import java.util.Optional;

/** What somebody saw when a box was sent something. */
public sealed interface Answer {

    /** It did what was meant. */
    record Did() implements Answer {}

    /** Nothing was to be seen or heard. */
    record Nothing() implements Answer {}

    /** Something else moved. */
    record Other(DeviceId device, PartId part) implements Answer {}

    /** The answer in one line: {@code did}, {@code nothing}, {@code other vocal-mixer/return-1}. */
    default String written() {
        return switch (this) {
            case Did did -> "did";
            case Nothing nothing -> "nothing";
            case Other other -> "other %s/%s".formatted(other.device(), other.part());
        };
    }

    /** The answer that {@link #written} wrote; empty when it is none. */
    static Optional<Answer> parse(String line) {
        if (line.equals("did")) {
            return Optional.of(new Did());
        }
        if (line.equals("nothing")) {
            return Optional.of(new Nothing());
        }
        int slash = line.indexOf('/');
        if (!line.startsWith("other ") || slash < 0) {
            return Optional.empty();
        }
        try {
            return Optional.of(new Other(
                    new DeviceId(line.substring("other ".length(), slash)), new PartId(line.substring(slash + 1))));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }
}
