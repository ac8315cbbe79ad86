package embrack.core.place;

import embrack.core.gear.Board;
import embrack.core.name.Words;
import embrack.core.offer.SpareSwitch;
import embrack.core.plan.Plan;
import embrack.core.switches.Assignment;
import embrack.core.switches.Duty;
import embrack.core.switches.SwitchAt;
import embrack.core.word.Fact;
import embrack.core.word.Phrase;
import embrack.core.world.Engine;
import embrack.core.world.Place;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What lies around a switch.
 *
 * @param misses what a foot does that lands one too far to the left or right, where a switch is there
 * @param toKill how it lies to the kill switch of the same board and bank, in words; empty when there is none
 */
public record Surroundings(List<Miss> misses, Optional<String> toKill) {

    private static final String ROOM = "core/place";

    /** How many changes are told of a miss. */
    private static final int CHANGES_TOLD = 3;

    public Surroundings {
        misses = List.copyOf(misses);
    }

    /**
     * A foot lands beside the switch.
     *
     * @param hit what it lands on
     * @param side "left" or "right"
     * @param does what then changes, in words, by simulation; nothing when the switch is blank or sends nothing that is
     * heard
     * @param hurts whether it stops something, or leaves people without sound or light
     */
    public record Miss(SwitchAt hit, String side, List<Phrase> does, boolean hurts) {

        public Miss {
            does = List.copyOf(does);
        }

        /** The miss in a sentence: "A toe too far left: Tracks: stop." */
        public Phrase phrase() {
            return Phrase.of(ROOM, "miss").with("side", Fact.word(side)).with("does", does);
        }
    }

    /** The surroundings of a switch, by presses from power-on. */
    public static Surroundings of(Plan plan, SwitchAt at) {
        var engine = new Engine(plan);
        World start = World.poweredOn(plan.rig());
        World after = plan.switches().at(at).steps().isEmpty()
                ? start
                : engine.tap(start, at).after();
        List<Miss> misses = new ArrayList<>();
        Board board = plan.board(at);
        for (int number : board.besides(at.number())) {
            SwitchAt hit = at.numbered(number);
            World missed = engine.tap(after, hit).after();
            List<Phrase> changes = after.differences(missed).stream()
                    .map(place -> changed(place, missed))
                    .toList();
            List<Phrase> told =
                    changes.size() <= CHANGES_TOLD ? changes : new ArrayList<>(changes.subList(0, CHANGES_TOLD));
            if (changes.size() > CHANGES_TOLD) {
                told.add(Phrase.of(ROOM, "more").with("number", changes.size() - CHANGES_TOLD));
            }
            misses.add(new Miss(
                    hit,
                    number < at.number() ? "left" : "right",
                    told,
                    new Safety(plan).isHurtful(plan.switches().at(hit))));
        }
        return new Surroundings(
                misses, kill(plan, at).filter(kill -> !kill.equals(at)).map(kill -> words(board, at, kill)));
    }

    private static Phrase changed(Place place, World state) {
        return Phrase.of(ROOM, "changed")
                .with("device", place.device())
                .with("part", new Fact.PartOf(place.device(), place.part()))
                .with("value", Fact.word(place.aspect().word(state.value(place))));
    }

    private static Optional<SwitchAt> kill(Plan plan, SwitchAt at) {
        return plan.switches().of(at.board()).stream()
                .filter(a -> a.isFor(Duty.KILL)
                        && a.at().bank() == at.bank()
                        && a.at().of().equals(at.of()))
                .map(Assignment::at)
                .findFirst();
    }

    /** How one switch lies to another: "3 switches to the right, one row back". */
    static String words(Board board, SwitchAt from, SwitchAt to) {
        int along = board.column(to.number()) - board.column(from.number());
        int back = board.row(to.number()) - board.row(from.number());
        List<String> pieces = new ArrayList<>();
        if (along != 0) {
            pieces.add("%s to the %s".formatted(Words.count(Math.abs(along), "switch"), along > 0 ? "right" : "left"));
        }
        if (back != 0) {
            pieces.add("%s %s".formatted(Words.count(Math.abs(back), "row"), back > 0 ? "back" : "towards you"));
        }
        boolean oneFoot = SpareSwitch.distance(board, from, to) <= 2;
        return "The kill switch is %s: %s."
                .formatted(
                        String.join(", ", pieces),
                        oneFoot ? "the same foot can reach it by mistake" : "the other foot reaches it");
    }
}
