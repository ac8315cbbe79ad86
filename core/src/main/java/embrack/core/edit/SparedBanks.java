package embrack.core.edit;

import embrack.core.light.LookId;
import embrack.core.light.Scenes;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.Song;
import embrack.core.switches.Step;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.OptionalLong;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Songs that choose a bank once. Where all that the cues of a song recall lies in one bank, and no switch and no other
 * cue takes the desk out of it on the way, only the first cue chooses the bank.
 */
final class SparedBanks {

    private static final long NOBODY_KNOWS = Long.MAX_VALUE;

    private SparedBanks() {}

    /** The looks that the cues of each song recall from a desk. */
    static List<Set<LookId>> together(Plan plan, DeviceId desk) {
        return plan.book().songs().stream()
                .map(song -> {
                    Set<LookId> looks = new LinkedHashSet<>();
                    song.cues()
                            .forEach(cue -> IntStream.range(0, cue.steps().size())
                                    .filter(i -> cue.steps().get(i).device().equals(desk))
                                    .forEach(i -> plan.lookOf(cue.steps(), i).ifPresent(look -> looks.add(look.id()))));
                    return looks;
                })
                .toList();
    }

    /** The plan without the steps that choose a bank in which the desk is. */
    static Plan in(Plan plan, DeviceId desk, Scenes scenes) {
        boolean isTakenAway = Stream.concat(
                        plan.switches().assignments().stream().flatMap(assignment -> assignment.steps().stream()),
                        plan.book().always().stream().flatMap(cue -> cue.steps().stream()))
                .anyMatch(step -> isBank(step, desk, scenes));
        return isTakenAway
                ? plan
                : plan.withBook(plan.book().songs().stream()
                        .map(song -> spared(song, desk, scenes))
                        .reduce(plan.book(), (book, song) -> book.with(song), (one, other) -> other));
    }

    private static boolean isBank(Step step, DeviceId desk, Scenes scenes) {
        return step.device().equals(desk)
                && scenes.banks().contains(step.action().part());
    }

    private static Song spared(Song song, DeviceId desk, Scenes scenes) {
        long banks = song.cues().stream()
                .flatMap(cue -> cue.steps().stream())
                .filter(step -> isBank(step, desk, scenes))
                .map(step -> step.action().part())
                .distinct()
                .count();
        OptionalLong first = song.cues().stream()
                .filter(cue -> cue.steps().stream().anyMatch(step -> isBank(step, desk, scenes)))
                .mapToLong(cue -> begins(song, cue))
                .min();
        return banks != 1 || first.isEmpty()
                ? song
                : song.withCues(song.cues().stream()
                        .map(cue -> begins(song, cue) > first.getAsLong() && begins(song, cue) < NOBODY_KNOWS
                                ? cue.withSteps(cue.steps().stream()
                                        .filter(step -> !isBank(step, desk, scenes))
                                        .toList())
                                : cue)
                        .toList());
    }

    /** When a cue comes: those on load and on play first, and those of which nobody knows last. */
    private static long begins(Song song, Cue cue) {
        return cue.at() instanceof Anchor.Automatic automatic
                ? switch (automatic.when()) {
                    case LOAD -> Long.MIN_VALUE;
                    case PLAY -> Long.MIN_VALUE + 1;
                    default -> NOBODY_KNOWS;
                }
                : cue.at().micros(song.form()).orElse(NOBODY_KNOWS);
    }
}
