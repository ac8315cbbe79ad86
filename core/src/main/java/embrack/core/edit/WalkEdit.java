package embrack.core.edit;

import embrack.core.chart.Action;
import embrack.core.chart.Chart;
import embrack.core.chart.ChartRow;
import embrack.core.chart.PartId;
import embrack.core.chart.Verb;
import embrack.core.gear.Counter;
import embrack.core.name.TapeLabel;
import embrack.core.offer.Walk;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Switches;
import embrack.core.word.Phrase;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/** Changes to what is gone through step by step: the walk of a board that counts, the table of its receiver. */
public sealed interface WalkEdit extends Edit {

    /** Has a board that counts go through the sounds of tonight's order, and writes the table for that. */
    record WalkTheShow(DeviceId board, DeviceId receiver) implements WalkEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.device("receiver", plan, receiver);
            List<TapeLabel> sounds = Walk.ofTheShow(plan, receiver).stream()
                    .map(Walk.Stop::sound)
                    .toList();
            if (sounds.isEmpty()) {
                throw new Refused("sounds", Say.of("no.no-sounds"));
            }
            return walked(plan, board, receiver, sounds);
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("walk-the-show")
                    .with("board", before.rig().name(board))
                    .with("receiver", before.rig().name(receiver));
        }
    }

    /**
     * Has a board that counts go through sounds, and writes the table for that.
     *
     * @param sounds as typed, one a line, by the tape of their patches; nothing to plan nothing for it
     */
    record WalkSounds(DeviceId board, DeviceId receiver, String sounds) implements WalkEdit {
        @Override
        public Plan apply(Plan plan) {
            return walked(
                    plan,
                    board,
                    receiver,
                    sounds.lines()
                            .filter(line -> !line.isBlank())
                            .map(line -> Typed.label("sounds", line))
                            .toList());
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("walk-sounds")
                    .with("board", before.rig().name(board))
                    .with("receiver", before.rig().name(receiver));
        }
    }

    /**
     * Has a program of a table that can be edited choose something; both as typed.
     *
     * @param program as the box counts
     * @param choice by its tape or as it is called on the box; nothing for what the box came with
     */
    record ChooseProgram(DeviceId device, String program, String choice) implements WalkEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.device("program", plan, device);
            Chart chart = plan.rig().chart(device);
            int first = chart.conventions().shownPrograms().first();
            int sent = Typed.number("program", program) - first;
            if (!chart.table().containsKey(sent)) {
                throw new Refused(
                        "program",
                        chart.table().isEmpty()
                                ? Say.of("no.no-table")
                                        .with("device", plan.rig().name(device))
                                : Say.of("no.not-in-table")
                                        .with("device", plan.rig().name(device))
                                        .with("from", chart.table().firstKey() + first)
                                        .with("to", chart.table().lastKey() + first));
            }
            SortedMap<Integer, PartId> table =
                    new TreeMap<>(plan.rig().device(device).table());
            if (choice.isBlank()) {
                table.remove(sent);
            } else {
                table.put(sent, known("choice", plan, device, Typed.label("choice", choice)));
            }
            return tabled("choice", plan, device, table).settled();
        }

        @Override
        public Phrase summary(Plan before) {
            return choice.isBlank()
                    ? Say.of("choose-program.b")
                            .with("device", before.rig().name(device))
                            .with("program", program.strip())
                    : Say.of("choose-program.a")
                            .with("device", before.rig().name(device))
                            .with("program", program.strip())
                            .with("part", choice.strip());
        }
    }

    private static PartId known(String field, Plan plan, DeviceId device, TapeLabel sound) {
        return Walk.part(plan, device, sound)
                .orElseThrow(() -> new Refused(
                        field,
                        Say.of("no.no-such-sound")
                                .with("receiver", plan.rig().name(device))
                                .with("sound", sound)));
    }

    private static Plan tabled(String field, Plan plan, DeviceId device, SortedMap<Integer, PartId> table) {
        SortedMap<Integer, PartId> asDelivered =
                plan.rig().model(device).chart().table();
        table.entrySet().removeIf(e -> e.getValue().equals(asDelivered.get(e.getKey())));
        return Refused.at(field, () -> plan.withRig(plan.rig().withDeviceChanged(device, d -> d.withTable(table))));
    }

    private static Plan walked(Plan plan, DeviceId board, DeviceId receiver, List<TapeLabel> sounds) {
        Typed.device("sounds", plan, board);
        Typed.device("receiver", plan, receiver);
        Counter counter = Walk.counter(plan, board)
                .orElseThrow(() -> new Refused(
                        "sounds",
                        Say.of("no.counts-not").with("board", plan.rig().name(board))));
        if (sounds.size() > counter.positions()) {
            throw new Refused(
                    "sounds",
                    Say.of("no.too-many-sounds")
                            .with("board", plan.rig().name(board))
                            .with("most", counter.positions())
                            .with("count", sounds.size()));
        }
        List<PartId> parts = new ArrayList<>();
        for (TapeLabel sound : sounds) {
            parts.add(known("sounds", plan, receiver, sound));
        }
        Plan before = forgotten(plan, board, counter);
        Plan written =
                before.rig().chart(receiver).isTableEditable() ? written(before, receiver, counter, parts) : before;
        return stepped(written, board, receiver, counter, parts).settled();
    }

    /** The plan without what was written into a table for the walk of a board; what somebody edited since stays. */
    private static Plan forgotten(Plan plan, DeviceId board, Counter counter) {
        Optional<DeviceId> receiver = Walk.receiver(plan, board);
        if (receiver.isEmpty()) {
            return plan;
        }
        SortedMap<Integer, PartId> table =
                new TreeMap<>(plan.rig().device(receiver.get()).table());
        List<Optional<PartId>> planned = Walk.planned(plan, board);
        for (int i = 0; i < planned.size(); i++) {
            int program = counter.program(i + 1);
            planned.get(i).ifPresent(part -> table.remove(program, part));
        }
        return tabled("sounds", plan, receiver.get(), table);
    }

    /** The plan with the sounds on programs one behind the other; one more press at the end keeps the last. */
    private static Plan written(Plan plan, DeviceId receiver, Counter counter, List<PartId> parts) {
        SortedMap<Integer, PartId> table =
                new TreeMap<>(plan.rig().device(receiver).table());
        for (int position = 1; position <= reached(counter, parts); position++) {
            table.put(counter.program(position), parts.get(Math.min(position, parts.size()) - 1));
        }
        return tabled("sounds", plan, receiver, table);
    }

    /** The last position that a foot is taken to come to: one behind the last sound, if there is one. */
    private static int reached(Counter counter, List<PartId> parts) {
        return parts.isEmpty() ? 0 : Math.min(parts.size() + 1, counter.positions());
    }

    private static Plan stepped(Plan plan, DeviceId board, DeviceId receiver, Counter counter, List<PartId> parts) {
        Chart chart = plan.rig().chart(receiver);
        int last = reached(counter, parts);
        Switches switches = plan.switches();
        for (int bank = 1; bank <= counter.positions(); bank++) {
            for (int number : List.of(counter.down(), counter.up())) {
                SwitchAt at = new SwitchAt(board, bank, number);
                int to = counter.after(bank, number);
                List<Step> steps = bank <= last && to <= last
                        ? List.of(step(chart, receiver, parts.get(Math.min(to, parts.size()) - 1)))
                        : List.of();
                switches = switches.with(switches.at(at).withSteps(Moment.PRESS, steps));
            }
        }
        return plan.withSwitches(switches);
    }

    private static Step step(Chart chart, DeviceId receiver, PartId part) {
        Verb verb = chart.rows().stream()
                .filter(row -> row.part().id().equals(part) && row.verb().isExclusive())
                .map(ChartRow::verb)
                .findFirst()
                .orElseThrow(() -> new Refused(
                        "sounds",
                        Say.of("no.chosen-by-nothing")
                                .with("part", chart.part(part).orElseThrow().name())));
        return new Step(receiver, new Action(verb, part));
    }
}
