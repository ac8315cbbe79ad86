package embrack.core.edit;

import embrack.core.chart.Chart;
import embrack.core.chart.ChartReading;
import embrack.core.chart.ChartWords;
import embrack.core.chart.PartId;
import embrack.core.gear.Implementation;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.Port;
import embrack.core.gear.Purpose;
import embrack.core.gear.Route;
import embrack.core.gear.Setting;
import embrack.core.gear.SettingId;
import embrack.core.midi.Message;
import embrack.core.name.TapeLabel;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.show.Book;
import embrack.core.show.Song;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.Switches;
import embrack.core.word.Fact;
import embrack.core.word.Phrase;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Changes to the boxes of a rig: which there are, what they are called, how they are set. */
public sealed interface GearEdit extends Edit {

    /** Calls the rig something else. */
    record RenameRig(String name) implements GearEdit {
        @Override
        public Plan apply(Plan plan) {
            return plan.withRig(plan.rig().withName(Typed.label("name", name)));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("rename-rig").with("name", name.strip());
        }
    }

    /** Puts a new box with factory settings into the rig. */
    record AddDevice(String name, Model model) implements GearEdit {

        /** The most boxes a rig can hold. */
        public static final int MAX_DEVICES = 200;

        @Override
        public Plan apply(Plan plan) {
            TapeLabel label = Typed.label("name", name);
            requireFree(plan.rig(), label, List.of());
            if (plan.rig().devices().size() >= MAX_DEVICES) {
                throw new Refused("name", Say.of("no.rig-full").with("most", MAX_DEVICES));
            }
            return plan.withRig(plan.rig().withDevice(plan.rig().newDevice(label, model), model));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("add-device").with("name", name.strip());
        }
    }

    /** Puts a new box into the rig, called by the job that its kind usually does. */
    record AddUsual(Model model) implements GearEdit {
        @Override
        public Plan apply(Plan plan) {
            if (plan.rig().devices().size() >= AddDevice.MAX_DEVICES) {
                throw new Refused("model", Say.of("no.rig-full").with("most", AddDevice.MAX_DEVICES));
            }
            return plan.withRig(plan.rig().withDevice(plan.rig().newDevice(job(), model), model));
        }

        private TapeLabel job() {
            return model.kind().usualJob().map(TapeLabel::new).orElse(model.name());
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("add-device").with("name", job());
        }
    }

    /** Begins an empty rig with boxes that are joined; {@code edits} make them, in order. */
    record Begin(String title, List<Edit> edits) implements GearEdit {

        public Begin {
            edits = List.copyOf(edits);
        }

        @Override
        public Plan apply(Plan plan) {
            if (!plan.rig().devices().isEmpty()) {
                throw new Refused("begin", Say.of("no.rig-begun"));
            }
            return new InTurn(edits).apply(plan);
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("begin").with("title", title);
        }
    }

    /**
     * Sets a box as another of the same hardware is set: its settings but for its role in a pair, its ways through, its
     * sound; with the computers that they live in, where these are of the same hardware too.
     */
    record SetAlike(DeviceId device, DeviceId like) implements GearEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.device("value", plan, device);
            Typed.device("value", plan, like);
            Rig rig = set(plan.rig(), device, like);
            DeviceId box = rig.box(device);
            DeviceId other = rig.box(like);
            return plan.withRig(
                    box.equals(device) || other.equals(like) || box.equals(other) ? rig : set(rig, box, other));
        }

        private static Rig set(Rig rig, DeviceId device, DeviceId like) {
            Model model = rig.model(device);
            Rig set = rig;
            if (model.id().equals(rig.model(like).id())) {
                for (Setting setting : model.settings()) {
                    int value = rig.setting(like, setting.id()).orElseThrow();
                    if (!setting.isFor(Purpose.ROLE)) {
                        set = set.withDeviceChanged(device, d -> d.withSetting(setting.id(), value));
                    }
                }
                for (Route route : model.sockets().routes().keySet()) {
                    set = set.withDeviceChanged(device, d -> d.withFilter(route, rig.filter(like, route)));
                }
                for (Port output : model.outputs()) {
                    set = set.withDeviceChanged(
                            device,
                            d -> d.withFeed(output.id(), rig.device(like).feed(output.id())));
                }
            }
            return set;
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("set-alike")
                    .with("device", before.rig().name(device))
                    .with("like", before.rig().name(like));
        }
    }

    /** Calls a box something else. */
    record RenameDevice(DeviceId device, String name) implements GearEdit {
        @Override
        public Plan apply(Plan plan) {
            Device renamed = Typed.device("name", plan, device);
            TapeLabel label = Typed.label("name", name);
            requireFree(plan.rig(), label, List.of(renamed));
            return plan.withRig(plan.rig().withDeviceChanged(device, d -> d.withName(label)));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("rename-device")
                    .with("device", before.rig().name(device))
                    .with("name", name.strip());
        }
    }

    /**
     * Takes a box out of the rig, with the cables in it.
     *
     * @param withSteps whether switches that use it lose those steps; otherwise it is refused while there are any
     */
    record RemoveDevice(DeviceId device, boolean withSteps) implements GearEdit {
        @Override
        public Plan apply(Plan plan) {
            Device gone = Typed.device("device", plan, device);
            if (!withSteps) {
                refuseWhileUsed(plan, gone);
            }
            return new Plan(
                    plan.rig().withoutDevice(device),
                    plan.switches().without(device),
                    plan.practices(),
                    plan.book().without(device),
                    plan.lights().without(device));
        }

        private void refuseWhileUsed(Plan plan, Device gone) {
            List<TapeLabel> songs = plan.book().songs().stream()
                    .filter(song -> song.uses(device))
                    .map(Song::title)
                    .toList();
            List<Assignment> users = plan.switches().using(device);
            List<ControlAssignment> movers = plan.switches().moving(device).stream()
                    .filter(controlAssignment -> !controlAssignment.at().box().equals(device))
                    .toList();
            Optional<String> by = !songs.isEmpty()
                    ? Optional.of("cues of " + Words.list(songs))
                    : !users.isEmpty()
                            ? Optional.of(plan.words(
                                    users.stream().map(Assignment::at).toList()))
                            : !movers.isEmpty()
                                    ? Optional.of(Words.list(movers.stream()
                                            .map(controlAssignment -> plan.words(controlAssignment.at()))
                                            .toList()))
                                    : plan.book().always().stream().anyMatch(cue -> cue.uses(device))
                                            ? Optional.of("what every song sends")
                                            : Optional.empty();
            by.ifPresent(words -> {
                throw new Refused(
                        "device",
                        Say.of("no.still-used").with("gone", gone.name()).with("user", words));
            });
        }

        @Override
        public Phrase summary(Plan before) {
            String gone = gone(before, device);
            return Say.of("remove-device")
                    .with("device", before.rig().name(device))
                    .with("gone", gone.isEmpty() ? Fact.word("none") : gone);
        }

        /** What goes with a device that is removed, in a sentence; empty when nothing does. */
        public static String goesWith(Plan plan, DeviceId device) {
            String gone = gone(plan, device);
            return gone.isEmpty() ? "" : "With it go %s. Undo brings all of it back.".formatted(gone);
        }

        private static String gone(Plan plan, DeviceId device) {
            Rig left = plan.rig().withoutDevice(device);
            Switches switches = plan.switches();
            Book book = plan.book();
            long steps = switches.assignments().stream()
                    .filter(a -> !a.at().board().equals(device))
                    .flatMap(a -> a.steps().stream())
                    .filter(step -> step.device().equals(device))
                    .count();
            long levels = switches.controlAssignments().stream()
                    .filter(t -> !t.at().box().equals(device))
                    .flatMap(t -> t.targets().stream())
                    .filter(target -> target.device().equals(device))
                    .count();
            long cues = book.songs().stream()
                    .flatMap(song -> song.cues().stream())
                    .filter(cue -> cue.uses(device))
                    .count();
            long always = book.always().stream().filter(cue -> cue.uses(device)).count();
            long presses = book.shows().stream()
                    .flatMap(show -> show.order().stream())
                    .flatMap(entry -> entry.calls().presses().stream())
                    .filter(at -> at.board().equals(device))
                    .count();
            int apps = plan.rig().appsIn(device).size();
            return Words.list(Stream.of(
                            count(plan.rig().links().size() - left.links().size(), "link"),
                            count(plan.rig().pairs().size() - left.pairs().size(), "stand-in"),
                            count(steps, "step"),
                            count(
                                    levels,
                                    "level of an expression pedal, fader or knob",
                                    "levels of expression pedals, faders or knobs"),
                            count(switches.of(device).size(), "planned switch"),
                            count(switches.travelsOf(device).size(), "planned control"),
                            count(cues, "cue"),
                            count(always, "thing that every song sends", "things that every song sends"),
                            count(presses, "press in the order", "presses in the order"),
                            count(plan.lights().of(device).size(), "stored look"),
                            apps == 0 ? "" : "the home of " + Words.count(apps, "app"))
                    .filter(words -> !words.isEmpty())
                    .toList());
        }

        private static String count(long number, String noun) {
            return number == 0 ? "" : Words.count((int) number, noun);
        }

        private static String count(long number, String one, String several) {
            return number == 0 ? "" : number == 1 ? "1 " + one : number + " " + several;
        }
    }

    /** Has other hardware of the same kind do a box's job. Steps stay; what the new box cannot do becomes a finding. */
    record SwapHardware(DeviceId device, Model model) implements GearEdit {
        @Override
        public Plan apply(Plan plan) {
            Device old = Typed.device("model", plan, device);
            Rig rig = plan.rig();
            if (rig.model(device).kind() != model.kind()) {
                throw new Refused(
                        "model",
                        Say.of("no.other-kind")
                                .with("old", old.name())
                                .with("kind", rig.model(device).kind().words())
                                .with("model", model.name())
                                .with("other-kind", model.kind().words()));
            }
            return Fitting.hardware(plan, device, model);
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("swap-hardware")
                    .with("model", model.name())
                    .with("device", before.rig().name(device));
        }
    }

    /** Sets a setting of a box, as the box shows it. */
    record ChangeSetting(DeviceId device, SettingId setting, String value) implements GearEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.device("value", plan, device);
            Setting known = plan.rig()
                    .model(device)
                    .setting(setting)
                    .orElseThrow(() -> new Refused("value", Say.of("no.setting-gone")));
            int number = Typed.choice("value", known, value);
            Refused.at("value", () -> known.checked(number));
            return plan.withRig(plan.rig().withDeviceChanged(device, d -> d.withSetting(setting, number)));
        }

        @Override
        public Phrase summary(Plan before) {
            String name = before.rig()
                    .model(device)
                    .setting(setting)
                    .map(s -> s.name().text())
                    .orElse(setting.text());
            return Say.of("change-setting")
                    .with("setting", name)
                    .with("device", before.rig().name(device))
                    .with("value", value.strip());
        }
    }

    /** Puts tape on a part of a box; without a name, takes it off. */
    record LabelPart(DeviceId device, PartId part, String name) implements GearEdit {
        @Override
        public Plan apply(Plan plan) {
            Rig rig = plan.rig();
            Typed.device("name", plan, device);
            if (rig.model(device).part(part).isEmpty()) {
                throw new Refused("name", Say.of("no.part-gone"));
            }
            if (name.isBlank()) {
                return plan.withRig(rig.withDeviceChanged(device, d -> d.withoutLabel(part)));
            }
            TapeLabel label = Typed.label("name", name);
            rig.model(device).parts().stream()
                    .filter(p ->
                            !p.id().equals(part) && rig.partName(device, p.id()).sameAs(label))
                    .findFirst()
                    .ifPresent(p -> {
                        throw new Refused(
                                "name",
                                Say.of("no.part-name-taken")
                                        .with("part", p.name())
                                        .with("other-part", rig.partName(device, p.id())));
                    });
            return plan.withRig(rig.withDeviceChanged(device, d -> d.withLabel(part, label)));
        }

        @Override
        public Phrase summary(Plan before) {
            String printed = before.rig()
                    .model(device)
                    .part(part)
                    .map(p -> p.name().text())
                    .orElse(part.text());
            return name.isBlank()
                    ? Say.of("label-part.a")
                            .with("printed", printed)
                            .with("device", before.rig().name(device))
                    : Say.of("label-part.b")
                            .with("printed", printed)
                            .with("device", before.rig().name(device))
                            .with("name", name.strip());
        }
    }

    /** Puts the values that a box really obeys into the chart of its model. */
    record CorrectChart(ModelId model) implements GearEdit {
        @Override
        public Plan apply(Plan plan) {
            Model wrong = find(plan);
            return plan.withRig(plan.rig().withModelReplaced(wrong.withChartCorrected()));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("correct-chart").with("model", find(before).name());
        }

        private Model find(Plan plan) {
            return plan.rig().models().stream()
                    .filter(m -> m.id().equals(model))
                    .findFirst()
                    .orElseThrow(() -> new Refused("model", Say.of("no.model-unused")));
        }
    }

    /** Has the rig take another description of the model of a box, as long as the box is of that model. */
    record DescribeAnew(DeviceId device, Model model) implements GearEdit {
        @Override
        public Plan apply(Plan plan) {
            if (!Typed.device("model", plan, device).model().equals(model.id())) {
                throw new Refused("model", Say.of("no.other-model").with("model", model.name()));
            }
            return new ReplaceModel(model).apply(plan);
        }

        @Override
        public Phrase summary(Plan before) {
            return new ReplaceModel(model).summary(before);
        }
    }

    /** Has all boxes of a model be as another description of that model says. What no longer fits is dropped. */
    record ReplaceModel(Model model) implements GearEdit {
        @Override
        public Plan apply(Plan plan) {
            Rig rig = plan.rig();
            if (rig.models().stream().noneMatch(m -> m.id().equals(model.id()))) {
                throw new Refused("model", Say.of("no.model-unused"));
            }
            List<Device> devices = rig.devices().stream()
                    .map(d -> d.model().equals(model.id()) ? Fitting.to(model, d) : d)
                    .toList();
            List<Model> models = rig.models().stream()
                    .map(m -> m.id().equals(model.id()) ? model : m)
                    .toList();
            Switches switches = plan.switches();
            for (Device device : rig.devices().stream()
                    .filter(d -> d.model().equals(model.id()))
                    .toList()) {
                switches = Fitting.controls(switches, device.id(), model);
            }
            Plan fitted = plan.withSwitches(switches);
            return Refused.at(
                    "model",
                    () -> fitted.withRig(
                            Fitting.cables(new Rig(rig.name(), models, devices, List.of(), rig.pairs()), rig.links())));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("replace-model").with("model", model.name());
        }
    }

    /**
     * Puts into the description of a box what it was found to answer to.
     *
     * @param does as a line of a chart begins: "mute Input 1", "on Blackout"
     */
    record AnswersTo(DeviceId device, String does, Message message) implements GearEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.device("does", plan, device);
            Model model = plan.rig().model(device);
            String typed = does.strip();
            if (typed.isEmpty() || typed.contains(":") || typed.lines().count() > 1) {
                throw new Refused("does", Say.of("no.chart-line"));
            }
            String line = "%s: %s"
                    .formatted(typed, ChartWords.line(message, model.chart().conventions()));
            Implementation known = model.implementation();
            Chart chart = with(known.chart(), line);
            Chart reality = known.reality().equals(Chart.EMPTY) ? Chart.EMPTY : with(known.reality(), line);
            Model wiser = Refused.at(
                    "does", () -> model.withImplementation(new Implementation(chart, reality, known.quirks())));
            return new ReplaceModel(wiser).apply(plan);
        }

        private static Chart with(Chart chart, String line) {
            ChartReading reading = ChartReading.of((chart.text() + "\n" + line).strip());
            reading.errors().stream().findFirst().ifPresent(problem -> {
                throw Refused.text("does", problem.words());
            });
            return reading.chart().orElseThrow(() -> new Refused("does", Say.of("no.chart-line")));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("answers-to")
                    .with("device", before.rig().name(device))
                    .with("does", does.strip());
        }
    }

    private static void requireFree(Rig rig, TapeLabel name, List<Device> except) {
        rig.devices().stream()
                .filter(d -> !except.contains(d) && d.name().sameAs(name))
                .findFirst()
                .ifPresent(d -> {
                    throw new Refused("name", Say.of("no.name-taken").with("box", d.name()));
                });
    }
}
