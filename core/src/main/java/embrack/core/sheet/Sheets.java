package embrack.core.sheet;

import embrack.core.chart.Learned;
import embrack.core.check.Report;
import embrack.core.compile.CompiledControl;
import embrack.core.compile.CompiledStep;
import embrack.core.gear.Board;
import embrack.core.gear.Counted;
import embrack.core.gear.Counter;
import embrack.core.gear.FactoryMessage;
import embrack.core.gear.Model;
import embrack.core.gear.Purpose;
import embrack.core.gear.Scope;
import embrack.core.gear.SendChannel;
import embrack.core.gear.Setting;
import embrack.core.gear.ShownMessage;
import embrack.core.level.Curve;
import embrack.core.midi.Message;
import embrack.core.midi.ValueDisplay;
import embrack.core.name.Words;
import embrack.core.numbers.Senders;
import embrack.core.offer.Walk;
import embrack.core.plan.Plan;
import embrack.core.power.SwitchingOn;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Rig;
import embrack.core.sheet.Section.Program;
import embrack.core.sheet.Section.Task;
import embrack.core.sheet.Sheet.Job;
import embrack.core.sim.ControlProof;
import embrack.core.sim.Proof;
import embrack.core.sim.Verdict;
import embrack.core.switches.Assignment;
import embrack.core.switches.Moment;
import embrack.core.switches.Practice;
import embrack.core.switches.ShortForm;
import embrack.core.switches.SwitchAt;
import embrack.core.text.Numbers;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.SortedSet;
import java.util.stream.Stream;

/**
 * Makes the sheets of a plan: receivers first, then cables and the order of switching on, then the boxes with switches
 * and controls, then what learns from them, then the first try. What is set at doors is a list of its own
 * ({@link AtDoors}).
 */
public final class Sheets {

    private final Report report;
    private final Plan plan;
    private final Rig rig;

    private Sheets(Report report) {
        this.report = report;
        this.plan = report.plan();
        this.rig = plan.rig();
    }

    /** All sheets, in the order to do them; none for a rig without gear. */
    public static List<Sheet> of(Report report) {
        return new Sheets(report).all();
    }

    private List<Sheet> all() {
        List<Sheet> sheets = new ArrayList<>();
        List<DeviceId> controllers = plan.controllers();
        rig.devices().stream()
                .filter(d -> !controllers.contains(d.id()))
                .map(this::receiver)
                .filter(sheet -> !sheet.sections().isEmpty())
                .forEach(sheets::add);
        new LookSections(plan).fixtures().ifPresent(sheets::add);
        cables().ifPresent(sheets::add);
        switchingOn().ifPresent(sheets::add);
        controllers.stream()
                .map(this::controller)
                .filter(sheet -> !sheet.sections().isEmpty())
                .forEach(sheets::add);
        var learning = new LearnSheet(report);
        rig.devices().stream().flatMap(device -> learning.of(device).stream()).forEach(sheets::add);
        firstTry().ifPresent(sheets::add);
        sheets.addAll(new PairSheet(plan).all());
        return sheets;
    }

    private Sheet receiver(Device device) {
        Model model = rig.model(device.id());
        List<Section> sections = new ArrayList<>(settings(device));
        if (!device.labels().isEmpty()) {
            sections.add(new Section.Todo(
                    "Tape on the strips",
                    model.parts().stream()
                            .filter(part -> device.labels().containsKey(part.id()))
                            .map(part -> new Task(
                                    "%s/tape/%s".formatted(device.id(), part.id()),
                                    "%s: %s"
                                            .formatted(
                                                    part.name(), device.labels().get(part.id()))))
                            .toList()));
        }
        new WalkSections(plan).table(device).ifPresent(sections::add);
        sections.addAll(inputs(device));
        sections.addAll(new LookSections(plan).of(device.id()));
        sections.addAll(writing(device));
        return new Sheet(
                Job.PROGRAM,
                device.id().text(),
                device.name().text(),
                model.name().text(),
                sections,
                List.of());
    }

    private Optional<Sheet> cables() {
        CableList list = CableList.of(rig);
        return list.rows().isEmpty()
                ? Optional.empty()
                : Optional.of(new Sheet(
                        Job.CABLES,
                        "cables",
                        "Cables",
                        "",
                        List.of(new Section.Todo(
                                "Plug in, with power off",
                                list.rows().stream()
                                        .map(row -> new Task(
                                                "cables/%s>%s".formatted(row.from(), row.to()),
                                                "%s cable%s from %s to %s%s"
                                                        .formatted(
                                                                row.kind(),
                                                                row.length().isEmpty()
                                                                        ? ""
                                                                        : " (%s)".formatted(row.length()),
                                                                row.from(),
                                                                row.to(),
                                                                row.adapter().isEmpty()
                                                                        ? ""
                                                                        : ", with a %s".formatted(row.adapter()))))
                                        .toList())),
                        List.of("Tape or ramp every cable that crosses a way where people walk.")));
    }

    private Optional<Sheet> switchingOn() {
        List<SwitchingOn.Stage> stages = SwitchingOn.of(rig);
        return rig.links().isEmpty()
                ? Optional.empty()
                : Optional.of(new Sheet(
                        Job.SWITCH_ON,
                        "switch-on",
                        "Switch on, in this order",
                        "",
                        stages.stream()
                                .skip(1)
                                .<Section>map(stage -> new Section.Todo(
                                        stage.title(),
                                        stage.lines().stream()
                                                .distinct()
                                                .map(line -> new Task("switch-on/" + line, line))
                                                .toList()))
                                .toList(),
                        List.of("Mains, distribution and grounding are a licensed person's job. "
                                + "Never lift a safety earth to cure hum.")));
    }

    private Sheet controller(DeviceId id) {
        Model model = rig.model(id);
        List<Section> sections = new ArrayList<>(settings(rig.device(id)));
        Optional<PresetFit> fit = PresetFit.best(report, id);
        fit.ifPresent(preset -> sections.add(preset(id, preset)));
        Optional<Counter> counter = Walk.counter(plan, id);
        WalkSections walks = new WalkSections(plan);
        counter.ifPresent(steps -> sections.addAll(walks.walk(id, model.board().orElseThrow(), steps)));
        plan.switches().of(id).stream()
                .filter(a -> !a.steps().isEmpty())
                .filter(a -> !walks.has(a.at()))
                .filter(a ->
                        fit.filter(preset -> preset.serves().contains(a.at())).isEmpty())
                .forEach(assignment -> sections.addAll(switchSections(plan.board(assignment.at()), assignment)));
        report.controlAssignments().stream()
                .filter(proof -> proof.at().box().equals(id))
                .forEach(proof -> sections.add(controlAssignment(proof)));
        sections.addAll(writing(rig.device(id)));
        String display = model.board()
                .filter(board -> board.display() != ValueDisplay.PLAIN)
                .map(board -> "; shows values " + board.display().words())
                .orElse("");
        return new Sheet(
                Job.PROGRAM, id.text(), rig.name(id).text(), model.name().text() + display, sections, List.of());
    }

    private List<Section> switchSections(Board board, Assignment assignment) {
        List<Section> sections = new ArrayList<>();
        SwitchAt at = assignment.at();
        String key = "%s/%d/%s".formatted(at.board(), at.bank(), at.place());
        String where = rig.model(at.board()).board().isEmpty()
                ? Words.capital(at.words())
                : "Bank %s, %s".formatted(plan.bankName(at), at.words());
        String name =
                "%s%s".formatted(where, assignment.label().map(l -> ": " + l).orElse(""));
        Optional<FactoryMessage> own = board.fixed(at.bank(), at.number());
        if (own.isPresent()) {
            return List.of(new Section.Todo(
                    name,
                    List.of(new Task(
                            key + "/fixed",
                            "Sends %s %d by itself; nothing to program."
                                    .formatted(
                                            own.get().type().shortName(),
                                            own.get().number()),
                            false))));
        }
        List<Proof> proofs = report.proofs(at);
        List<Task> set = new ArrayList<>();
        if (board.labelCharacters() > 0) {
            assignment
                    .shortLabel()
                    .map(Object::toString)
                    .or(() -> assignment.label().map(l -> ShortForm.of(l, board.labelCharacters())))
                    .ifPresent(text -> set.add(new Task(key + "/name", "Name it \"%s\".".formatted(text))));
        }
        if (board.modes().size() > 1) {
            set.add(new Task(
                    key + "/mode",
                    "Set it so that it sends %s."
                            .formatted(proofs.getFirst().compiled().mode().words())));
        }
        if (!set.isEmpty()) {
            sections.add(new Section.Todo(name, set));
        }
        for (Proof proof : proofs) {
            for (Moment moment : Proof.moments(proof.moment())) {
                if (!assignment.steps(moment).isEmpty()) {
                    String when =
                            moment == Moment.PRESS && assignment.moments().size() == 1 ? "" : ", on " + moment.words();
                    sections.add(new Section.Messages(
                            (set.isEmpty() ? name : where) + when + reservation(proof.verdict()),
                            messages(board, proof, moment, key)));
                }
            }
        }
        return sections;
    }

    /** The preset to choose, what it saves, and what it sends that nobody planned. */
    private Section preset(DeviceId id, PresetFit fit) {
        List<Task> tasks = new ArrayList<>();
        tasks.add(new Task(
                "%s/preset".formatted(id),
                "Choose the preset \"%s\". It sends already what is needed on %s; program only what follows."
                        .formatted(fit.preset().name(), plan.words(fit.serves()))));
        if (!fit.stray().isEmpty()) {
            tasks.add(new Task(
                    "%s/preset/stray".formatted(id),
                    "It also sends on %s, for which nothing is planned: free them, or keep feet away."
                            .formatted(plan.words(fit.stray())),
                    false));
        }
        return new Section.Todo("Factory preset", tasks);
    }

    private List<Program> messages(Board board, Proof proof, Moment moment, String key) {
        List<Program> lines = new ArrayList<>();
        proof.compiled().steps(moment).stream()
                .filter(CompiledStep::isSent)
                .forEach(step -> step.messages().forEach(message -> {
                    int number = lines.size() + 1;
                    boolean first = message == step.messages().getFirst();
                    String wait = first && step.step().waitMillis() > 0
                            ? "after %d ms: ".formatted(step.step().waitMillis())
                            : "";
                    lines.add(new Program(
                            "%s/%s/%d".formatted(key, moment.key(), number),
                            number,
                            ShownMessage.on(board, message),
                            wait
                                    + plan.words(step.step())
                                    + Counted.words(
                                            board,
                                            rig.chart(step.step().device()),
                                            step.step().action(),
                                            message)));
                }));
        return lines;
    }

    private Section controlAssignment(ControlProof proof) {
        String key = "%s/%d/%s/%d"
                .formatted(
                        proof.at().box(),
                        proof.at().bank(),
                        proof.at().type().words(),
                        proof.at().number());
        List<Task> tasks = proof.compiled().targets().stream()
                .filter(CompiledControl.CompiledTarget::isSent)
                .map(target -> {
                    Message.Voice heel = (Message.Voice) target.at().getFirst();
                    Message toe = target.at().getLast();
                    Curve curve = target.target().range().curve();
                    boolean fixed = Senders.fixed(rig, proof.at()).isPresent();
                    return new Task(
                            "%s/%s/%s"
                                    .formatted(
                                            key,
                                            target.target().device(),
                                            target.target().part()),
                            "%s%s %d on channel %d, from %d to %d%s, for %s"
                                    .formatted(
                                            fixed ? "By itself, nothing to program: " : "",
                                            heel.type().shortName(),
                                            heel.data1(),
                                            heel.channel().number(),
                                            heel.data2(),
                                            toe.data2(),
                                            curve == Curve.LINEAR ? "" : ", " + curve.words(),
                                            plan.words(target.target())),
                            !fixed);
                })
                .toList();
        String tape =
                proof.compiled().controlAssignment().label().map(l -> ": " + l).orElse("");
        return new Section.Todo(
                plan.words(proof.at())
                                .substring(rig.name(proof.at().box()).text().length() + 2)
                        + tape
                        + reservation(proof.verdict()),
                tasks);
    }

    /** What is typed into inputs that can be assigned, and into which memories it is written. */
    private List<Section> inputs(Device device) {
        int inputs = rig.model(device.id()).implementation().quirks().assignableInputs();
        if (inputs == 0 || device.learned().isEmpty()) {
            return List.of();
        }
        List<Task> slots = new ArrayList<>();
        device.learned().entrySet().stream()
                .sorted(Comparator.comparingInt(e -> e.getValue().number()))
                .forEach(e -> {
                    Learned message = e.getValue();
                    slots.add(new Task(
                            "%s/input/%s".formatted(device.id(), e.getKey().key()),
                            "Input %d: source %s, %s, target %s, low %s, high %s."
                                    .formatted(
                                            slots.size() + 1,
                                            LearnSheet.words(message),
                                            message.response().alternating() ? "on, then off" : "momentary",
                                            LearnSheet.target(rig, device.id(), e.getKey()),
                                            plan.shown(
                                                    device.id(),
                                                    e.getKey(),
                                                    message.response().low()),
                                            plan.shown(
                                                    device.id(),
                                                    e.getKey(),
                                                    message.response().high()))));
                });
        String code = Integer.toHexString(slots.hashCode() & 0xffff);
        boolean template = plan.practices().answer(Practice.MEMORIES) == 0;
        SortedSet<Integer> taken = device.memories().taken();
        List<Task> writes = new ArrayList<>(rig.memoriesInShow(device.id()).stream()
                .sorted(Comparator.comparing(taken::contains))
                .map(memory -> new Task(
                        "%s/memory/%d".formatted(device.id(), memory),
                        (taken.contains(memory)
                                        ? "Memory %d, in use: set the inputs of %s in it one by one, and write it."
                                        : template
                                                ? "Memory %d: write template %s into it."
                                                : "Memory %d: set inputs %s, and write it.")
                                .formatted(memory, code)))
                .toList());
        if (!taken.isEmpty()) {
            writes.addFirst(new Task(
                    device.id() + "/memory/taken",
                    "Memories in use: %s. Never write a template over them: what they hold would be gone."
                            .formatted(Numbers.text(taken)),
                    false));
        }
        writes.addLast(new Task(
                device.id() + "/memory/look",
                "Only looked at one? Leave it without writing: choose another memory.",
                false));
        return List.of(
                new Section.Todo(
                        (template ? "Inputs, once, in an empty memory: template %s" : "Inputs %s, in each memory")
                                .formatted(code),
                        slots),
                new Section.Todo("Write into each memory that the show uses", writes));
    }

    private Optional<Sheet> firstTry() {
        WalkSections walks = new WalkSections(plan);
        List<Task> lines = Stream.concat(
                        report.proofs().stream()
                                .filter(proof -> !walks.has(proof.at()))
                                .map(this::tryLine),
                        Walk.boards(plan).stream().flatMap(board -> walks.tried(board).stream()))
                .toList();
        List<String> cautions = plan.switches().assignments().stream()
                .flatMap(a -> a.steps().stream())
                .flatMap(step -> plan.rig().chart(step.device()).caution(step.action()).stream())
                .distinct()
                .toList();
        return lines.isEmpty()
                ? Optional.empty()
                : Optional.of(new Sheet(
                        Job.TRY,
                        "try",
                        "Try every switch",
                        "",
                        List.of(new Section.Todo("Press each twice and look at the boxes", lines)),
                        cautions));
    }

    /** What people set before the first press: the proofs begin there. */
    private Task tryLine(Proof proof) {
        Assignment assignment = plan.switches().at(proof.at());
        String meant = Words.list(
                proof.steps().stream().map(step -> plan.words(step.step())).toList());
        String gesture =
                proof.moment() == Moment.PRESS ? "" : ", " + proof.moment().words();
        return new Task(
                "try/%s/%d/%s/%s"
                        .formatted(
                                proof.at().board(),
                                proof.at().bank(),
                                proof.at().place(),
                                proof.moment().key()),
                "%s%s%s. %s."
                        .formatted(
                                plan.words(proof.at()),
                                gesture,
                                assignment.label().map(l -> " (" + l + ")").orElse(""),
                                meant + reservation(proof.verdict())));
    }

    /** A sheet never hides that a switch does not do what it should. */
    private static String reservation(Verdict verdict) {
        return verdict == Verdict.EXACT ? "" : " (not proven: %s)".formatted(verdict.words());
    }

    private List<Section> settings(Device device) {
        Model model = rig.model(device.id());
        List<Task> lines = new ArrayList<>(model.settings().stream()
                .filter(setting -> matters(device, setting))
                .map(setting -> new Task("%s/set/%s".formatted(device.id(), setting.id()), words(device, setting)))
                .toList());
        if (model.board()
                .filter(b -> b.sendChannel() == SendChannel.EACH_MESSAGE)
                .isPresent()) {
            lines.add(new Task(device.id() + "/channels", "Each message has its own channel; see below.", false));
        }
        return lines.isEmpty() ? List.of() : List.of(new Section.Todo("Set on the box", lines));
    }

    /** Whether a setting is other than on a new box, or something in this rig depends on it. */
    private boolean matters(Device device, Setting setting) {
        if (rig.setting(device.id(), setting.id()).orElseThrow() != setting.factory()
                || setting.scope() == Scope.MEMORY
                || setting.isFor(Purpose.RECEIVE_CHANNEL)
                || setting.isFor(Purpose.SEND_CHANNEL)) {
            return true;
        }
        if (setting.isFor(Purpose.ROLE) || setting.isFor(Purpose.CONNECTION_INTERVAL)) {
            return rig.linksIn(device.id()).stream()
                    .map(rig::kind)
                    .anyMatch(kind -> kind == LinkKind.WIRELESS || kind == LinkKind.NETWORK);
        }
        if (setting.isFor(Purpose.BUFFER) || setting.isFor(Purpose.SAMPLE_RATE)) {
            return rig.pairs().stream()
                    .anyMatch(pair ->
                            pair.first().equals(device.id()) || pair.second().equals(device.id()));
        }
        return rig.model(device.id()).memory().conditions().stream()
                .anyMatch(condition -> condition.setting().equals(setting.id()));
    }

    private String words(Device device, Setting setting) {
        return "Set %s to %s%s."
                .formatted(
                        setting.name(),
                        setting.shown(rig.setting(device.id(), setting.id()).orElseThrow()),
                        setting.scope() == Scope.MEMORY ? " in each memory that is used" : "");
    }

    private List<Section> writing(Device device) {
        return rig.model(device.id()).writing().stream()
                .<Section>map(how -> new Section.Todo("Keep it", List.of(new Task(device.id() + "/keep", how))))
                .toList();
    }
}
