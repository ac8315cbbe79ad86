package embrack.core.line;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Evening;
import embrack.core.gear.ControlType;
import embrack.core.midi.Message.ControlChange;
import embrack.core.plan.Plan;
import embrack.core.send.Answer;
import embrack.core.send.Asked;
import embrack.core.send.Asking;
import embrack.core.send.Probe;
import embrack.core.send.Probes;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

/**
 * One check at two servers, each of which has its own in memory, keeps what changed by it in one place and reads there
 * what the other one kept: held against a plain list of what was said last.
 */
class TwoServersTests {

    private final Plan plan = Evening.rig()
            .move("foot-board", ControlType.TREADLE, "vocal-mixer", "input-1", 0, 100)
            .plan();

    private final Walk walk = Walk.of(plan);
    private final Map<Task, Came> kept = new TreeMap<>();
    private final SharedCheck[] at = new SharedCheck[2];

    /** Whoever draws acts as the numbers say, at a server that has read what the other one kept, or has not yet. */
    @Property(tries = 200)
    void nothingThatWasFoundAtEitherIsLost(@ForAll @Size(max = 40) List<@IntRange(max = 1_000_000) Integer> drawn) {
        kept.clear();
        Arrays.fill(at, SharedCheck.of(walk, Map.of()));
        Set<Task> found = new TreeSet<>();
        for (int number : drawn) {
            int server = number % 2;
            Task task = walk.stops().get(number / 2 % walk.stops().size()).task();
            switch (number / 1_000 % 4) {
                case 0, 1 -> {
                    said(server, task, check -> check.turnedTo(task));
                    said(server, task, LineCheck::nothing);
                    found.add(task);
                }
                case 2 -> {
                    // Only what stands on the page is taken back.
                    if (at[server].came().containsKey(task)) {
                        found.remove(task);
                    }
                    said(server, task, check -> check.anew(List.of(task)));
                }
                default -> at[server] = at[server].knowing(kept);
            }
        }
        assertThat(kept.keySet()).isEqualTo(found);
        for (SharedCheck check : at) {
            SharedCheck wiser = check.knowing(kept);
            assertThat(wiser.came()).isEqualTo(kept);
            assertThat(walk.boxes())
                    .allSatisfy(
                            box -> assertThat(wiser.at(Optional.of(box)).came()).isEqualTo(kept));
        }
    }

    /** Keeps what it changed and nothing else. */
    private void said(int server, Task task, UnaryOperator<LineCheck> what) {
        SharedCheck before = at[server];
        at[server] = before.said(Optional.of(task.box()), what);
        at[server].came().forEach((one, came) -> {
            if (!came.equals(before.came().get(one))) {
                kept.put(one, came);
            }
        });
        before.came().keySet().stream()
                .filter(one -> !at[server].came().containsKey(one))
                .forEach(kept::remove);
    }

    /** What moves at one server is not forgotten when it reads what moved at the other. */
    @Test
    void aPedalThatMovesGoesOnMoving() {
        Travel treadle = Travel.of(plan).getFirst();
        Travels none = Travels.of(plan, Map.of());
        Travels here = moved(none, treadle, 0, 60);
        Travels there = moved(none, treadle, 0, 127);
        assertThat(here.came()).isNotEmpty().isNotEqualTo(there.came());

        assertThat(here.knowing(here, there.came())).as("all of it was kept").isEqualTo(there);
        assertThat(here.knowing(none, there.came())).as("none of it was kept").isEqualTo(here);
        assertThat(none.knowing(none, there.came())).isEqualTo(there);
        assertThat(here.knowing(here, Map.of()).came()).as("taken back there").isEmpty();
        assertThat(moved(here.knowing(none, there.came()), treadle, 60, 127))
                .as("the foot goes on")
                .isEqualTo(moved(here, treadle, 60, 127));
    }

    private static Travels moved(Travels before, Travel treadle, int from, int to) {
        Travels travels = before;
        for (int value = from; value <= to; value++) {
            var message =
                    new ControlChange(treadle.from().channel(), treadle.from().controller(), value);
            travels = travels.heard(new Heard(1_000_000 + value * 10_000L, treadle.box(), message));
        }
        return travels;
    }

    /** What was sent is still answered here; what was answered there is not asked again. */
    @Test
    void askingGoesOnBehindWhatWasAnsweredAtTheOther() {
        Asking asking = Asking.of(Probes.of(plan), Map.of());
        Probe first = asking.at().orElseThrow();
        Asked did = new Asked(first.written(), new Answer.Did());
        assertThat(asking.knowing(Map.of(first.key(), did)).at()).isPresent().isNotEqualTo(Optional.of(first));
        Asking sent = asking.sent();
        assertThat(sent.knowing(Map.of(first.key(), did)).at()).contains(first);
        assertThat(sent.knowing(Map.of(first.key(), did))
                        .answered(new Answer.Nothing())
                        .asked())
                .containsEntry(first.key(), new Asked(first.written(), new Answer.Nothing()));
        assertThat(sent.knowing(Map.of())).isEqualTo(sent);
    }
}
