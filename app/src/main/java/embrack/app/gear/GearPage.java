package embrack.app.gear;

import embrack.core.chart.Chart;
import embrack.core.chart.Part;
import embrack.core.check.Report;
import embrack.core.edit.GearEdit;
import embrack.core.gear.Facts;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.Scope;
import embrack.core.gear.Setting;
import embrack.core.name.TapeLabel;
import embrack.core.offer.Missing;
import embrack.core.offer.Settable;
import embrack.core.offer.Unjoined;
import embrack.core.offer.Workers;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.sheet.Progress;
import embrack.core.show.Cue;
import embrack.core.show.Song;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * All that the gear room shows.
 *
 * @param steps what a rig that does nothing yet asks for
 * @param joins boxes that are joined to nothing, with whom they could be
 */
record GearPage(
        String rigName,
        List<GearShelf> shelves,
        Optional<FirstSteps> steps,
        List<FirstSteps.Pair> joins,
        Optional<Detail> selected,
        List<ModelGroup> library) {

    /** Families with more parts than this are folded. */
    private static final int MANY_PARTS = 24;

    /** A model that a search found. */
    record Offer(String id, String name, String facts) {}

    /** Models of a kind to choose from. */
    record ModelGroup(String kind, List<ModelChoice> models) {}

    /** A model to choose. */
    record ModelChoice(String id, String name, boolean isCurrent) {}

    /**
     * The selected box with all that can be changed about it.
     *
     * @param goesWithIt what would go with it if it were removed, a sentence; empty when nothing would
     * @param noun what its parts are called: "strip", "part"
     * @param plays whether something is pressed on it, so that the real one can be heard
     * @param obeys whether it answers to messages, so that the real one can be asked
     */
    record Detail(
            String id,
            String name,
            Made made,
            String goesWithIt,
            String noun,
            List<SettingField> settings,
            List<SettingField> inMemory,
            List<Family> families,
            List<ModelChoice> hardware,
            Optional<Table> table,
            Hands hands,
            List<Worked> worked,
            boolean plays,
            boolean obeys) {}

    /** A part, and all that works it. */
    record Worked(String part, List<Worker> by) {}

    /** A switch, control or cue to go to, or a hand; {@code href} behind that of the rig, empty for a hand. */
    record Worker(String words, String href) {}

    /** What people do at it with their hands, and what they could. */
    record Hands(List<Named> atDoors, List<String> states, List<Named> worked, List<String> parts) {}

    /**
     * Its program table, where it can be edited.
     *
     * @param edited by the program as the box counts
     * @param range "programs 1 to 128"
     * @param choices what a program can choose
     */
    record Table(List<Named> edited, String range, List<String> choices) {}

    /** Something with its name. */
    record Named(String key, String words) {}

    /**
     * The model that it is.
     *
     * @param isKnown whether it is among the models
     * @param isOther whether the rig describes it in another way
     */
    record Made(String name, String id, String facts, boolean isKnown, boolean isOther) {}

    /** A setting, as the box shows it; {@code choices} empty when it shows numbers. */
    record SettingField(String id, String name, String value, String range, List<String> choices) {}

    /** Parts that belong together. */
    record Family(String words, boolean isOpen, List<PartField> parts) {}

    /** A part with its tape. */
    record PartField(String id, String printed, String label) {}

    static GearPage of(Report report, Progress progress, List<Model> models, Optional<DeviceId> selected) {
        Plan plan = report.plan();
        Rig rig = plan.rig();
        List<Unjoined> unjoined = Unjoined.of(plan);
        Optional<FirstSteps> steps = Missing.of(plan).map(missing -> FirstSteps.of(plan, unjoined));
        return new GearPage(
                rig.name().text(),
                GearShelf.of(report, unjoined, progress, selected),
                steps,
                steps.isPresent() ? List.of() : FirstSteps.of(plan, unjoined).joins(),
                selected.flatMap(rig::find).map(device -> detail(plan, models, device)),
                Stream.of(Kind.values())
                        .map(kind -> new ModelGroup(
                                kind.words(),
                                models.stream()
                                        .filter(m -> m.kind() == kind)
                                        .map(m -> choice(m, false))
                                        .toList()))
                        .filter(group -> !group.models.isEmpty())
                        .toList());
    }

    private static Detail detail(Plan plan, List<Model> models, Device device) {
        Rig rig = plan.rig();
        Model model = rig.model(device.id());
        Optional<Model> known =
                models.stream().filter(m -> m.id().equals(model.id())).findFirst();
        return new Detail(
                device.id().text(),
                device.name().text(),
                new Made(
                        model.name().text(),
                        model.id().text(),
                        Facts.line(model),
                        known.isPresent(),
                        known.filter(m -> !m.equals(model)).isPresent()),
                GearEdit.RemoveDevice.goesWith(plan, device.id()),
                model.kind() == Kind.MIXER ? "strip" : "part",
                settings(rig, device, Scope.BOX),
                settings(rig, device, Scope.MEMORY),
                families(model, device),
                models.stream()
                        .filter(m -> m.kind() == model.kind())
                        .map(m -> choice(m, m.id().equals(model.id())))
                        .toList(),
                table(rig, device),
                hands(rig, device),
                Workers.of(plan, device.id()).entrySet().stream()
                        .map(entry -> new Worked(
                                rig.partName(device.id(), entry.getKey()).text(),
                                entry.getValue().stream()
                                        .map(worker -> worker(plan, worker))
                                        .toList()))
                        .toList(),
                plan.controllers().contains(device.id()),
                !rig.chart(device.id()).isEmpty());
    }

    private static Worker worker(Plan plan, Workers.Worker worker) {
        return switch (worker) {
            case Workers.Worker.Pressed(SwitchAt at, Moment moment, String does) ->
                new Worker(
                        plan.words(at) + (moment == Moment.PRESS ? "" : ", " + moment.words()) + ": " + does,
                        "/switches/%s/%d/%s%s"
                                .formatted(
                                        at.board(),
                                        at.bank(),
                                        at.place(),
                                        moment == Moment.PRESS ? "" : "?on=" + moment.key()));
            case Workers.Worker.Moved(ControlAt at) ->
                new Worker(
                        plan.words(at),
                        "/switches/%s/%d/%s/%d"
                                .formatted(at.box(), at.bank(), at.type().key(), at.number()));
            case Workers.Worker.Sent(Optional<Song> song, Cue cue, String does) ->
                song.map(s -> new Worker(
                                "%s, %s: %s"
                                        .formatted(
                                                s.title(),
                                                cue.at().text(s.form().tempoMap()),
                                                does),
                                "/songs/%s?cue=%d".formatted(s.id(), cue.number())))
                        .orElseGet(() -> new Worker("every song: " + does, "/songs"));
            case Workers.Worker.ByHand(boolean atDoors) ->
                new Worker(atDoors ? "by hand, at doors" : "by hand, at any time", "");
        };
    }

    private static Optional<Table> table(Rig rig, Device device) {
        Chart chart = rig.chart(device.id());
        int first = chart.conventions().shownPrograms().first();
        return chart.isTableEditable()
                ? Optional.of(new Table(
                        device.table().entrySet().stream()
                                .map(entry -> new Named(
                                        String.valueOf(entry.getKey() + first),
                                        "Program %d: %s"
                                                .formatted(
                                                        entry.getKey() + first,
                                                        rig.partName(device.id(), entry.getValue()))))
                                .toList(),
                        "%d to %d"
                                .formatted(
                                        chart.table().firstKey() + first,
                                        chart.table().lastKey() + first),
                        chart.beside().editable().stream()
                                .map(part -> rig.partName(device.id(), part).text())
                                .toList()))
                : Optional.empty();
    }

    private static Hands hands(Rig rig, Device device) {
        var settable = new Settable(rig, device.id());
        return new Hands(
                device.handWork().atDoors().stream()
                        .map(action -> new Named(action.key(), rig.words(device.id(), action)))
                        .toList(),
                settable.states().stream()
                        .map(action -> rig.words(device.id(), action))
                        .toList(),
                device.handWork().worked().stream()
                        .map(part -> new Named(
                                part.text(), rig.partName(device.id(), part).text()))
                        .toList(),
                settable.partNames());
    }

    private static List<SettingField> settings(Rig rig, Device device, Scope scope) {
        return rig.model(device.id()).settings().stream()
                .filter(s -> s.scope() == scope)
                .map(s -> field(rig, device, s))
                .toList();
    }

    private static SettingField field(Rig rig, Device device, Setting setting) {
        return new SettingField(
                setting.id().text(),
                setting.name().text(),
                setting.shown(rig.setting(device.id(), setting.id()).orElseThrow()),
                setting.range(),
                setting.choices().stream().map(TapeLabel::text).toList());
    }

    private static List<Family> families(Model model, Device device) {
        Map<String, List<Part>> byFamily = new LinkedHashMap<>();
        model.parts()
                .forEach(part -> byFamily.computeIfAbsent(part.family(), f -> new ArrayList<>())
                        .add(part));
        boolean few = model.parts().size() <= MANY_PARTS;
        return byFamily.entrySet().stream()
                .map(e -> new Family(
                        "%s, %d".formatted(e.getKey(), e.getValue().size()),
                        few
                                || e.getValue().stream()
                                        .anyMatch(p -> device.labels().containsKey(p.id())),
                        e.getValue().stream()
                                .map(p -> new PartField(
                                        p.id().text(),
                                        p.name().text(),
                                        Optional.ofNullable(device.labels().get(p.id()))
                                                .map(Object::toString)
                                                .orElse("")))
                                .toList()))
                .toList();
    }

    private static ModelChoice choice(Model model, boolean isCurrent) {
        return new ModelChoice(model.id().text(), model.name().text(), isCurrent);
    }
}
