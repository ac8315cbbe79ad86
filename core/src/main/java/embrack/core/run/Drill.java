package embrack.core.run;

import embrack.core.music.Position;
import embrack.core.show.Form;
import embrack.core.show.Song;
import embrack.core.switches.SwitchAt;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Presses that are made again and again until they sit.
 *
 * @param targets which, at least one
 * @param at which of them is at hand, from 0
 */
public record Drill(List<Target> targets, int at) {

    /** As many times in a row a press has to be right until it sits. Common practice, no source. */
    public static final int SITS = 2;

    /** So many bars before a press it begins. */
    private static final int BARS_BEFORE = 2;

    /** For so long one goes on after a press, 1.5 s, to hear what came of it. */
    private static final long AFTER_MICROS = 1_500_000;

    /**
     * A press that somebody has to make.
     *
     * @param part in which part of the order, from 0
     * @param cue of its song, for one that is; else 0
     */
    public record Target(SwitchAt at, Footfall.Why why, int part, int cue) {

        static Target of(Footfall foot) {
            return new Target(foot.at(), foot.why(), foot.part(), foot.cue());
        }

        boolean isOf(Footfall foot) {
            return equals(of(foot));
        }
    }

    public Drill {
        targets = List.copyOf(targets);
        if (at < 0 || at >= targets.size()) {
            throw new IllegalArgumentException("a drill of %d presses has no %d.".formatted(targets.size(), at));
        }
    }

    /** The hardest presses of a score, the worst first; empty where all were right. */
    public static Optional<Drill> hardest(Score score, int most) {
        List<Target> targets = score.hardest(most).stream()
                .flatMap(at -> score.worst(at).stream())
                .map(scored -> Target.of(scored.foot()))
                .toList();
        return targets.isEmpty() ? Optional.empty() : Optional.of(new Drill(targets, 0));
    }

    /** From where the press at hand is approached. */
    public Act.From from(Night night) {
        Target target = targets.get(at);
        int bar = night.song(target.part())
                .flatMap(song -> bar(song, target))
                .map(there -> Math.max(1, there - BARS_BEFORE))
                .orElse(0);
        return new Act.From(target.part(), bar);
    }

    private static Optional<Integer> bar(Song song, Target target) {
        Form form = song.form();
        return switch (target.why()) {
            case ARM, START -> Optional.empty();
            case CUE ->
                song.cues().stream()
                        .filter(cue -> cue.number() == target.cue())
                        .findFirst()
                        .flatMap(cue -> cue.at().micros(form))
                        .map(micros -> form.tempoMap().position(form.tempoMap().tickAt(micros)))
                        .map(Position::bar);
            case END -> Optional.of(form.bars());
        };
    }

    /** Whether the press at hand was made or missed in a run that came from there, and what came of it was heard. */
    public boolean isDone(Run run) {
        return run.part() > targets.get(at).part()
                || run.isOver()
                || run.feet().stream()
                        .filter(targets.get(at)::isOf)
                        .filter(foot -> !foot.isOpen())
                        .anyMatch(foot -> run.now() >= Math.max(foot.pressed(), foot.due()) + AFTER_MICROS);
    }

    /** Whether one of them sits by what was scored so far. */
    public boolean sits(Target target, Score score) {
        List<Score.Scored> tries = score.presses().stream()
                .filter(scored -> target.isOf(scored.foot()))
                .toList();
        return tries.size() >= SITS
                && tries.subList(tries.size() - SITS, tries.size()).stream()
                        .allMatch(scored -> scored.grade() == Score.Grade.RIGHT
                                && scored.instead().isEmpty());
    }

    /** The next that does not sit yet; empty where all do. */
    public Optional<Drill> next(Score score) {
        return IntStream.rangeClosed(1, targets.size())
                .map(i -> (at + i) % targets.size())
                .filter(i -> !sits(targets.get(i), score))
                .mapToObj(i -> new Drill(targets, i))
                .findFirst();
    }
}
