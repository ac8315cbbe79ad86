package embrack.core.plan;

import embrack.core.chart.Action;
import embrack.core.chart.LearnableId;
import embrack.core.chart.Verb;
import embrack.core.gear.Board;
import embrack.core.gear.ControlGroup;
import embrack.core.gear.Model;
import embrack.core.light.Chase;
import embrack.core.light.Direct;
import embrack.core.light.Lights;
import embrack.core.light.Look;
import embrack.core.light.NeededBank;
import embrack.core.light.Patch;
import embrack.core.light.Scenes;
import embrack.core.midi.Channel;
import embrack.core.name.TapeLabel;
import embrack.core.name.Words;
import embrack.core.numbers.Allocator;
import embrack.core.numbers.Senders;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.show.Book;
import embrack.core.show.Cue;
import embrack.core.show.Song;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Practice;
import embrack.core.switches.Practices;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Switches;
import embrack.core.switches.Target;
import embrack.core.word.Fact;
import embrack.core.word.Wording;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * A rig, what its switches and controls do, how its crew likes to work, its prompt book, and its lights. A plan is
 * always whole: switches are on boards of the rig, steps on its devices.
 */
public record Plan(Rig rig, Switches switches, Practices practices, Book book, Lights lights) {

    public Plan {
        Objects.requireNonNull(rig, "rig");
        for (Assignment assignment : switches.assignments()) {
            requireOnBoard(rig, assignment.at());
            for (Step step : assignment.steps()) {
                rig.device(step.device());
            }
        }
        for (ControlAssignment controlAssignment : switches.controlAssignments()) {
            controls(rig, controlAssignment.at());
            controlAssignment.targets().forEach(target -> rig.device(target.device()));
        }
        for (Cue cue : book.cues()) {
            cue.steps().forEach(step -> rig.device(step.device()));
            cue.foot().ifPresent(at -> requireOnBoard(rig, at));
        }
        book.songs().forEach(song -> song.player().ifPresent(rig::device));
        book.shows().forEach(show -> {
            show.order().forEach(entry -> entry.calls().presses().forEach(at -> requireOnBoard(rig, at)));
            show.absent().forEach(rig::device);
            show.folder().readers().forEach(reader -> {
                reader.boards().forEach(rig::device);
                reader.ears().ifPresent(rig::device);
            });
        });
        lights.held().forEach(held -> rig.device(held.desk()));
        lights.chases().forEach(chase -> chase.at().ifPresent(at -> rig.device(at.desk())));
    }

    /** A plan in the schools that are the default, with an empty book and no lights. */
    public Plan(Rig rig, Switches switches) {
        this(rig, switches, Practices.DEFAULT, Book.EMPTY, Lights.NONE);
    }

    /** A plan without gear. */
    public static Plan empty(TapeLabel name) {
        return new Plan(Rig.empty(name), Switches.NONE);
    }

    /**
     * What a switch can send, and what lies beside it; a pad, key or button as well.
     *
     * @throws IllegalArgumentException when there is none of its sort
     */
    public Board board(SwitchAt at) {
        return board(rig, at);
    }

    private static Board board(Rig rig, SwitchAt at) {
        return rig.model(at.board())
                .surface()
                .board(at.of(), at.number())
                .orElseThrow(() -> new IllegalArgumentException(
                        at.of().isEmpty()
                                ? "%s has no switches".formatted(rig.name(at.board()))
                                : "%s has no %s".formatted(rig.name(at.board()), at.words())));
    }

    /** Devices with switches, or with pads, keys or buttons, in the order of the rig. */
    public List<DeviceId> boards() {
        return rig.devices().stream()
                .map(d -> d.id())
                .filter(id -> !rig.model(id).surface().pressed().isEmpty())
                .toList();
    }

    /** All that is pressed on a box in a bank: its switches, then pads, keys and buttons, in order. */
    public List<SwitchAt> pressedOn(DeviceId box, int bank) {
        return rig.model(box).surface().pressed().stream()
                .map(of -> new SwitchAt(box, of, bank, 1))
                .flatMap(first ->
                        IntStream.rangeClosed(1, board(first).switches()).mapToObj(first::numbered))
                .toList();
    }

    /** A switch in words: "Voice board, bank A, switch 3". */
    public String words(SwitchAt at) {
        return words(List.of(at));
    }

    /** Several switches in words: "Voice board, bank A, switches 1, 2 and 3; Desk board, bank B, switch 1". */
    public String words(List<SwitchAt> switches) {
        return wording().switches(switches);
    }

    private Wording wording() {
        return new Wording(rig);
    }

    /** Whether a switch is on a board of the rig. */
    public boolean has(SwitchAt at) {
        return rig.find(at.board()).isPresent()
                && at.bank() <= banks(at.board())
                && rig.model(at.board())
                        .surface()
                        .board(at.of(), at.number())
                        .filter(board -> at.number() <= board.switches())
                        .isPresent();
    }

    /** Whether a control is on a box of the rig. */
    public boolean has(ControlAt at) {
        return rig.find(at.box()).isPresent()
                && at.bank() <= banks(at.box())
                && controlsOf(at.box(), at.bank()).contains(at);
    }

    /** A bank as the board shows it: "A". */
    public TapeLabel bankName(SwitchAt at) {
        return board(at).banks().get(at.bank() - 1);
    }

    /** A step in words: "Vocal mixer: mute Return 1", "Tracks: jump to Song 2 (Low Water)". */
    public String words(Step step) {
        return wording().say(Fact.of(step)) + behind(step);
    }

    /** What a step does, without whom: "mute Return 1", "jump to Song 2 (Low Water)". */
    public String deed(Step step) {
        return rig.words(step.device(), step.action()) + behind(step);
    }

    /**
     * A step as short as it is understood beside its box: the title or look that it is about, else the part alone that
     * it chooses, else what it does.
     */
    public String brief(Step step) {
        return called(step)
                .or(() -> step.action().verb().isExclusive()
                        ? Optional.of(rig.partName(step.device(), step.action().part()))
                        : Optional.empty())
                .map(TapeLabel::text)
                .orElseGet(() -> rig.words(step.device(), step.action()));
    }

    /** The title or look that a step is about, in brackets; empty for none. */
    private String behind(Step step) {
        return called(step).map(" (%s)"::formatted).orElse("");
    }

    private Optional<TapeLabel> called(Step step) {
        return title(step)
                .or(() -> lookOf(step).map(Look::name))
                .or(() -> chaseOf(step).map(Chase::name));
    }

    /** The chase that a step is about. */
    public Optional<Chase> chaseOf(Step step) {
        return lights.chaseAt(step.device(), step.action().part());
    }

    /** The look that a step has a desk show, where no bank has to be chosen before it. */
    public Optional<Look> lookOf(Step step) {
        return lights.held().isEmpty()
                ? Optional.empty()
                : lights.shownBy(step.device(), rig.chart(step.device()), step.action());
    }

    /** Which slots belong to whom, with the buttons of the first desk that has such. */
    public Patch patch() {
        return new Patch(
                lights,
                rig.devices().stream()
                        .flatMap(device -> rig.model(device.id()).surface().pages().stream())
                        .findFirst());
    }

    /** The look that some steps send to a desk slot by slot; the first desk of which they show one. */
    public Optional<Look> drivenBy(List<Step> steps) {
        return lights.looks().isEmpty()
                ? Optional.empty()
                : steps.stream()
                        .map(Step::device)
                        .distinct()
                        .flatMap(desk -> Direct.of(rig.chart(desk)).stream()
                                .flatMap(direct -> direct
                                        .shownBy(
                                                lights,
                                                steps.stream()
                                                        .filter(step ->
                                                                step.device().equals(desk))
                                                        .map(Step::action)
                                                        .toList())
                                        .stream()))
                        .findFirst();
    }

    /** The place of a desk that one of some steps that follow one another means, in the bank that they choose. */
    public Optional<Scenes.Place> placeOf(List<Step> steps, int index) {
        Step step = steps.get(index);
        return lights.held().isEmpty()
                ? Optional.empty()
                : lights.meant(step.device(), rig.chart(step.device()), before(steps, index), step.action());
    }

    /** The look that one of some steps that follow one another has a desk show, in the bank that they choose. */
    public Optional<Look> lookOf(List<Step> steps, int index) {
        return placeOf(steps, index)
                .flatMap(place -> lights.holds(steps.get(index).device(), place));
    }

    /** The bank in which a desk has to be for one of some steps that follow one another. */
    public Optional<NeededBank> bankOf(List<Step> steps, int index) {
        Step step = steps.get(index);
        return lights.held().isEmpty()
                ? Optional.empty()
                : lights.needed(step.device(), rig.chart(step.device()), before(steps, index), step.action());
    }

    /** What comes before a step on its own device. */
    private static List<Action> before(List<Step> steps, int index) {
        return steps.subList(0, index).stream()
                .filter(earlier -> earlier.device().equals(steps.get(index).device()))
                .map(Step::action)
                .toList();
    }

    /** The title of the song that a step is about, where its player has it at that place of the list. */
    public Optional<TapeLabel> title(Step step) {
        return songOf(step).map(Song::title);
    }

    /** The song that a step is about, where its player has it at that place of the list. */
    public Optional<Song> songOf(Step step) {
        OptionalInt place = rig.chart(step.device()).placeOfSong(step.action().part());
        return place.isEmpty()
                ? Optional.empty()
                : book.songs().stream()
                        .filter(song -> song.place() == place.getAsInt()
                                && player(song).filter(step.device()::equals).isPresent())
                        .findFirst();
    }

    public Plan withRig(Rig other) {
        return new Plan(other, switches, practices, book, lights);
    }

    public Plan withSwitches(Switches others) {
        return new Plan(rig, others, practices, book, lights);
    }

    /** The plan with a message for everything that its boxes learn and that is used. */
    public Plan settled() {
        Rig settled = Allocator.settle(rig, switches, book, practices);
        return settled == rig ? this : withRig(settled);
    }

    /** Which devices the switches and controls of each box are about, in the order of the rig. */
    public Map<DeviceId, Set<DeviceId>> meant() {
        Map<DeviceId, Set<DeviceId>> meant = new LinkedHashMap<>();
        switches.assignments()
                .forEach(a -> a.steps()
                        .forEach(step -> meant.computeIfAbsent(a.at().board(), b -> new LinkedHashSet<>())
                                .add(step.device())));
        switches.controlAssignments()
                .forEach(t -> t.targets()
                        .forEach(target -> meant.computeIfAbsent(t.at().box(), b -> new LinkedHashSet<>())
                                .add(target.device())));
        return meant;
    }

    /** The channel of each box whose switches and controls that are used all send on one. */
    public Map<DeviceId, Channel> sendsOn() {
        Map<DeviceId, Set<Optional<Channel>>> only = new LinkedHashMap<>();
        switches.assignments().stream()
                .filter(a -> !a.steps().isEmpty())
                .forEach(a -> only.computeIfAbsent(a.at().board(), b -> new LinkedHashSet<>())
                        .add(Senders.only(rig, a.at())));
        switches.controlAssignments()
                .forEach(t -> only.computeIfAbsent(t.at().box(), b -> new LinkedHashSet<>())
                        .add(Senders.only(rig, t.at())));
        Map<DeviceId, Channel> sendsOn = new LinkedHashMap<>();
        only.forEach((box, channels) -> {
            if (channels.size() == 1) {
                channels.iterator().next().ifPresent(channel -> sendsOn.put(box, channel));
            }
        });
        return sendsOn;
    }

    public Plan withBook(Book other) {
        return new Plan(rig, switches, practices, other, lights);
    }

    /** The device that plays a song and sends its cues: the one that was chosen, or the first player of the rig. */
    public Optional<DeviceId> player(Song song) {
        return song.player().or(() -> players().stream().findFirst());
    }

    /** Devices that can play songs and send cues, in the order of the rig. */
    public List<DeviceId> players() {
        return Book.players(rig);
    }

    /** How a question is answered: by the hardware itself, where that decides, else as the crew chose. */
    public int answer(Practice practice) {
        List<Model> hosts = practice == Practice.LINKS
                ? rig.devices().stream()
                        .map(device -> rig.model(device.id()))
                        .filter(Model::isPlayedByKnobs)
                        .toList()
                : List.of();
        return hosts.isEmpty() ? practices.answer(practice) : hosts.stream().anyMatch(Model::isLinkedStraight) ? 1 : 0;
    }

    public Plan withPractices(Practices others) {
        return new Plan(rig, switches, others, book, lights);
    }

    public Plan withLights(Lights others) {
        return new Plan(rig, switches, practices, book, others);
    }

    /** The controls that one of them lies among. */
    public ControlGroup controls(ControlAt at) {
        return controls(rig, at);
    }

    /** Every treadle, fader and knob of a box in a bank, in the order of its surface. */
    public List<ControlAt> controlsOf(DeviceId box, int bank) {
        List<ControlAt> all = new ArrayList<>();
        for (ControlGroup group : rig.model(box).surface().groups()) {
            if (group.type().isSwept()) {
                int before = (int)
                        all.stream().filter(at -> at.type() == group.type()).count();
                IntStream.rangeClosed(1, group.count())
                        .forEach(n -> all.add(new ControlAt(box, group.type(), bank, before + n)));
            }
        }
        return all;
    }

    /** Boxes with anything that is pressed or moved, in the order of the rig. */
    public List<DeviceId> controllers() {
        return rig.devices().stream()
                .map(d -> d.id())
                .filter(id -> rig.model(id).board().isPresent()
                        || !rig.model(id).surface().groups().isEmpty())
                .toList();
    }

    /** How many banks a box with switches or controls has. */
    public int banks(DeviceId box) {
        return rig.model(box).board().map(board -> board.banks().size()).orElse(1);
    }

    /** A control in words: "Quay board, fader 1". */
    public String words(ControlAt at) {
        return wording().say(Fact.of(at));
    }

    /** A level as the box shows it, 0 to 127, or by the law of the target where its chart does not say. */
    public String shown(Target target, int value) {
        return rig.chart(target.device())
                .scale(target.part())
                .map(scale -> scale.shown(value))
                .orElseGet(() -> target.shown(value));
    }

    /** What a learned message does at one end, as the box shows it where its chart says how; else 0 to 127. */
    public String shown(DeviceId device, LearnableId learnable, int value) {
        return Optional.of(learnable.verb())
                .filter(Verb::takesAmount)
                .flatMap(verb -> rig.chart(device).scale(learnable.part()))
                .map(scale -> scale.shown(value))
                .orElseGet(() -> String.valueOf(value));
    }

    /** A level as a person types it: as the box shows it where its chart says so, else 0 to 127. */
    public String typed(Target target, int value) {
        return rig.chart(target.device())
                .scale(target.part())
                .map(scale -> scale.shown(value))
                .orElseGet(() -> String.valueOf(value));
    }

    /** A level in words: "Piano: level of Control 1". */
    public String words(Target target) {
        return wording().say(Fact.of(target));
    }

    private static ControlGroup controls(Rig rig, ControlAt at) {
        int banks =
                rig.model(at.box()).board().map(board -> board.banks().size()).orElse(1);
        if (at.bank() > banks) {
            throw new IllegalArgumentException(
                    "%s has %d banks, so there is no bank %d".formatted(rig.name(at.box()), banks, at.bank()));
        }
        return Senders.group(rig, at);
    }

    /** The board that has a switch; refuses a switch that is on none. */
    public static Board requireOnBoard(Rig rig, SwitchAt at) {
        Board board = board(rig, at);
        if (at.bank() > board.banks().size()) {
            throw new IllegalArgumentException("%s has %d banks, so there is no bank %d"
                    .formatted(rig.name(at.board()), board.banks().size(), at.bank()));
        }
        if (at.number() > board.switches()) {
            throw new IllegalArgumentException("%s has %s in a bank, so there is no %s"
                    .formatted(rig.name(at.board()), Words.count(board.switches(), at.what()), at.words()));
        }
        return board;
    }
}
