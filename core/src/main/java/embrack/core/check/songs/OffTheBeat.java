package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.check.songs.CueWords.Sung;
import embrack.core.edit.CueEdit;
import embrack.core.music.Position;
import embrack.core.music.TempoMap;
import embrack.core.show.Anchor;
import java.util.Optional;
import java.util.stream.Stream;

/** A cue was typed as a round second and just misses a downbeat. */
final class OffTheBeat implements Rule {

    private static final long SECOND = 1_000_000;

    /**
     * Nearer than this it was meant for the downbeat, 200 ms; nearer than the other nobody sees the difference, 5 ms.
     * Common practice, no source.
     */
    private static final long NEAR_MICROS = 200_000;

    private static final long SAME_MICROS = 5_000;

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SONGS, "off-the-beat");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return CueWords.cues(subject)
                .flatMap(sung -> sung.cue().at() instanceof Anchor.OnClock at
                                && at.micros() % SECOND == 0
                                && !LeftByTempo.isLeft(sung.song(), sung.cue())
                        ? finding(sung, at.micros()).stream()
                        : Stream.empty());
    }

    private Optional<Finding> finding(Sung sung, long micros) {
        TempoMap tempoMap = sung.song().form().tempoMap();
        int bar = tempoMap.position(tempoMap.tickAt(micros)).bar();
        return Stream.of(Position.bar(bar), Position.bar(bar + 1))
                .filter(downbeat -> isNear(Math.abs(tempoMap.micros(downbeat) - micros)))
                .findFirst()
                .map(downbeat -> found(Severity.LOOK)
                        .with("at", sung.moment())
                        .with("apart", micros - tempoMap.micros(downbeat))
                        .with("bar", downbeat.bar())
                        .mend(
                                "place",
                                new CueEdit.PlaceCue(
                                        sung.song().id(), sung.cue().number(), tempoMap.text(downbeat)))
                        .in(sung.at())
                        .made());
    }

    private static boolean isNear(long apart) {
        return apart > SAME_MICROS && apart < NEAR_MICROS;
    }
}
