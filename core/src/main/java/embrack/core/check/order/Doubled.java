package embrack.core.check.order;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.OrderEdit;
import embrack.core.show.CueAt;
import embrack.core.show.Show;
import embrack.core.show.Song;
import embrack.core.show.Stem;
import embrack.core.show.StemAt;
import java.util.List;
import java.util.stream.Stream;

/** A stem sounds although somebody plays it, or is silent although nobody does. */
final class Doubled implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.ORDER, "stem-against-player");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().book().tonight().stream()
                .flatMap(show -> show.order().stream()
                        .flatMap(entry -> entry.song().stream())
                        .distinct()
                        .map(subject.plan().book()::song)
                        .flatMap(song -> song.stems().stream()
                                .filter(stem -> stem.player().isPresent()
                                        && show.turned().contains(new StemAt(song.id(), stem.name())))
                                .map(stem -> finding(show, song, stem))));
    }

    private Finding finding(Show show, Song song, Stem stem) {
        boolean sounds = show.sounds(song.id(), stem);
        return found(Severity.LOOK)
                .with("song", song)
                .with("stem", stem.name())
                .with("player", stem.player().orElseThrow())
                .cause(sounds ? "sounds" : "silent")
                .mend(
                        sounds ? "mute" : "sound",
                        new OrderEdit.TurnStem(show.id(), song.id(), stem.name().text(), false))
                .in(List.of(CueAt.whole(song.id())))
                .made();
    }
}
