package embrack.core.run;

import embrack.core.rig.DeviceId;
import embrack.core.rig.Pair;
import embrack.core.rig.Rig;
import embrack.core.switches.Assignment;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Engine;
import embrack.core.world.Event;
import embrack.core.world.Happened;
import embrack.core.world.Outcome;
import embrack.core.world.Place;
import embrack.core.world.Reading;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * What brings a run back to how it should be with the fewest acts, at most three: switches that are pressed, links that
 * are put back, boxes that are switched on again, the other one of a pair. It is found by trying in the engine, not
 * written down.
 *
 * <p>Searched is breadth first, worlds that were reached before are left; a switch is only tried if what it sends could
 * come to a box that is wrong: no other press helps, since boxes pass messages on whatever state they are in. What a
 * press means must not be something else than the night wants either, so that nothing is mended by a mistake. Cost: at
 * most the number of such acts to the power of three, for worlds that differ.
 *
 * @param acts what to do, in order; none where nothing is to be done
 * @param micros how long it takes, common practice: {@link #PRESS_MICROS} and so on
 * @param left what is wrong still; where anything is, nothing better was found
 * @param isSilent whether nothing plays still that should
 * @param out how many links and boxes are out still
 */
public record Advice(List<Act> acts, long micros, SortedSet<Place> left, boolean isSilent, int out) {

    /** As many acts are tried one after the other. */
    public static final int MOST = 3;

    /** How long a press takes with looking where to, common practice, no source; and so the others. */
    static final long PRESS_MICROS = 1_000_000;

    static final long TURN_MICROS = 1_000_000;
    static final long HAND_OVER_MICROS = 5_000_000;
    static final long SWITCH_ON_MICROS = 10_000_000;
    static final long PLUG_MICROS = 20_000_000;

    private static final Comparator<Advice> BEST = Comparator.comparing((Advice advice) -> advice.isSilent)
            .thenComparingInt(advice -> advice.left.size())
            .thenComparingInt(advice -> advice.left.isEmpty() ? 0 : advice.out)
            .thenComparingInt(advice -> advice.acts.size())
            .thenComparingLong(Advice::micros);

    /** Whether all is well afterwards. */
    public boolean isWhole() {
        return left.isEmpty() && !isSilent;
    }

    /** What to do now; empty where nothing is wrong or out, or nothing that can be done helps at all. */
    public static Optional<Advice> of(Run run) {
        return new Search(run).best();
    }

    /**
     * Something tried.
     *
     * @param cost how long it takes, microseconds
     */
    record Tried(Act act, long cost) {}

    /** A state that was reached, and how all would be meant to be then by what was pressed. */
    private record Reached(World meant, World world, boolean isSilent, List<Act> acts, long cost) {}

    /** What tells two states apart. */
    private record Key(World meant, World world, boolean isSilent) {}

    private static final class Search {

        private final Run run;
        private final Night night;
        private final Engine engine;
        private final World ideal;

        private Search(Run run) {
            this.run = run;
            this.night = run.night();
            this.engine = night.engine();
            this.ideal = engine.untilQuiet(run.ideal()).after();
        }

        private Optional<Advice> best() {
            var start = new Reached(
                    ideal,
                    engine.untilQuiet(run.actual()).after(),
                    run.silentSince().isPresent(),
                    List.of(),
                    0);
            Advice best = advice(start);
            if (best.isWhole()) {
                return putBack(start);
            }
            List<Reached> reached = List.of(start);
            Set<Key> known = new HashSet<>(List.of(new Key(ideal, start.world(), start.isSilent())));
            for (int depth = 0; depth < MOST && !best.isWhole(); depth++) {
                List<Reached> next = new ArrayList<>();
                for (Reached from : reached) {
                    for (Tried tried : tries(from)) {
                        Reached to = done(from, tried);
                        Advice advice = advice(to);
                        best = BEST.compare(advice, best) < 0 ? advice : best;
                        if (known.add(new Key(to.meant(), to.world(), to.isSilent()))) {
                            next.add(to);
                        }
                    }
                }
                reached = next.stream()
                        .sorted(Comparator.comparingLong(Reached::cost))
                        .toList();
            }
            return best.acts.isEmpty() ? Optional.empty() : Optional.of(best);
        }

        /** Nothing stands wrong: what is out is put back, since sound may go over it, and the next message will. */
        private Optional<Advice> putBack(Reached start) {
            Reached now = start;
            for (Event event : Run.repairs(night, start.world())) {
                boolean isOut = event instanceof Event.LinkBack || event instanceof Event.On;
                if (isOut && now.acts().size() < MOST) {
                    now = done(now, new Tried(new Act.Repaired(event), cost(event)));
                }
            }
            return now == start ? Optional.empty() : Optional.of(advice(now));
        }

        private Advice advice(Reached reached) {
            SortedSet<Place> left = new TreeSet<>(ideal.differences(reached.world()));
            left.addAll(ideal.differences(reached.meant()));
            left.removeIf(place -> reached.world().isDark(place.device()) && isDarkToo(place.device()));
            int out = Run.repairs(night, reached.world()).size();
            return new Advice(reached.acts(), reached.cost(), left, reached.isSilent(), out);
        }

        /** What was dark before stays out of it, unless it is what should do something. */
        private boolean isDarkToo(DeviceId device) {
            return night.moved().stream().noneMatch(place -> place.device().equals(device));
        }

        private List<Tried> tries(Reached from) {
            return Stream.concat(
                            presses(from),
                            Run.repairs(night, from.world()).stream()
                                    .map(event -> new Tried(new Act.Repaired(event), cost(event))))
                    .toList();
        }

        private Stream<Tried> presses(Reached from) {
            Set<DeviceId> wrong = new HashSet<>();
            ideal.differences(from.world()).forEach(place -> wrong.add(place.device()));
            if (from.isSilent()) {
                night.player(run.part()).ifPresent(player -> {
                    wrong.add(player);
                    night.plan().rig().standIn(player).ifPresent(wrong::add);
                });
            }
            return night.plan().switches().assignments().stream()
                    .map(Assignment::at)
                    .filter(at -> night.reach(at).stream().anyMatch(wrong::contains))
                    .map(at -> new Tried(new Act.ByHand(new Event.Press(at)), cost(from.world(), at)));
        }

        private long cost(World world, SwitchAt at) {
            return PRESS_MICROS + (world.shownBank(at.board()) == at.bank() ? 0 : TURN_MICROS);
        }

        private long cost(Event event) {
            return switch (event) {
                case Event.On on ->
                    SWITCH_ON_MICROS
                            + night.plan()
                                            .rig()
                                            .model(on.device())
                                            .power()
                                            .map(power -> power.startSeconds())
                                            .orElse(0)
                                    * 1_000_000L;
                case Event.LinkBack back -> PLUG_MICROS;
                default -> HAND_OVER_MICROS;
            };
        }

        private Reached done(Reached from, Tried tried) {
            Outcome outcome =
                    switch (tried.act()) {
                        case Act.ByHand hand
                        when hand.what() instanceof Event.Press press -> engine.tap(from.world(), press.at());
                        case Act.Repaired back -> engine.settled(from.world(), back.event());
                        default -> throw new IllegalStateException("not tried: " + tried.act());
                    };
            List<Act> acts =
                    Stream.concat(from.acts().stream(), Stream.of(tried.act())).toList();
            World meant = tried.act() instanceof Act.ByHand hand && hand.what() instanceof Event.Press press
                    ? night.pressed(from.meant(), press.at())
                    : from.meant();
            return new Reached(
                    meant,
                    outcome.after(),
                    from.isSilent() && !plays(outcome, tried.act()),
                    acts,
                    from.cost() + tried.cost());
        }

        /** Whether the music goes on by it: its player was told to play, or the other one of the pair plays already. */
        private boolean plays(Outcome outcome, Act act) {
            Optional<DeviceId> player = night.player(run.part());
            if (player.isEmpty()) {
                return false;
            }
            DeviceId leader = leader(outcome.after(), player.get());
            if (act instanceof Act.Repaired back && back.event() instanceof Event.GoOver over) {
                return over.pair().first().equals(player.get())
                        && !outcome.after().isDark(leader)
                        && !run.state().stopped().contains(leader);
            }
            return outcome.trace().stream()
                    .anyMatch(happened -> happened instanceof Happened.Arrived arrived
                            && arrived.socket().device().equals(leader)
                            && arrived.reading() instanceof Reading.Acts acts
                            && acts.actions().stream()
                                    .anyMatch(action -> Leap.of(
                                                    night.chart(leader),
                                                    action,
                                                    outcome.after().value(World.place(leader, action)) == 1)
                                            .filter(leap -> leap instanceof Leap.Play || leap instanceof Leap.ToSong)
                                            .isPresent()));
        }

        private DeviceId leader(World world, DeviceId player) {
            Rig rig = night.plan().rig();
            return rig.pairs().stream()
                    .filter(pair -> pair.first().equals(player) && world.isOver(pair))
                    .map(Pair::second)
                    .findFirst()
                    .orElse(player);
        }
    }
}
