package embrack.core.edit;

import embrack.core.gear.ControlType;
import embrack.core.offer.Rows;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Switches;
import embrack.core.word.Phrase;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** Fills whole rows of a box at once; both fields as they are typed, see {@link Rows}. */
public sealed interface RowEdit extends Edit {

    /** Has switches, pads, keys or buttons do one thing each on press, in the place of what it did. */
    record FillPressed(DeviceId box, Optional<ControlType> of, int bank, boolean inEveryBank, String which, String what)
            implements RowEdit {
        @Override
        public Plan apply(Plan plan) {
            Switches switches = plan.switches();
            for (Rows.Pressed each : row(plan)) {
                for (int one : banks(plan, box, bank, inEveryBank)) {
                    SwitchAt at = new SwitchAt(box, of, one, each.at().number());
                    Assignment before = switches.at(at);
                    switches = switches.with(
                            before.withSteps(Moment.PRESS, each.offer().steps()));
                }
            }
            Switches filled = switches;
            return Refused.at("what", () -> plan.withSwitches(filled).settled());
        }

        /** What it would fill with what. */
        public List<Rows.Pressed> row(Plan plan) {
            Typed.device("which", plan, box);
            return Refused.at("what", () -> new Rows(plan).pressed(box, of, bank, which, what));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("fill-row").with("device", before.rig().name(box)).with("what", what.strip());
        }
    }

    /** Has faders, knobs or pedals move one level each, in the place of what they moved. */
    record FillMoved(DeviceId box, ControlType type, int bank, boolean inEveryBank, String which, String what)
            implements RowEdit {
        @Override
        public Plan apply(Plan plan) {
            Plan filled = plan;
            for (Rows.Moved each : row(plan)) {
                for (int one : banks(plan, box, bank, inEveryBank)) {
                    ControlAt at = new ControlAt(box, type, one, each.at().number());
                    ControlAssignment before = filled.switches().at(at);
                    filled = filled.withSwitches(filled.switches().with(before.withTargets(List.of())));
                    filled = new ControlEdit.AddTarget(at, each.target()).apply(filled);
                }
            }
            return filled;
        }

        /** What it would fill with what. */
        public List<Rows.Moved> row(Plan plan) {
            Typed.device("which", plan, box);
            return Refused.at("what", () -> new Rows(plan).moved(box, type, bank, which, what));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("fill-row").with("device", before.rig().name(box)).with("what", what.strip());
        }
    }

    private static List<Integer> banks(Plan plan, DeviceId box, int bank, boolean inEveryBank) {
        int count =
                plan.rig().model(box).board().map(board -> board.banks().size()).orElse(1);
        return inEveryBank ? IntStream.rangeClosed(1, count).boxed().toList() : List.of(bank);
    }
}
