package embrack.core.sheet;

import embrack.core.check.Report;
import embrack.core.gear.Board;
import embrack.core.gear.Model;
import embrack.core.gear.Scope;
import embrack.core.gear.SendChannel;
import embrack.core.gear.ShownMessage;
import embrack.core.midi.ValueDisplay;
import embrack.core.name.Words;
import embrack.core.plan.CompiledStep;
import embrack.core.plan.Plan;
import embrack.core.power.SwitchingOn;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.sim.Proof;
import embrack.core.sim.Verdict;
import embrack.core.switches.Assignment;
import embrack.core.switches.SwitchAt;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Makes the sheets of a plan: receivers first, then cables and the order of switching on, then boards, then the first try. */
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
        rig.devices().stream().filter(d -> rig.model(d.id()).board().isEmpty()).map(this::receiver)
                .filter(sheet -> !sheet.sections().isEmpty()).forEach(sheets::add);
        cables().ifPresent(sheets::add);
        switchingOn().ifPresent(sheets::add);
        plan.boards().stream().map(this::board).forEach(sheets::add);
        firstTry().ifPresent(sheets::add);
        return sheets;
    }

    private Sheet receiver(Device device) {
        Model model = rig.model(device.id());
        List<Section> sections = new ArrayList<>(settings(device));
        if (!device.labels().isEmpty()) {
            sections.add(new Section.Todo("Tape on the strips", model.parts().stream()
                    .filter(part -> device.labels().containsKey(part.id()))
                    .map(part -> "%s: %s".formatted(part.name(), device.labels().get(part.id()))).toList()));
        }
        sections.addAll(writing(model));
        return new Sheet(device.name().text(), model.name().text(), sections, List.of());
    }

    private Optional<Sheet> cables() {
        CableList list = CableList.of(rig);
        return list.rows().isEmpty() ? Optional.empty() : Optional.of(new Sheet("Cables", "", List.of(
                new Section.Todo("Plug in, with power off", list.rows().stream().map(row -> "%s cable%s from %s to %s%s".formatted(
                        row.kind(), row.length().isEmpty() ? "" : " (%s)".formatted(row.length()), row.from(), row.to(),
                        row.adapter().isEmpty() ? "" : ", with a %s".formatted(row.adapter()))).toList())),
                List.of("Tape or ramp every cable that crosses a way where people walk.")));
    }

    private Optional<Sheet> switchingOn() {
        List<SwitchingOn.Stage> stages = SwitchingOn.of(rig);
        return rig.links().isEmpty() ? Optional.empty() : Optional.of(new Sheet("Switch on, in this order", "", stages.stream().skip(1)
                .<Section>map(stage -> new Section.Todo(stage.title(), stage.lines())).toList(),
                List.of("Mains, distribution and grounding are a licensed person's job. Never lift a safety earth to cure hum.")));
    }

    private Sheet board(DeviceId id) {
        Model model = rig.model(id);
        Board board = plan.board(id);
        List<Section> sections = new ArrayList<>(settings(rig.device(id)));
        report.proofs().stream().filter(proof -> proof.at().board().equals(id))
                .forEach(proof -> sections.add(messages(board, proof)));
        sections.addAll(writing(model));
        String display = board.display() == ValueDisplay.PLAIN ? ""
                : "; shows values " + board.display().words();
        return new Sheet(rig.name(id).text(), model.name().text() + display, sections, List.of());
    }

    private Section messages(Board board, Proof proof) {
        SwitchAt at = proof.at();
        String label = plan.switches().at(at).label().map(l -> ": " + l).orElse("") + reservation(proof);
        List<Section.Messages.Line> lines = new ArrayList<>();
        proof.compiled().steps().stream().filter(CompiledStep::isSent).forEach(step -> step.messages().forEach(message ->
                lines.add(new Section.Messages.Line(lines.size() + 1, ShownMessage.on(board, message), plan.words(step.step())))));
        return new Section.Messages("Bank %s, switch %d%s".formatted(plan.bankName(at), at.number(), label), lines);
    }

    private Optional<Sheet> firstTry() {
        List<String> lines = report.proofs().stream().map(this::tryLine).toList();
        List<String> cautions = plan.switches().assignments().stream().flatMap(a -> a.steps().stream())
                .flatMap(step -> step.action().caution().stream()).distinct().toList();
        return lines.isEmpty() ? Optional.empty() : Optional.of(new Sheet("Try every switch", "",
                List.of(new Section.Todo("Press each twice and look at the boxes", lines)), cautions));
    }

    private String tryLine(Proof proof) {
        Assignment assignment = plan.switches().at(proof.at());
        String meant = Words.list(assignment.steps().stream().map(plan::words).toList());
        return "%s%s. %s.".formatted(plan.words(proof.at()), assignment.label().map(l -> " (" + l + ")").orElse(""), meant + reservation(proof));
    }

    /** A sheet never hides that a switch does not do what it should. */
    private static String reservation(Proof proof) {
        return proof.verdict() == Verdict.EXACT ? "" : " (not proven: %s)".formatted(proof.verdict().words());
    }

    private List<Section> settings(Device device) {
        Model model = rig.model(device.id());
        List<String> lines = model.settings().stream()
                .map(setting -> "Set %s to %s%s.".formatted(setting.name(), setting.shown(rig.setting(device.id(), setting.id()).orElseThrow()),
                        setting.scope() == Scope.MEMORY ? " in each memory that is used" : ""))
                .toList();
        boolean eachMessage = model.board().filter(b -> b.sendChannel() == SendChannel.EACH_MESSAGE).isPresent();
        List<String> all = eachMessage
                ? Stream.concat(lines.stream(), Stream.of("Each message has its own channel; see below.")).toList() : lines;
        return all.isEmpty() ? List.of() : List.of(new Section.Todo("Set on the box", all));
    }

    private static List<Section> writing(Model model) {
        return model.writing().map(how -> List.<Section>of(new Section.Todo("Keep it", List.of(how)))).orElse(List.of());
    }
}
