package embrack.app.run;

import embrack.app.frame.Mark;
import embrack.app.store.RunStore;
import embrack.core.check.rule.Severity;
import embrack.core.music.Clock;
import embrack.core.plan.Plan;
import embrack.core.run.Run;
import embrack.core.run.Score;
import embrack.core.run.Wrong;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.LongStream;

/**
 * How the feet do while they are trained.
 *
 * @param tally "7 right, 1 late, 2 wrong"
 * @param last the press that was made last, and how
 * @param hand the press that is made again and again, and whether it sits; empty where all of the night is played
 * @param asks what is to be brought right again; empty where all is right, or it was asked for long enough
 */
record DrillView(String tally, Optional<Last> last, String hand, String asks) {

    /** So long nobody says what would help, 20 s. */
    private static final long ASKED_MICROS = 20_000_000;

    /** A press that was made: "4 Lanterns low", "80 ms early". */
    record Last(String label, Mark mark) {}

    static Optional<DrillView> of(LiveRun live) {
        if (live.wish().sort() != RunStore.Sort.DRILL) {
            return Optional.empty();
        }
        Run run = live.run();
        Plan plan = run.night().plan();
        Score score = live.score();
        List<String> tally = new ArrayList<>();
        for (Score.Grade grade : Score.Grade.values()) {
            if (score.count(grade) > 0) {
                tally.add(score.count(grade) + " " + grade.name().toLowerCase(Locale.ROOT));
            }
        }
        if (score.wrong() > 0) {
            tally.add(score.wrong() + " wrong");
        }
        return Optional.of(new DrillView(
                tally.isEmpty() ? "nothing pressed yet" : String.join(", ", tally),
                score.presses().isEmpty()
                        ? Optional.empty()
                        : Optional.of(last(plan, score.presses().getLast())),
                hand(live, plan),
                asks(run)));
    }

    private static String hand(LiveRun live, Plan plan) {
        if (live.wish().drill().isEmpty()) {
            return "";
        }
        return live.drill()
                .map(drill -> RunPage.name(plan, drill.targets().get(drill.at()).at()))
                .map(name -> "until it sits: " + name)
                .orElse("they sit: each was right twice in a row");
    }

    private static String asks(Run run) {
        long since = LongStream.concat(run.wrongs().stream().mapToLong(Wrong::since), run.silentSince().stream())
                .max()
                .orElse(Long.MIN_VALUE);
        return since == Long.MIN_VALUE || run.now() - since > ASKED_MICROS
                ? ""
                : run.silentSince().isPresent()
                        ? "The tracks stopped: what do you press?"
                        : "Something is wrong: what do you press?";
    }

    private static Last last(Plan plan, Score.Scored scored) {
        String by = " " + Clock.off(scored.byMicros());
        Mark mark =
                switch (scored.grade()) {
                    case RIGHT ->
                        scored.instead().isEmpty()
                                ? new Mark("tick", "exact", "right" + by)
                                : Mark.of(Severity.LOOK, "right, after another" + by);
                    case EARLY, LATE -> Mark.of(Severity.LOOK, by.strip());
                    case MISSED -> Mark.of(Severity.STOPS, "missed");
                };
        return new Last(RunPage.name(plan, scored.foot().at()), mark);
    }
}
