package embrack.core.proof;

import embrack.core.plan.Plan;
import embrack.core.word.Phrase;
import embrack.core.world.Place;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The shortest story in which a gesture does not do what is meant.
 *
 * @param before what is done before it, from the start
 * @param last the gesture that fails
 * @param place where it shows
 * @param meant how it should stand then
 * @param actual how it stands; as meant where it stands still
 * @param without what it started and what is so of that, since {@code place} is off; empty for any other failure
 */
public record Broken(List<Doing> before, Doing last, Place place, int meant, int actual, Optional<Without> without) {

    /** Something was started that lacks what it needs. */
    public record Without(Place started, Lack lack) {}

    public Broken {
        before = List.copyOf(before);
    }

    /** Whether something was started and stands still. */
    public boolean standsStill() {
        return without.filter(one -> one.lack() == Lack.STANDS_STILL).isPresent();
    }

    /** How many things are done in it; how things were left before is not counted. */
    public int length() {
        return (int) before.stream()
                        .filter(doing -> !(doing instanceof Doing.Left))
                        .count()
                + 1;
    }

    /** All that is done in it, the gesture that fails last. */
    public List<Doing> doings() {
        return Stream.concat(before.stream(), Stream.of(last)).toList();
    }

    /** What is done in it, in words: "press Go, then press Kill twice". */
    public Phrase phrase(Plan plan) {
        List<Doing> all = doings();
        List<Phrase> steps = new ArrayList<>();
        for (int from = 0; from < all.size(); ) {
            Doing doing = all.get(from);
            long times = all.stream().skip(from).takeWhile(doing::equals).count();
            Phrase once = doing.phrase(plan);
            steps.add(
                    times == 1
                            ? once
                            : Phrase.of(Doing.ROOM, "again").with("doing", once).with("times", times));
            from += Math.toIntExact(times);
        }
        return Phrase.of(Doing.ROOM, "story").with("steps", steps);
    }
}
