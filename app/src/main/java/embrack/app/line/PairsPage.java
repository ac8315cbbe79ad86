package embrack.app.line;

import embrack.app.frame.Mark;
import embrack.app.frame.Spoken;
import embrack.app.store.LineStore;
import embrack.core.check.rule.Severity;
import embrack.core.line.PairTrial;
import embrack.core.line.PairTrial.Carried;
import embrack.core.plan.Plan;
import embrack.core.rig.Rig;
import embrack.core.way.Delay;
import embrack.core.word.Phrase;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Pairs, and what was seen as a lead of the first was pulled. */
record PairsPage(List<PairView> pairs) {

    private static final String ROOM = "app/line";

    /**
     * A pair.
     *
     * @param expected what the plan says of how the second comes in
     * @param leads which can be pulled
     * @param mark empty while it was not tried as it is planned now
     * @param tried what was seen last; empty when nothing was
     * @param lost what did not go on then
     */
    record PairView(
            String key,
            String first,
            String second,
            String expected,
            List<String> leads,
            List<Thing> things,
            Optional<Mark> mark,
            String tried,
            List<String> lost) {}

    /** Something of which somebody says whether it went on. */
    record Thing(String key, String words) {}

    static PairsPage of(Plan plan, Map<String, LineStore.Pulled> pulled) {
        return new PairsPage(PairTrial.of(plan).stream()
                .map(trial -> view(plan, trial, Optional.ofNullable(pulled.get(trial.key()))))
                .toList());
    }

    private static PairView view(Plan plan, PairTrial trial, Optional<LineStore.Pulled> pulled) {
        Rig rig = plan.rig();
        return new PairView(
                trial.key(),
                rig.name(trial.pair().first()).text(),
                rig.name(trial.pair().second()).text(),
                expected(plan, trial),
                trial.leads().stream().map(rig::words).toList(),
                trial.carried().stream()
                        .map(carried -> new Thing(carried.key(), words(rig, carried)))
                        .toList(),
                mark(trial, pulled),
                pulled.map(last -> tried(trial, last)).orElse(""),
                pulled.map(last -> trial.carried().stream()
                                .filter(carried -> last.tried().lost().contains(carried.key()))
                                .map(carried -> words(rig, carried))
                                .toList())
                        .orElse(List.of()));
    }

    private static Optional<Mark> mark(PairTrial trial, Optional<LineStore.Pulled> pulled) {
        return pulled.filter(last -> last.tried().isOf(trial))
                .map(last -> last.tried().isGood()
                        ? new Mark("tick", "exact", say(Phrase.of(ROOM, "pair.good")))
                        : Mark.of(Severity.STOPS, say(Phrase.of(ROOM, "pair.bad"))));
    }

    private static String expected(Plan plan, PairTrial trial) {
        Rig rig = plan.rig();
        if (trial.standBy().isEmpty()) {
            return say(Phrase.of(ROOM, "pair.by-hand"));
        }
        return say(Phrase.of(ROOM, trial.standBy().get().isByItself() ? "pair.by-itself" : "pair.guard-by-hand")
                .with("guard", rig.name(trial.standBy().get().guard()).text()));
    }

    private static String tried(PairTrial trial, LineStore.Pulled last) {
        String gap = last.tried().gapMicros().isPresent()
                ? say(Phrase.of(ROOM, "pair.gap")
                        .with("gap", Delay.millis(last.tried().gapMicros().getAsLong())))
                : say(Phrase.of(ROOM, "pair.no-gap"));
        return say(Phrase.of(ROOM, last.tried().isOf(trial) ? "pair.tried" : "pair.tried-before")
                .with("when", last.when())
                .with("who", last.who())
                .with("revision", last.revision())
                .with("gap", gap)
                .with("back", last.tried().isBack() ? "yes" : "no"));
    }

    private static String words(Rig rig, Carried carried) {
        return switch (carried) {
            case Carried.Sounds(var source, var by) ->
                say(Phrase.of(ROOM, "pair.heard")
                        .with("sound", source.sound().words())
                        .with("ears", by.stream().map(one -> one.words(rig)).toList()));
            case Carried.Obeys(var box) ->
                say(Phrase.of(ROOM, "pair.obeys").with("box", rig.name(box).text()));
        };
    }

    /** How it stands with all pairs, in a line each. */
    List<String> brief() {
        return pairs.stream()
                .filter(pair ->
                        pair.mark().filter(mark -> mark.tone().equals("exact")).isEmpty())
                .map(pair -> say(Phrase.of(ROOM, pair.mark().isEmpty() ? "pair.to-try" : "pair.failed")
                        .with("first", pair.first())))
                .toList();
    }

    private static String say(Phrase phrase) {
        return Spoken.words().say(phrase);
    }
}
