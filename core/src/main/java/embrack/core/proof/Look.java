package embrack.core.proof;

import embrack.core.chart.MessageMemory;
import embrack.core.world.Place;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** One gesture looked at in every state of a cone, at one place. */
final class Look {

    /** What has more values is no side of anything. */
    private static final int MOST_SIDES = 4;

    private final Machine machine;
    private final Transition transition;
    private final int place;
    private final Reach reach;
    private final Live done;
    private final Live wanted;
    private final int[] state;
    private final List<Integer> possible = new ArrayList<>();
    private final Map<Integer, boolean[][]> sides = new HashMap<>();
    private boolean shown;
    private boolean aimed;
    private boolean right;
    private boolean moved;
    private Optional<Broken> broken = Optional.empty();

    Look(Machine machine, Transition transition, int place, Reach reach) {
        this.machine = machine;
        this.transition = transition;
        this.place = place;
        this.reach = reach;
        this.done = transition.done(place);
        this.wanted = transition.wanted(place);
        this.state = machine.scratch();
    }

    Seen seen() {
        done.reads().stream().filter(this::mayAlternate).forEach(side -> sides.put(side, new boolean[2][2]));
        for (int at = 0; at < reach.size(); at++) {
            reach.load(at, state);
            boolean isPossible = transition.isPossible(state);
            int before = state[place];
            reach.clear(state);
            if (isPossible) {
                possible.add(at);
                look(at, before);
            }
        }
        if (!shown) {
            elsewhere();
        } else if (!moved) {
            moved = possible.stream().anyMatch(this::movesElsewhere);
        }
        boolean bySide = broken.isPresent() && sides.values().stream().anyMatch(Look::decides);
        return new Seen(
                transition.doing(), machine.place(place), right, moved, bySide, reach.size(), reach.isWhole(), broken);
    }

    /** Whether a variable is one that turns round: a side of something that alternates, or what is toggled. */
    private boolean mayAlternate(int variable) {
        return switch (machine.variables().get(variable)) {
            case Variable.Heard heard -> heard.key() instanceof MessageMemory.Turned;
            case Variable.Stands stands ->
                stands.place().aspect().size() <= MOST_SIDES
                        && done.effects().stream().anyMatch(effect -> effect.turns(variable));
            default -> false;
        };
    }

    /** Whether all is right while a side is at one, and wrong while it is at the other. */
    private static boolean decides(boolean[][] seen) {
        boolean[] first = seen[0];
        boolean[] second = seen[1];
        return first[0] && !first[1] && second[1] && !second[0] || first[1] && !first[0] && second[0] && !second[1];
    }

    private void look(int at, int before) {
        int actual = after(done, at, before);
        int meant = after(wanted, at, before);
        boolean isWrong = actual != meant;
        shown |= actual != before || meant != before;
        moved |= actual != before;
        right |= !isWrong && actual != before;
        if (isWrong && broken.isEmpty()) {
            broken = Optional.of(told(reach.way(at), meant, actual));
        }
        reach.load(at, state);
        sides.forEach((side, seen) -> seen[Math.min(state[side], 1)][isWrong ? 1 : 0] = true);
        reach.clear(state);
    }

    private int after(Live live, int at, int value) {
        reach.load(at, state);
        state[place] = value;
        aimed = live.runAt(place, state);
        int after = state[place];
        live.clear(state);
        reach.clear(state);
        state[place] = 0;
        return after;
    }

    /**
     * Where the rig never comes into a state in which the gesture would show anything here: whether it would, if the
     * place stood elsewhere. What is meant has to come about from some state at least, what is not meant from none.
     */
    private void elsewhere() {
        boolean isMeant = false;
        Optional<Broken> failure = Optional.empty();
        for (int at : possible) {
            reach.load(at, state);
            int before = state[place];
            reach.clear(state);
            for (int value : machine.place(place).aspect().ends()) {
                if (value != before) {
                    int actual = after(done, at, value);
                    boolean hit = aimed;
                    int meant = after(wanted, at, value);
                    isMeant |= aimed || meant != value;
                    boolean counts = isMeant || hit;
                    moved |= actual != value && counts;
                    right |= actual == meant && actual != value;
                    if (actual != meant && counts && failure.isEmpty()) {
                        List<Doing> way = new ArrayList<>(reach.way(at));
                        way.add(new Doing.ByHand(machine.place(place), value));
                        failure = Optional.of(told(way, meant, actual));
                    }
                }
            }
        }
        broken = isMeant && right ? Optional.empty() : failure;
    }

    /** Whether the place would move in a state if it stood elsewhere. */
    private boolean movesElsewhere(int at) {
        return machine.place(place).aspect().ends().stream().anyMatch(value -> after(done, at, value) != value);
    }

    private Broken told(List<Doing> way, int meant, int actual) {
        return new Broken(way, transition.doing(), machine.place(place), meant, actual, Optional.empty());
    }

    /** Whether what a gesture starts has what it needs, in every state. */
    static Seen standing(Machine machine, Transition transition, Transition.Need need, Live done, Reach reach) {
        int[] state = machine.scratch();
        boolean right = false;
        Optional<Broken> broken = Optional.empty();
        Place by = machine.place(need.by()[0]);
        for (int at = 0; at < reach.size(); at++) {
            reach.load(at, state);
            if (transition.isPossible(state)) {
                done.run(state);
                boolean isOn = state[need.started()] != 0;
                boolean stands = !need.isMet(state);
                right |= isOn && !stands;
                if (isOn && stands && broken.isEmpty()) {
                    broken = Optional.of(new Broken(
                            reach.way(at),
                            transition.doing(),
                            by,
                            1,
                            0,
                            Optional.of(new Broken.Without(machine.place(need.started()), need.lack()))));
                }
            }
            done.clear(state);
            reach.clear(state);
        }
        Place shown = need.lack() == Lack.STANDS_STILL ? by : machine.place(need.started());
        return new Seen(transition.doing(), shown, right, right, false, reach.size(), reach.isWhole(), broken);
    }
}
