package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Found;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.check.songs.CueWords.Sung;
import embrack.core.show.CueAt;
import embrack.core.sim.Blame;
import embrack.core.sim.Cause;
import embrack.core.sim.Verdict;
import embrack.core.word.Fact;
import embrack.core.world.Place;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A cue's messages do something else than its steps say. */
final class CueNotAsMeant implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SONGS, "not-as-meant");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Stream<Finding> round = CueWords.cues(subject)
                .filter(sung -> sung.proof().verdict() == Verdict.NOT_KNOWN
                        && !sung.proof().steps().isEmpty())
                .map(sung -> finding(sung, "comes-round", sung.proof().wrongPlaces().stream())
                        .made());
        Map<Optional<CueAt>, List<Blame>> blames = subject.blames().stream()
                .filter(blame ->
                        blame.cue().isPresent() && !reason(blame.cause()).isEmpty())
                .collect(Collectors.groupingBy(Blame::cue));
        Stream<Finding> otherwise = CueWords.cues(subject)
                .flatMap(sung -> blames
                        .getOrDefault(Optional.of(CueWords.at(sung.song(), sung.cue())), List.of())
                        .stream()
                        .collect(Collectors.groupingBy(
                                blame -> reason(blame.cause()), LinkedHashMap::new, Collectors.toList()))
                        .entrySet()
                        .stream()
                        .map(e -> finding(
                                        sung, e.getKey(), e.getValue().stream().map(Blame::place))
                                .made()));
        return Stream.concat(round, otherwise);
    }

    /** The reason as a word by which patterns choose; empty where another rule has a better one. */
    private static String reason(Cause cause) {
        return switch (cause) {
            case Cause.Unwritten unwritten -> "unwritten";
            case Cause.ReadByBefore before -> "before";
            case Cause.Deaf deaf -> "deaf";
            case Cause.NotReached none -> "not-reached";
            case Cause.Nothing nothing -> "otherwise";
            default -> "";
        };
    }

    private Found finding(Sung sung, String cause, Stream<Place> wrong) {
        List<Fact> places = wrong.<Fact>map(place -> new Fact.PartOf(place.device(), place.part()))
                .distinct()
                .toList();
        return found(Severity.STOPS)
                .with("at", sung.moment())
                .cause(cause)
                .with("places", places)
                .in(sung.at());
    }
}
