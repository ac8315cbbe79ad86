package embrack.core.check.songs;

import embrack.core.check.remedy.Shorter;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Found;
import embrack.core.check.rule.Remedies;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.check.songs.CueWords.Sung;
import embrack.core.edit.CueEdit;
import embrack.core.edit.Edit;
import embrack.core.edit.InTurn;
import embrack.core.show.CueAt;
import embrack.core.sim.BookProver;
import embrack.core.sim.Prover;
import embrack.core.sim.Verdict;
import embrack.core.way.Share;
import embrack.core.way.Timing;
import embrack.core.way.Wait;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Cues whose messages arrive later than people forgive; those that the same makes late are one finding. */
final class ComesLate implements Rule {

    private static final long MILLI = 1_000;

    /**
     * What makes a cue late.
     *
     * @param share the largest part of the time that its way takes; empty where it is the number of messages
     * @param cue a cue that is late by itself, for the number of its messages
     * @param noRoom whether it is sent early, and nothing is before it to be early in
     * @param helped whether being sent early would help it
     */
    private record Reason(Optional<Share> share, Optional<CueAt> cue, boolean noRoom, boolean helped) {}

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SONGS, "late");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        var timing = new Timing(subject.ways());
        Map<Reason, List<Sung>> late = CueWords.cues(subject)
                .filter(sung -> sung.proof().verdict() == Verdict.LATE)
                .collect(Collectors.groupingBy(sung -> reason(timing, sung), LinkedHashMap::new, Collectors.toList()));
        return late.entrySet().stream().map(e -> finding(subject, e.getKey(), e.getValue()));
    }

    private static Reason reason(Timing timing, Sung sung) {
        Optional<Share> share = Shorter.largest(timing, sung.proof().steps())
                .filter(largest -> largest.sort() != Wait.QUEUE && largest.sort() != Wait.WIRE);
        boolean noRoom = sung.cue().early() && sung.proof().leadMicros() < usual(sung);
        return new Reason(
                share,
                share.isPresent() ? Optional.empty() : Optional.of(CueWords.at(sung.song(), sung.cue())),
                noRoom,
                isHelpedByBeingEarly(sung));
    }

    /** How much earlier it would be sent, if it were. */
    private static long usual(Sung sung) {
        return Math.min(sung.proof().usualMicros(), BookProver.MAX_LEAD_MICROS);
    }

    private static long late(Sung sung) {
        return sung.proof().worstMicros() - sung.proof().leadMicros();
    }

    private static boolean isHelpedByBeingEarly(Sung sung) {
        return !sung.cue().early()
                && sung.proof().micros().isPresent()
                && late(sung) - usual(sung) <= Prover.LATEST_MICROS;
    }

    private Finding finding(Subject subject, Reason reason, List<Sung> cues) {
        Sung worst = cues.stream().max(Comparator.comparing(ComesLate::late)).orElseThrow();
        Found found = found(Severity.LOOK)
                .singing(
                        subject.plan(),
                        cues.stream().flatMap(sung -> sung.at().stream()).toList())
                .cause(reason.share()
                        .map(share -> share.sort().name().toLowerCase(Locale.ROOT))
                        .orElse("messages"))
                .word("room", reason.noRoom() ? "none" : "some")
                .with("cues", cues.size())
                .with("messages", worst.proof().messages().size())
                .with("worst", rounded(late(worst)))
                .with("limit", Prover.LATEST_MICROS / MILLI)
                .with("lead", rounded(worst.proof().leadMicros()))
                .with("usual", rounded(usual(worst)))
                .mend(reason.helped() ? early(cues) : Remedies.NONE);
        reason.share()
                .ifPresent(share -> found.with("largest", share.where())
                        .with("takes", rounded(share.delay().worst()))
                        .mend(Shorter.than(subject.plan(), share)));
        return found.made();
    }

    /** All of them are sent early. */
    private static Remedies early(List<Sung> cues) {
        return Remedies.of(new Remedy(
                "early",
                new InTurn(cues.stream()
                        .<Edit>map(sung -> new CueEdit.SendEarly(
                                sung.song().id(), sung.cue().number(), true))
                        .toList())));
    }

    /** Whole milliseconds, never fewer than it takes. */
    private static long rounded(long micros) {
        return (micros + MILLI - 1) / MILLI;
    }
}
