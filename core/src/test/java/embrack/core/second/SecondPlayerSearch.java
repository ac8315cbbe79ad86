package embrack.core.second;

import embrack.core.chart.PartId;
import embrack.core.chart.Verb;
import embrack.core.midi.Message;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * Every state of a small rig by plain breadth-first play, message by message, over maps: what each gesture does in each
 * of them against what is meant. It shares nothing with the proof but what texts of models say.
 */
final class SecondPlayerSearch {

    private static final int MOST_STATES = Integer.getInteger("embrack.states", 300);
    private static final int FEET = 2;
    private static final long REST = 100_000_000;

    /** Something that is meant. */
    record Wish(String box, Verb verb, PartId part, int amount) {}

    /**
     * A switch.
     *
     * @param sent what its board sends at a moment, by its name
     * @param meant what is meant at a moment; a gesture without any is not made
     */
    record Foot(
            String board,
            String at,
            boolean alternates,
            Map<String, List<Message>> sent,
            Map<String, List<Wish>> meant) {

        boolean releases() {
            return !sent.getOrDefault("RELEASE", List.of()).isEmpty() || meant.containsKey("RELEASE");
        }

        boolean isPressed() {
            return meant.containsKey("PRESS") || meant.containsKey("AGAIN") || meant.containsKey("RELEASE");
        }
    }

    private record State(SecondPlayer player, Set<String> turned, Set<String> down, int length) {

        String key() {
            return player.key() + new java.util.TreeSet<>(turned) + new java.util.TreeSet<>(down);
        }
    }

    /** What happened in all states at one place by one gesture. */
    private static final class Tally {
        private boolean shown;
        private int shortest = Integer.MAX_VALUE;
        private final List<State> states = new ArrayList<>();
    }

    private final List<Foot> feet;
    private final Map<String, Integer> ends = new TreeMap<>();
    private final Map<String, Tally> tallies = new LinkedHashMap<>();
    private final Map<String, List<State>> possible = new LinkedHashMap<>();

    /** A search; {@code ends} has every place that a box has, with the highest value that it may be set to by hand. */
    SecondPlayerSearch(List<Foot> feet, Map<String, Integer> ends) {
        this.feet = feet;
        this.ends.putAll(ends);
    }

    /**
     * The length of the shortest story in which each gesture fails at each place, by "switch moment place"; empty when
     * there are too many states.
     */
    Optional<Map<String, Integer>> broken(SecondPlayer start) {
        Deque<State> open = new ArrayDeque<>();
        Set<String> known = new HashSet<>();
        for (SecondPlayer left : start.leftAnyWay(ends)) {
            State first = new State(left, Set.of(), Set.of(), 0);
            if (known.add(first.key())) {
                open.add(first);
            }
        }
        while (!open.isEmpty()) {
            State state = open.poll();
            for (Foot foot : feet) {
                for (String moment : moments(foot, state)) {
                    State after = done(state, foot, moment);
                    if (after.down().size() <= FEET) {
                        if (known.add(after.key())) {
                            open.add(after);
                        }
                    }
                    possible.computeIfAbsent(foot.at() + " " + moment, k -> new ArrayList<>())
                            .add(state);
                    look(state, foot, moment, after);
                }
            }
            if (known.size() > MOST_STATES) {
                return Optional.empty();
            }
        }
        feet.forEach(foot -> List.of("PRESS", "AGAIN", "RELEASE", "HOLD", "DOUBLE_PRESS")
                .forEach(moment -> elsewhere(foot, moment)));
        Map<String, Integer> broken = new TreeMap<>();
        tallies.forEach((key, tally) -> {
            if (tally.shortest < Integer.MAX_VALUE) {
                broken.put(key, tally.shortest);
            }
        });
        return Optional.of(broken);
    }

    private static List<String> moments(Foot foot, State state) {
        List<String> moments = new ArrayList<>();
        if (state.down().contains(foot.at())) {
            return List.of("RELEASE");
        }
        if (foot.isPressed()) {
            moments.add(foot.alternates() && state.turned().contains(foot.at()) ? "AGAIN" : "PRESS");
        }
        for (String other : List.of("HOLD", "DOUBLE_PRESS")) {
            if (foot.meant().containsKey(other)) {
                moments.add(other);
            }
        }
        return moments;
    }

    private static State done(State state, Foot foot, String moment) {
        SecondPlayer player = state.player().copy();
        player.aimedAt();
        player.countFromZero();
        foot.sent().getOrDefault(moment, List.of()).forEach(message -> player.send(foot.board(), message));
        player.elapse(REST);
        Set<String> turned = new HashSet<>(state.turned());
        Set<String> down = new HashSet<>(state.down());
        boolean isPress = moment.equals("PRESS") || moment.equals("AGAIN");
        if (isPress && foot.alternates() && !turned.remove(foot.at())) {
            turned.add(foot.at());
        }
        if (isPress && foot.releases()) {
            down.add(foot.at());
        }
        down.removeIf(at -> moment.equals("RELEASE") && at.equals(foot.at()));
        return new State(player, turned, down, state.length() + 1);
    }

    private static SecondPlayer meant(State state, Foot foot, String moment) {
        SecondPlayer ideal = state.player().copy();
        ideal.countFromZero();
        ideal.aimedAt();
        List<Wish> wishes = foot.meant().getOrDefault(moment, List.of());
        if (wishes.isEmpty() && moment.equals("AGAIN")) {
            wishes = foot.meant().getOrDefault("PRESS", List.of());
        }
        wishes.forEach(wish -> ideal.doAtOnce(wish.box(), wish.verb(), wish.part(), wish.amount()));
        return ideal;
    }

    private void look(State state, Foot foot, String moment, State after) {
        SecondPlayer ideal = meant(state, foot, moment);
        for (String place : ends.keySet()) {
            int before = SecondPlayer.isCount(place) ? 0 : state.player().at(place);
            int actual = after.player().at(place);
            int wanted = ideal.at(place);
            Tally tally = tallies.computeIfAbsent(foot.at() + " " + moment + " " + place, k -> new Tally());
            tally.shown |= actual != before || wanted != before;
            if (actual != wanted) {
                tally.shortest = Math.min(tally.shortest, after.length());
            }
        }
    }

    /** Where nothing was ever to be seen: what would be, if the place stood elsewhere. */
    private void elsewhere(Foot foot, String moment) {
        for (State state : possible.getOrDefault(foot.at() + " " + moment, List.of())) {
            for (Map.Entry<String, Integer> end : ends.entrySet()) {
                Tally tally = tallies.get(foot.at() + " " + moment + " " + end.getKey());
                if (tally != null && !tally.shown && !SecondPlayer.isCount(end.getKey())) {
                    tally.states.add(state);
                }
            }
        }
        ends.forEach((place, end) -> {
            Tally tally = tallies.get(foot.at() + " " + moment + " " + place);
            if (tally != null && !tally.states.isEmpty()) {
                elsewhere(foot, moment, place, end, tally);
            }
        });
    }

    private static void elsewhere(Foot foot, String moment, String place, int end, Tally tally) {
        boolean right = false;
        boolean isMeant = false;
        int shortest = Integer.MAX_VALUE;
        for (State state : tally.states) {
            for (int value : List.of(0, end)) {
                if (state.player().at(place) != value) {
                    State set = new State(state.player().copy(), state.turned(), state.down(), state.length() + 1);
                    set.player().set(place, value);
                    State after = done(set, foot, moment);
                    boolean isAimed = after.player().aimedAt().contains(place);
                    SecondPlayer ideal = meant(set, foot, moment);
                    isMeant |= ideal.aimedAt().contains(place) || ideal.at(place) != value;
                    int actual = after.player().at(place);
                    int wanted = ideal.at(place);
                    right |= actual == wanted && actual != value;
                    if (actual != wanted && (isAimed || isMeant)) {
                        shortest = Math.min(shortest, after.length());
                    }
                }
            }
        }
        if (!(isMeant && right)) {
            tally.shortest = shortest;
        }
    }
}
