package embrack.core.check.rule;

import java.util.stream.Stream;

/**
 * Edits that may mend a finding, the likeliest first. They are looked for when somebody asks, and offered when they
 * were tried on the whole plan.
 */
@FunctionalInterface
public interface Remedies {

    Remedies NONE = Stream::empty;

    Stream<Remedy> all();

    /** One remedy. */
    static Remedies of(Remedy remedy) {
        return () -> Stream.of(remedy);
    }

    /** These, then others. */
    default Remedies or(Remedies others) {
        return others == NONE ? this : this == NONE ? others : () -> Stream.concat(all(), others.all());
    }
}
