package embrack.core.check.songs;

import embrack.core.chart.Verb;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Step;
import java.util.EnumSet;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;

/** A switch jumps to a place of a player's list at which it has no song. */
final class NoSongThere implements Rule {

    private static final Set<Verb> LEADS = EnumSet.of(Verb.JUMP, Verb.LOAD, Verb.GO);

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SONGS, "no-song-there");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Plan plan = subject.plan();
        return plan.switches().assignments().stream()
                .flatMap(assignment -> assignment.steps().stream()
                        .filter(step -> isPlayed(plan, step.device()) && isToNowhere(plan, step))
                        .limit(1)
                        .map(step -> found(Severity.STOPS)
                                .about(assignment.at())
                                .with("player", step.device())
                                .with("deed", step)
                                .made()));
    }

    /** Whether songs of the book are played by a device, so that it is known what stands where. */
    private static boolean isPlayed(Plan plan, DeviceId player) {
        return plan.book().songs().stream()
                .anyMatch(song -> plan.player(song).filter(player::equals).isPresent());
    }

    /** The place of its player's list that a step leads to, if it does. */
    static OptionalInt place(Plan plan, Step step) {
        return LEADS.contains(step.action().verb())
                ? plan.rig().chart(step.device()).placeOfSong(step.action().part())
                : OptionalInt.empty();
    }

    private static boolean isToNowhere(Plan plan, Step step) {
        OptionalInt place = place(plan, step);
        return place.isPresent()
                && plan.book().songs().stream()
                        .noneMatch(song -> song.place() == place.getAsInt()
                                && plan.player(song)
                                        .filter(step.device()::equals)
                                        .isPresent());
    }
}
