package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.offer.Freedom;
import embrack.core.plan.Plan;
import embrack.core.show.CueAt;
import embrack.core.show.Section;
import embrack.core.show.Song;
import java.util.List;
import java.util.stream.Stream;

/** A section goes round until somebody lets it go, and no switch does. */
final class LockedVamp implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SONGS, "locked-vamp");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().book().songs().stream()
                .flatMap(song -> song.form().sections().stream()
                        .filter(Section::vamp)
                        .findFirst()
                        .filter(vamp -> subject.plan().player(song).isPresent() && isLocked(subject.plan(), song))
                        .map(vamp -> finding(subject.plan(), song, vamp))
                        .stream());
    }

    private static boolean isLocked(Plan plan, Song song) {
        return Freedom.of(plan, song).stream()
                .noneMatch(freedom -> freedom.isOnASwitch()
                        && (freedom.kind() == Freedom.Kind.VAMP
                                || freedom.kind() == Freedom.Kind.REPEAT
                                || freedom.kind() == Freedom.Kind.SKIP));
    }

    private Finding finding(Plan plan, Song song, Section vamp) {
        boolean can = Freedom.of(plan, song).stream()
                .anyMatch(freedom -> freedom.can()
                        && (freedom.kind() == Freedom.Kind.VAMP
                                || freedom.kind() == Freedom.Kind.REPEAT
                                || freedom.kind() == Freedom.Kind.SKIP));
        return found(Severity.LOOK)
                .with("song", song)
                .with("vamp", vamp.name())
                .cause(can ? "no-switch" : "no-loops")
                .with("player", plan.player(song).orElseThrow())
                .in(List.of(CueAt.whole(song.id())))
                .made();
    }
}
