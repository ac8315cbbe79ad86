package embrack.core.check.rule;

import embrack.core.show.CueAt;
import embrack.core.show.SongId;
import embrack.core.switches.SwitchAt;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Something a person should know about a plan.
 *
 * @param where the boxes and switches it is about
 * @param what what is the case
 * @param why what comes of it
 * @param fix what to do
 * @param switches the switches that it explains; may be none
 * @param remedy an edit that does what {@code fix} says, where there is one
 * @param cues the cues that it explains, or the songs; may be none
 */
public record Finding(
        RuleInfo rule,
        Severity severity,
        String where,
        String what,
        String why,
        String fix,
        List<SwitchAt> switches,
        Optional<Remedy> remedy,
        List<CueAt> cues)
        implements Comparable<Finding> {

    private static final Comparator<Finding> ORDER = Comparator.comparing(Finding::severity)
            .thenComparing(Finding::rule)
            .thenComparing(Finding::where)
            .thenComparing(Finding::what);

    public Finding {
        switches = switches.stream().distinct().sorted().toList();
        cues = cues.stream().distinct().toList();
    }

    /** A finding that is about no cue. */
    public Finding(
            RuleInfo rule,
            Severity severity,
            String where,
            String what,
            String why,
            String fix,
            List<SwitchAt> switches,
            Optional<Remedy> remedy) {
        this(rule, severity, where, what, why, fix, switches, remedy, List.of());
    }

    /** Whether it is about a song or one of its cues. */
    public boolean isAbout(SongId song) {
        return cues.stream().anyMatch(cue -> cue.song().equals(song));
    }

    public String code() {
        return rule.code();
    }

    /** Worst first, then by rule and place. */
    @Override
    public int compareTo(Finding other) {
        return ORDER.compare(this, other);
    }
}
