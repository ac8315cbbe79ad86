package embrack.core.world;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Sketch;
import embrack.core.WiringFaults;
import embrack.core.chart.Action;
import embrack.core.chart.ChartRow;
import embrack.core.chart.PartId;
import embrack.core.compile.Compiler;
import embrack.core.edit.Edit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.Refused;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.ControlGroup;
import embrack.core.gear.Model;
import embrack.core.gear.Port;
import embrack.core.gear.Purpose;
import embrack.core.gear.Setting;
import embrack.core.gear.library.Library;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.midi.RealTime;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.Pair;
import embrack.core.rig.Socket;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Target;
import embrack.core.way.Readiness;
import embrack.core.way.Timing;
import embrack.core.way.Ways;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Every setting of every shipped model that is about messages, turned, changes something in the world. */
class TurnedSettingsTests {

    private static final DeviceId IT = new DeviceId("it");

    static Stream<Arguments> settings() {
        return Library.all().stream()
                .flatMap(model -> model.settings().stream()
                        .filter(setting -> setting.besides().isEmpty())
                        .map(setting -> Arguments.of(model.name().text(), model, setting)));
    }

    @ParameterizedTest(name = "{0}: {2}")
    @MethodSource("settings")
    void aSettingThatIsTurnedChangesSomething(String name, Model model, Setting setting) {
        Plan plan = around(model);
        List<String> before = everything(plan);
        assertThat(IntStream.rangeClosed(setting.min(), setting.max())
                        .mapToObj(setting::shown)
                        .map(value -> plan(plan, new GearEdit.ChangeSetting(IT, setting.id(), value)))
                        .anyMatch(turned -> !everything(turned).equals(before)))
                .as("%s of %s", setting.name(), name)
                .isTrue();
    }

    /** A box among others, linked to whatever can be linked to it, doing what it can. */
    private static Plan around(Model model) {
        if (model.sockets().heartbeat().isPresent()) {
            return WiringFaults.guarded("It").plan();
        }
        Sketch sketch = Sketch.of("Around")
                .box("Computer", "computer")
                .app("Sounds", "instrument-host-layer", "computer")
                .box("Board", "four-switch-desk-board")
                .edit(new GearEdit.AddDevice("It", model))
                .edit(new GearEdit.AddDevice("Twin", model))
                .box("Other computer", "computer")
                .box("Router", "router-wi-fi")
                .box("Mixer", "rack-mixer-24")
                .set("mixer", "receive-channel", "2")
                .set("sounds", "receive-channel", "3");
        if (model.isApp()) {
            sketch.lives("it", "computer").lives("twin", "other-computer");
        }
        sketch.link("computer.network > router.lan-1", "other-computer.network > router.lan-2");
        Plan plan = sketch.plan();
        List<DeviceId> others = Stream.concat(
                        Stream.of(new DeviceId("twin")),
                        plan.rig().devices().stream().map(Device::id))
                .toList();
        for (DeviceId other : others) {
            for (Port mine : model.midiPorts()) {
                for (Port theirs : plan.rig().model(other).midiPorts()) {
                    plan = linked(plan, new Socket(IT, mine.id()), new Socket(other, theirs.id()));
                    plan = linked(plan, new Socket(other, theirs.id()), new Socket(IT, mine.id()));
                }
            }
        }
        plan = ready(plan);
        for (ControlGroup group : model.surface().groups()) {
            ControlAt at = new ControlAt(IT, group.type(), 1, 1);
            Target target = new Target(new DeviceId("sounds"), new PartId("control-1"));
            plan = plan.withSwitches(
                    plan.switches().with(ControlAssignment.blank(at).withTarget(target)));
        }
        Plan worked = model.board().isPresent()
                ? Sketch.on(plan).step("it 1: mixer mute:input-1").plan()
                : plan;
        return Stream.concat(
                        model.actions().stream(),
                        model.chart().learnables().stream()
                                .filter(learnable -> !learnable.verb().takesAmount())
                                .map(learnable -> new Action(
                                        learnable.verb(), learnable.part().id())))
                .findFirst()
                .map(action ->
                        Sketch.on(worked).step("board 1: it " + action.key()).plan())
                .orElse(worked);
    }

    /** Both sides of a wireless connection or session are ready, as far as they are such. */
    private static Plan ready(Plan plan) {
        Plan ready = plan;
        for (DeviceId side : List.of(IT, new DeviceId("twin"))) {
            for (Setting setting : plan.rig().model(side).settings()) {
                if (setting.isFor(Purpose.WIRELESS_APP)) {
                    ready = plan(ready, new GearEdit.ChangeSetting(side, setting.id(), setting.shown(setting.max())));
                }
                if (setting.isFor(Purpose.CONNECTION_INTERVAL) && !side.equals(IT)) {
                    ready = plan(ready, new GearEdit.ChangeSetting(side, setting.id(), setting.shown(setting.min())));
                }
                if (setting.isFor(Purpose.ROLE)) {
                    String role = setting.shown(side.equals(IT) ? setting.max() : setting.min());
                    ready = plan(ready, new GearEdit.ChangeSetting(side, setting.id(), role));
                }
            }
        }
        return ready;
    }

    private static Plan linked(Plan plan, Socket from, Socket to) {
        try {
            return new WiringEdit.Connect(from, to).apply(plan);
        } catch (Refused refused) {
            return plan;
        }
    }

    private static Plan plan(Plan plan, Edit edit) {
        return edit.apply(plan);
    }

    /** All that can be seen of a rig: what it sends by its switches and controls, where it goes, what comes of it. */
    private static List<String> everything(Plan plan) {
        List<String> seen = new ArrayList<>();
        Ways ways = new Ways(plan.rig());
        Engine engine = new Engine(plan, ways);
        Timing timing = new Timing(ways);
        Compiler compiler = new Compiler(plan, ways);
        World start = World.poweredOn(plan.rig());
        for (Link link : plan.rig().links()) {
            seen.add(link + " " + new Readiness(plan.rig()).carries(link));
        }
        compiler.all().forEach(compiled -> seen.add(compiled.sent() + " " + compiled.allSteps()));
        plan.switches()
                .controlAssignments()
                .forEach(control ->
                        seen.add(compiler.compile(control).sendings(64).toString()));
        for (Device device : plan.rig().devices()) {
            seen.add("tail " + timing.tail(device.id()) + " "
                    + engine.clocks(
                            engine.step(start, new Event.Clock(device.id(), 96)).after()));
            for (Message message : messages(plan)) {
                seen.add(engine.settled(start, new Event.Send(device.id(), message))
                        .trace()
                        .toString());
            }
        }
        seen.add(TempoLinks.of(plan, () -> engine).toString());
        for (Pair pair : plan.rig().pairs()) {
            seen.add("over "
                    + engine.step(start, new Event.Off(pair.first())).after().isOver(pair));
        }
        return seen;
    }

    /** Clock, and what the box obeys, on the first channels. */
    private static List<Message> messages(Plan plan) {
        List<Message> messages = new ArrayList<>(List.of(RealTime.CLOCK));
        for (int channel = 1; channel <= 2; channel++) {
            Channel on = new Channel(channel);
            messages.add(new Message.NoteOn(on, 36, 100));
            plan.rig().chart(IT).rows().stream()
                    .filter(row -> row.triggers().size() == 1)
                    .limit(4)
                    .map(ChartRow::actions)
                    .forEach(actions -> plan.rig()
                            .chart(IT)
                            .messagesFor(actions.getFirst(), on)
                            .ifPresent(messages::addAll));
        }
        return messages;
    }
}
