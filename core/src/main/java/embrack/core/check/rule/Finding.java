package embrack.core.check.rule;

import embrack.core.rig.DeviceId;
import embrack.core.show.CueAt;
import embrack.core.show.SongId;
import embrack.core.switches.ControlAt;
import embrack.core.switches.SwitchAt;
import embrack.core.word.Fact;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Something a person should know about a plan, as facts; {@link Told} has the words. Two findings are equal when rule,
 * severity and facts are, whatever mends them.
 *
 * @param facts what it is about, by the names that its patterns have for it; "cause" where there are several ways
 * @param switches the switches that it explains; may be none
 * @param cues the cues that it explains, or the songs; may be none
 * @param remedies edits that may mend it, in the order in which they are tried
 */
public record Finding(
        RuleInfo rule,
        Severity severity,
        Map<String, Fact> facts,
        List<SwitchAt> switches,
        List<CueAt> cues,
        Remedies remedies)
        implements Comparable<Finding> {

    private static final Comparator<Finding> ORDER =
            Comparator.comparing(Finding::severity).thenComparing(Finding::rule).thenComparing(Finding::key);

    public Finding {
        facts = Collections.unmodifiableMap(new LinkedHashMap<>(facts));
        switches = switches.stream().distinct().sorted().toList();
        cues = cues.stream().distinct().toList();
    }

    /** Whether it is about a song or one of its cues. */
    public boolean isAbout(SongId song) {
        return cues.stream().anyMatch(cue -> cue.song().equals(song));
    }

    /** Whether it is about a treadle, fader or knob. */
    public boolean isAbout(ControlAt control) {
        return facts.values().stream()
                .flatMap(fact -> fact instanceof Fact.Many many ? many.all().stream() : Stream.of(fact))
                .anyMatch(new Fact.Control(control)::equals);
    }

    public boolean isAbout(Topic topic) {
        return rule.topic() == topic;
    }

    /** The boxes that it names, in its order. */
    public Set<DeviceId> devices() {
        return facts.values().stream().flatMap(Finding::devices).collect(Collectors.toCollection(LinkedHashSet::new));
    }

    public String code() {
        return rule.code();
    }

    /** Its facts in one line: the same for equal findings, and to find it again in another report of the same plan. */
    public String key() {
        return facts.entrySet().stream()
                .map(fact -> fact.getKey() + "=" + fact.getValue().key())
                .collect(Collectors.joining(" "));
    }

    /** Worst first, then by rule and by what it is about. */
    @Override
    public int compareTo(Finding other) {
        return ORDER.compare(this, other);
    }

    @Override
    public boolean equals(@Nullable Object other) {
        return other instanceof Finding finding
                && rule.equals(finding.rule)
                && severity == finding.severity
                && facts.equals(finding.facts);
    }

    @Override
    public int hashCode() {
        return Objects.hash(rule, severity, facts);
    }

    private static Stream<DeviceId> devices(Fact fact) {
        return switch (fact) {
            case Fact.Box box -> Stream.of(box.device());
            case Fact.PartOf part -> Stream.of(part.device());
            case Fact.Level level -> Stream.of(level.device());
            case Fact.Switches switches -> switches.all().stream().map(SwitchAt::board);
            case Fact.Control control -> Stream.of(control.at().box());
            case Fact.Deed deed -> Stream.of(deed.step().device());
            case Fact.Plug plug -> Stream.of(plug.socket().device());
            case Fact.Joined link -> Stream.of(link.from().device(), link.to().device());
            case Fact.Many many -> many.all().stream().flatMap(Finding::devices);
            default -> Stream.empty();
        };
    }
}
