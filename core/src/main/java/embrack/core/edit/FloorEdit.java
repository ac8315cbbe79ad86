package embrack.core.edit;

import embrack.core.gear.ControlType;
import embrack.core.gear.Model;
import embrack.core.gear.Surface;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Assignment;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Switches;
import embrack.core.word.Phrase;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Changes to several switches at once: copied, moved, exchanged, cleared. */
public sealed interface FloorEdit extends Edit {

    /**
     * Puts copies of switches elsewhere, on whatever board: the first on {@code to}, the others as they lie behind it,
     * going on with the next bank where a bank ends. What was there is replaced.
     */
    record CopySwitches(List<SwitchAt> from, SwitchAt to) implements FloorEdit {

        public CopySwitches {
            from = from.stream().sorted().toList();
        }

        @Override
        public Plan apply(Plan plan) {
            return placed(plan, from, to, plan.switches());
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("copy-switches").with("from", before.words(from)).with("to", before.words(to));
        }
    }

    /** As {@link CopySwitches}, and the switches are blank where they were. */
    record MoveSwitches(List<SwitchAt> from, SwitchAt to) implements FloorEdit {

        public MoveSwitches {
            from = from.stream().sorted().toList();
        }

        @Override
        public Plan apply(Plan plan) {
            Switches left = plan.switches();
            for (SwitchAt at : from) {
                left = left.with(Assignment.blank(at));
            }
            return placed(plan, from, to, left);
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("move-switches").with("from", before.words(from)).with("to", before.words(to));
        }
    }

    /** Exchanges two switches. */
    record SwapSwitches(SwitchAt one, SwitchAt other) implements FloorEdit {
        @Override
        public Plan apply(Plan plan) {
            require(plan, one);
            require(plan, other);
            Switches now = plan.switches();
            return Refused.at(
                    "to",
                    () -> plan.withSwitches(now.with(now.at(one).movedTo(other))
                                    .with(now.at(other).movedTo(one)))
                            .settled());
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("swap-switches").with("oneother", before.words(List.of(one, other)));
        }
    }

    /** Takes everything from switches. */
    record ClearSwitches(List<SwitchAt> switches) implements FloorEdit {

        public ClearSwitches {
            switches = List.copyOf(switches);
        }

        @Override
        public Plan apply(Plan plan) {
            Switches left = plan.switches();
            for (SwitchAt at : switches) {
                require(plan, at);
                left = left.with(Assignment.blank(at));
            }
            return plan.withSwitches(left).settled();
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("clear-switches").with("switches", before.words(switches));
        }
    }

    /** Makes a bank of a board like another one. */
    record CopyBank(DeviceId board, int from, int to) implements FloorEdit {
        @Override
        public Plan apply(Plan plan) {
            boardOf("from", plan, board);
            require(plan, "from", board, from);
            require(plan, "to", board, to);
            Switches changed = plan.switches();
            for (SwitchAt at : plan.pressedOn(board, from)) {
                changed = changed.with(plan.switches().at(at).movedTo(at.inBank(to)));
            }
            return plan.withSwitches(changed).settled();
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("copy-bank")
                    .with("to", name(before, board, to))
                    .with("board", before.rig().name(board))
                    .with("from", name(before, board, from));
        }
    }

    /**
     * Has one board do what another does, switch by switch where it has the same switch and that is blank, else on the
     * first that is blank. What finds no room stays where it is.
     */
    record TakeOver(DeviceId from, DeviceId to) implements FloorEdit {
        @Override
        public Plan apply(Plan plan) {
            boardOf("with", plan, from);
            boardOf("with", plan, to);
            Switches changed = plan.switches();
            for (Assignment assignment : plan.switches().of(from)) {
                Optional<SwitchAt> room = room(plan, changed, assignment.at());
                if (room.isPresent()) {
                    changed = changed.with(Assignment.blank(assignment.at())).with(assignment.movedTo(room.get()));
                }
            }
            return plan.withSwitches(changed).settled();
        }

        private Optional<SwitchAt> room(Plan plan, Switches now, SwitchAt was) {
            SwitchAt same = was.on(to);
            return plan.has(same) && now.at(same).isBlank()
                    ? Optional.of(same)
                    : all(plan, to).stream()
                            .filter(FloorEdit::isHome)
                            .filter(at -> now.at(at).isBlank())
                            .findFirst();
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("take-over")
                    .with("to", before.rig().name(to))
                    .with("from", before.rig().name(from));
        }
    }

    /**
     * Has other hardware do the job of a board. Switches that it does not have go to the first that are blank; those
     * for which there is no room are dropped.
     */
    record OtherBoard(DeviceId board, Model model) implements FloorEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.device("model", plan, board);
            if (plan.rig().model(board).surface().pressed().isEmpty()) {
                return new GearEdit.SwapHardware(board, model).apply(plan);
            }
            if (model.surface().pressed().isEmpty()) {
                throw new Refused("model", Say.of("no.has-no-switches").with("model", model.name()));
            }
            List<SwitchAt> places = all(model.surface(), board);
            List<Assignment> fitting = plan.switches().of(board).stream()
                    .filter(a -> places.contains(a.at()))
                    .toList();
            List<Assignment> homeless = plan.switches().of(board).stream()
                    .filter(a -> !places.contains(a.at()))
                    .toList();
            List<SwitchAt> free = new ArrayList<>(places);
            fitting.forEach(a -> free.remove(a.at()));
            free.removeIf(at -> !isHome(at));
            List<Assignment> moved = IntStream.range(0, Math.min(free.size(), homeless.size()))
                    .mapToObj(i -> homeless.get(i).movedTo(free.get(i)))
                    .toList();
            List<Assignment> others = plan.switches().assignments().stream()
                    .filter(a -> !a.at().board().equals(board))
                    .toList();
            Plan bare = plan.withSwitches(new Switches(
                    Stream.of(others, fitting).flatMap(List::stream).toList(),
                    plan.switches().controlAssignments()));
            Plan swapped = new GearEdit.SwapHardware(board, model).apply(bare);
            Switches all = swapped.switches();
            for (Assignment assignment : moved) {
                all = all.with(assignment.withShortLabel(Optional.empty()));
            }
            return swapped.withSwitches(all).settled();
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("other-board")
                    .with("model", model.name())
                    .with("board", before.rig().name(board));
        }
    }

    private static TapeLabel name(Plan plan, DeviceId box, int bank) {
        return plan.bankName(plan.pressedOn(box, bank).getFirst());
    }

    private static Plan placed(Plan plan, List<SwitchAt> from, SwitchAt to, Switches left) {
        if (from.isEmpty()) {
            throw new Refused("from", Say.of("no.no-switch-chosen"));
        }
        from.forEach(at -> require(plan, at));
        require(plan, to);
        List<SwitchAt> places = all(plan, to.board()).stream()
                .filter(at -> at.of().equals(to.of()))
                .toList();
        int first = places.indexOf(to);
        Switches changed = left;
        int free = first;
        for (List<SwitchAt> ofOneBoard : byBoard(from)) {
            SwitchAt anchor = ofOneBoard.getFirst();
            int columns = plan.board(anchor).switches();
            int start = free;
            for (SwitchAt at : ofOneBoard) {
                int place = start + (at.bank() - anchor.bank()) * columns + at.number() - anchor.number();
                if (place >= places.size()) {
                    throw new Refused(
                            "to",
                            Say.of("no.no-room")
                                    .with("board", plan.rig().name(to.board()))
                                    .with("count", from.size()));
                }
                changed = changed.with(plan.switches().at(at).movedTo(places.get(place)));
                free = place + 1;
            }
        }
        Switches all = changed;
        return Refused.at("to", () -> plan.withSwitches(all).settled());
    }

    /**
     * Sorted switches, those of each board together: they keep their distances, and each board follows the one before.
     */
    private static Collection<List<SwitchAt>> byBoard(List<SwitchAt> sorted) {
        return sorted.stream()
                .distinct()
                .collect(Collectors.groupingBy(at -> at.inBank(1).numbered(1), LinkedHashMap::new, Collectors.toList()))
                .values();
    }

    private static List<SwitchAt> all(Plan plan, DeviceId board) {
        return all(plan.rig().model(board).surface(), board);
    }

    /** All that is pressed on a box: its switches bank by bank, then its pads, keys and buttons. */
    private static List<SwitchAt> all(Surface surface, DeviceId board) {
        int banks = surface.board().map(shape -> shape.banks().size()).orElse(1);
        return surface.pressed().stream()
                .flatMap(of -> IntStream.rangeClosed(1, banks).mapToObj(bank -> new SwitchAt(board, of, bank, 1)))
                .flatMap(first -> IntStream.rangeClosed(
                                1, surface.board(first.of(), 1).orElseThrow().switches())
                        .mapToObj(first::numbered))
                .toList();
    }

    /** Whether what has lost its switch may move there: the keys of a keyboard are played. */
    private static boolean isHome(SwitchAt at) {
        return at.of().filter(of -> of == ControlType.KEY).isEmpty();
    }

    private static void require(Plan plan, SwitchAt at) {
        Typed.device("to", plan, at.board());
        Refused.at("to", () -> Plan.requireOnBoard(plan.rig(), at));
    }

    private static void require(Plan plan, String field, DeviceId board, int bank) {
        Typed.device(field, plan, board);
        Refused.at(
                field,
                () -> Plan.requireOnBoard(
                        plan.rig(), plan.pressedOn(board, 1).getFirst().inBank(bank)));
    }

    private static void boardOf(String field, Plan plan, DeviceId box) {
        Typed.device(field, plan, box);
        if (!plan.boards().contains(box)) {
            throw new Refused(
                    field, Say.of("no.has-no-switches").with("model", plan.rig().name(box)));
        }
    }
}
