package embrack.core.check.songs;

import embrack.core.chart.Aspect;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.plan.Plan;
import embrack.core.show.CueAt;
import embrack.core.show.Song;
import embrack.core.sim.Jump;
import embrack.core.sim.Place;
import embrack.core.sim.ShowRun.Leftover;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A song leaves something behind that the next does not set: a chase that runs on, a level left down, a sound still on.
 */
final class LeftBehind implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("songs.left-behind", "Left behind by the song before");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.book().run().leftovers().stream().map(leftover -> finding(subject.plan(), leftover));
    }

    private Finding finding(Plan plan, Leftover left) {
        Song song = plan.book().song(left.song());
        String place = CueWords.words(plan, left.place());
        String value = left.place().aspect().word(left.value());
        String after = left.into()
                .map(next -> "in %s".formatted(plan.book().song(next).title()))
                .orElse("after the show");
        String jump = left.jump() instanceof Jump.None ? "" : left.jump().words() + ", ";
        List<CueAt> at = new ArrayList<>(List.of(CueAt.whole(song.id())));
        left.into().ifPresent(next -> at.add(CueAt.whole(next)));
        return new Finding(
                info(),
                left.jump() instanceof Jump.None ? Severity.LOOK : Severity.NOTE,
                left.into()
                        .map(next -> plan.book().song(next).title())
                        .orElse(song.title())
                        .text(),
                sentence("%s%s, left by %s, is still %s %s.".formatted(jump, place, song.title(), value, after)),
                why(plan, left),
                left.into()
                        .map(next -> "Have %s set it on load, or %s set it back on stop."
                                .formatted(plan.book().song(next).title(), song.title()))
                        .orElseGet(() -> "Have %s stop it at its end.".formatted(song.title())),
                List.of(),
                Optional.empty(),
                at);
    }

    private static String why(Plan plan, Leftover left) {
        Place place = left.place();
        if (plan.rig().chart(place.device()).need(place.part()).isPresent() || place.aspect() == Aspect.TRANSPORT) {
            return "It was started and never stopped.";
        }
        if (place.aspect() == Aspect.LEVEL || place.aspect() == Aspect.MUTED) {
            return "Nobody brings it back; in the next song it is missing.";
        }
        return left.later()
                ? "The next song sets it, but only behind its first section."
                : "The next song never sets it.";
    }

    private static String sentence(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }
}
