package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.offer.Freedom;
import embrack.core.plan.Plan;
import embrack.core.show.CueAt;
import embrack.core.show.Section;
import embrack.core.show.Song;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A section goes round until somebody lets it go, and no switch does. */
final class LockedVamp implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("songs.locked-vamp", "Nobody can let the vamp go");
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
        return new Finding(
                info(),
                Severity.LOOK,
                "%s, %s".formatted(song.title(), vamp.name()),
                "It goes round until it is let go, and no switch lets it go.",
                "The band cannot follow the room.",
                can
                        ? "Put repeat, loop off or a jump ahead on a switch."
                        : "%s knows no loops; play it on another player, or write the passes out."
                                .formatted(plan.rig().name(plan.player(song).orElseThrow())),
                List.of(),
                Optional.empty(),
                List.of(CueAt.whole(song.id())));
    }
}
