package embrack.core.edit;

import embrack.core.gear.Model;
import embrack.core.name.TapeLabel;
import embrack.core.numbers.Channels;
import embrack.core.offer.Needed;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import embrack.core.show.Book;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.ControlAt;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Switches;
import embrack.core.word.Phrase;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

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
            return placed(plan, from, to, plan.switches(), plan.book());
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
            Map<SwitchAt, SwitchAt> moved = places(plan, from, to);
            return placed(plan, from, to, left, plan.book().pressedAt(at -> Optional.of(moved.getOrDefault(at, at))));
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
                            .withBook(plan.book()
                                    .pressedAt(at -> Optional.of(at.equals(one) ? other : at.equals(other) ? one : at)))
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
     * first that is blank; what the show needs first comes first. What finds no room stays where it is. Its pedals,
     * faders and knobs are taken over too, and it is joined with what no way leads to yet.
     */
    record TakeOver(DeviceId from, DeviceId to) implements FloorEdit {
        @Override
        public Plan apply(Plan plan) {
            boardOf("with", plan, from);
            boardOf("with", plan, to);
            Room room = new Room(to, plan.rig().model(to).surface());
            Switches now = plan.switches();
            Map<Assignment, SwitchAt> given = room.given(
                    now.of(from).stream()
                            .filter(a -> !a.isBlank())
                            .sorted(Needed.tonight(plan).firstFirst())
                            .toList(),
                    room.switches().stream().filter(at -> now.at(at).isBlank()).toList());
            Map<ControlAssignment, ControlAt> controls = room.givenControls(
                    now.travelsOf(from),
                    room.controls().stream().filter(at -> now.at(at).isBlank()).toList());
            Switches changed = now;
            for (Map.Entry<Assignment, SwitchAt> move : given.entrySet()) {
                changed = changed.with(Assignment.blank(move.getKey().at()))
                        .with(move.getKey().movedTo(move.getValue()));
            }
            for (Map.Entry<ControlAssignment, ControlAt> move : controls.entrySet()) {
                changed = changed.with(ControlAssignment.blank(move.getKey().at()))
                        .with(move.getKey().movedTo(move.getValue()));
            }
            Map<SwitchAt, SwitchAt> moved = moves(given);
            return joined(
                    plan.withSwitches(changed)
                            .withBook(plan.book().pressedAt(at -> Optional.of(moved.getOrDefault(at, at)))),
                    new WiringEdit.JoinMeant(to, from, cablesOf(plan, from)));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("take-over")
                    .with("to", before.rig().name(to))
                    .with("from", before.rig().name(from));
        }
    }

    /**
     * Has other hardware, of whatever kind, do the job of a board. Switches that it does not have go to the first that
     * are blank; those for which there is no room are dropped, of those that the show needs last. Where cables do not
     * fit any more, it is joined anew.
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
            Room room = new Room(board, model.surface());
            Switches now = plan.switches();
            List<Assignment> wanting = now.of(board).stream()
                    .sorted(Needed.tonight(plan).firstFirst())
                    .toList();
            Map<Assignment, SwitchAt> given = room.given(wanting, room.switches());
            Map<ControlAssignment, ControlAt> controls = room.givenControls(now.travelsOf(board), room.controls());
            Switches bare = now;
            for (Assignment assignment : wanting) {
                bare = bare.with(Assignment.blank(assignment.at()));
            }
            for (ControlAssignment control : now.travelsOf(board)) {
                if (!control.at().equals(controls.get(control))) {
                    bare = bare.with(ControlAssignment.blank(control.at()));
                }
            }
            Map<SwitchAt, SwitchAt> moved = moves(given);
            Plan swapped = Fitting.hardware(
                    plan.withSwitches(bare)
                            .withBook(plan.book()
                                    .pressedAt(at -> Optional.of(at)
                                            .filter(here -> !here.board().equals(board)))),
                    board,
                    model);
            Switches all = swapped.switches();
            for (Map.Entry<Assignment, SwitchAt> move : given.entrySet()) {
                Assignment was = move.getKey();
                all = all.with(
                        was.at().equals(move.getValue())
                                ? was
                                : was.movedTo(move.getValue()).withShortLabel(Optional.empty()));
            }
            for (Map.Entry<ControlAssignment, ControlAt> move : controls.entrySet()) {
                if (all.at(move.getValue()).isBlank()) {
                    all = all.with(move.getKey().movedTo(move.getValue()));
                }
            }
            Plan full = swapped.withSwitches(all)
                    .withBook(plan.book()
                            .pressedAt(at ->
                                    at.board().equals(board) ? Optional.ofNullable(moved.get(at)) : Optional.of(at)));
            return joined(
                    mainReceiver(full, board)
                            .map(receiver -> full.withRig(Channels.tuned(full.rig(), board, receiver)))
                            .orElse(full),
                    new WiringEdit.JoinMeant(board, board, cablesOf(plan, board)));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("other-board")
                    .with("model", model.name())
                    .with("board", before.rig().name(board));
        }
    }

    private static Map<SwitchAt, SwitchAt> moves(Map<Assignment, SwitchAt> given) {
        Map<SwitchAt, SwitchAt> moves = new HashMap<>();
        given.forEach((assignment, at) -> moves.put(assignment.at(), at));
        return moves;
    }

    /** The box that most steps of a board are for. */
    private static Optional<DeviceId> mainReceiver(Plan plan, DeviceId board) {
        Map<DeviceId, Integer> steps = new LinkedHashMap<>();
        plan.switches()
                .of(board)
                .forEach(assignment -> assignment.steps().forEach(step -> steps.merge(step.device(), 1, Integer::sum)));
        return steps.entrySet().stream().max(Map.Entry.comparingByValue()).map(Map.Entry::getKey);
    }

    private static List<Link> cablesOf(Plan plan, DeviceId box) {
        return plan.rig().linksIn(box).stream()
                .filter(link -> plan.rig().kind(link) != LinkKind.POWER)
                .toList();
    }

    private static Plan joined(Plan plan, WiringEdit.JoinMeant joining) {
        return Refused.at("with", () -> joining.apply(plan.settled()).settled());
    }

    private static TapeLabel name(Plan plan, DeviceId box, int bank) {
        return plan.bankName(plan.pressedOn(box, bank).getFirst());
    }

    private static Plan placed(Plan plan, List<SwitchAt> from, SwitchAt to, Switches left, Book book) {
        Switches changed = left;
        for (Map.Entry<SwitchAt, SwitchAt> move : places(plan, from, to).entrySet()) {
            changed = changed.with(plan.switches().at(move.getKey()).movedTo(move.getValue()));
        }
        Switches all = changed;
        return Refused.at("to", () -> plan.withSwitches(all).withBook(book).settled());
    }

    /** Where each of some switches comes when the first of them comes to a place. */
    private static Map<SwitchAt, SwitchAt> places(Plan plan, List<SwitchAt> from, SwitchAt to) {
        if (from.isEmpty()) {
            throw new Refused("from", Say.of("no.no-switch-chosen"));
        }
        from.forEach(at -> require(plan, at));
        require(plan, to);
        List<SwitchAt> there = new Room(to.board(), plan.rig().model(to.board()).surface())
                .switches().stream().filter(at -> at.of().equals(to.of())).toList();
        Map<SwitchAt, SwitchAt> places = new LinkedHashMap<>();
        int free = there.indexOf(to);
        for (List<SwitchAt> ofOneBoard : byBoard(from)) {
            SwitchAt anchor = ofOneBoard.getFirst();
            int columns = plan.board(anchor).switches();
            int start = free;
            for (SwitchAt at : ofOneBoard) {
                int place = start + (at.bank() - anchor.bank()) * columns + at.number() - anchor.number();
                if (place >= there.size()) {
                    throw new Refused(
                            "to",
                            Say.of("no.no-room")
                                    .with("board", plan.rig().name(to.board()))
                                    .with("count", from.size()));
                }
                places.put(at, there.get(place));
                free = place + 1;
            }
        }
        return places;
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
