package embrack.core.check.songs;

import embrack.core.chart.Action;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.CueEdit;
import embrack.core.music.NoteLength;
import embrack.core.music.Tempo;
import embrack.core.offer.TempoTimes;
import embrack.core.show.Cue;
import embrack.core.show.CueAt;
import embrack.core.show.Song;
import embrack.core.word.Fact;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A song loads an echo or a tremolo with a time that no note has at its tempo: it was played at another one. */
final class TimeOffTempo implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SONGS, "time-off-tempo");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().book().songs().stream().flatMap(song -> {
            Tempo tempo = song.form().tempoMap().tempo(0);
            TempoTimes times = TempoTimes.of(subject.plan(), song.form());
            return times.takers().isEmpty()
                    ? Stream.empty()
                    : song.cues().stream()
                            .filter(cue -> cue.at().equals(CueEdit.ON_LOAD))
                            .flatMap(cue -> cue.steps().stream()
                                    .flatMap(step -> times
                                            .taker(step.device(), step.action().part())
                                            .stream()
                                            .filter(taker -> isOff(taker, step.action(), tempo))
                                            .flatMap(taker -> nearest(taker, step.action(), tempo)
                                                    .map(note -> finding(song, cue, step.action(), taker, note))
                                                    .stream())));
        });
    }

    private static boolean isOff(TempoTimes.Taker taker, Action action, Tempo tempo) {
        return Stream.of(NoteLength.values())
                .noneMatch(note -> taker.at(note, tempo).filter(action::equals).isPresent());
    }

    /** The note whose time is nearest to what is set; empty for a box that can do none. */
    private static Optional<NoteLength> nearest(TempoTimes.Taker taker, Action action, Tempo tempo) {
        int set = action.amount().orElse(0);
        return Stream.of(NoteLength.values())
                .filter(note -> taker.at(note, tempo).isPresent())
                .min(Comparator.comparingInt(note ->
                        Math.abs(taker.at(note, tempo).flatMap(Action::amount).orElse(0) - set)));
    }

    private Finding finding(Song song, Cue cue, Action action, TempoTimes.Taker taker, NoteLength note) {
        Tempo tempo = song.form().tempoMap().tempo(0);
        return found(Severity.LOOK)
                .with("song", song)
                .with("part", new Fact.PartOf(taker.device(), taker.part()))
                .with("shown", taker.scale().shown(action.amount().orElse(0)))
                .with("tempo", tempo.toString())
                .with("note", note.words())
                .with("right", taker.shown(note, tempo).orElse(""))
                .mend("set", new CueEdit.SetTime(song.id(), taker.device(), taker.part(), note))
                .in(List.of(new CueAt(song.id(), cue.number())))
                .made();
    }
}
