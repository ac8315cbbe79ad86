package embrack.core.edit;

import embrack.core.chart.LearnableId;
import embrack.core.chart.Learned;
import embrack.core.chart.PartId;
import embrack.core.gear.ControlGroup;
import embrack.core.gear.Model;
import embrack.core.gear.Purpose;
import embrack.core.gear.Route;
import embrack.core.gear.SettingId;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.Linking;
import embrack.core.rig.MidiFilter;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Switches;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/** What of a device and its cables still fits when its hardware, or what is known of it, changes. */
final class Fitting {

    private Fitting() {}

    /** The plan with other hardware for a box, of any kind: what fits of settings, tape, controls and cables stays. */
    static Plan hardware(Plan plan, DeviceId device, Model model) {
        Rig rig = plan.rig();
        Model known = rig.models().stream()
                .filter(m -> m.id().equals(model.id()))
                .findFirst()
                .orElse(model);
        Device fitted = to(known, rig.device(device));
        Plan stored = StoredAnew.in(plan, device, known);
        return Refused.at(
                "model",
                () -> stored.withSwitches(new KnobLinks(rig.model(device), known)
                                .carriedOver(controls(stored.switches(), device, known), device))
                        .withRig(cables(rig.withHardware(fitted, model, List.of()), rig.links()))
                        .settled());
    }

    /** The device with the settings and the tape, the sieves and the feeds that the model has. */
    static Device to(Model model, Device device) {
        SortedMap<SettingId, Integer> settings = new TreeMap<>(device.settings());
        settings.entrySet()
                .removeIf(e -> model.setting(e.getKey())
                        .filter(s -> e.getValue() >= s.min() && e.getValue() <= s.max())
                        .isEmpty());
        SortedMap<PartId, TapeLabel> tape = new TreeMap<>(device.labels());
        tape.keySet().removeIf(part -> model.part(part).isEmpty());
        SortedMap<Route, MidiFilter> filters = new TreeMap<>(device.filters());
        filters.keySet().retainAll(model.sockets().routes().keySet());
        SortedMap<LearnableId, Learned> learned = new TreeMap<>(device.learned());
        learned.entrySet().removeIf(e -> !isLearnable(model, e.getKey(), e.getValue()));
        SortedMap<Integer, PartId> table = new TreeMap<>(device.table());
        table.entrySet()
                .removeIf(e -> !model.chart().table().containsKey(e.getKey())
                        || !model.chart().beside().editable().contains(e.getValue()));
        Device fitted = device.withModel(
                        model.id(), settings, tape, filters, device.sound().in(model))
                .withLearned(learned)
                .withTable(table)
                .withMemories(device.memories().upTo(model.memory().memories()))
                .withHandWork(device.handWork().in(model));
        return model.isApp() ? fitted : fitted.withHost(Optional.empty());
    }

    private static boolean isLearnable(Model model, LearnableId id, Learned message) {
        return model.chart().learnables().stream()
                        .anyMatch(learnable ->
                                learnable.id().equals(id) && learnable.types().contains(message.type()))
                && (message.channel().isPresent()
                        || model.setting(Purpose.RECEIVE_CHANNEL).isPresent());
    }

    /** The switches and controls without those controls of a box that other hardware does not have. */
    static Switches controls(Switches switches, DeviceId box, Model model) {
        return new Switches(
                switches.assignments(),
                switches.controlAssignments().stream()
                        .filter(t -> !t.at().box().equals(box) || has(model, t.at()))
                        .toList());
    }

    private static boolean has(Model model, ControlAt at) {
        return at.bank() <= model.board().map(board -> board.banks().size()).orElse(1)
                && at.number()
                        <= model.surface().groups().stream()
                                .filter(g -> g.type() == at.type())
                                .mapToInt(ControlGroup::count)
                                .sum();
    }

    /** The rig with those of the cables that can still be plugged; what goes over another comes after that. */
    static Rig cables(Rig bare, Collection<Link> cables) {
        Rig rig = bare;
        List<Link> left = new ArrayList<>();
        for (Link cable : cables) {
            boolean fits = isThere(rig, cable.from())
                    && isThere(rig, cable.to())
                    && Linking.refusal(rig, cable.from(), cable.to()).isEmpty();
            if (fits) {
                rig = rig.withLink(cable);
            } else {
                left.add(cable);
            }
        }
        return left.size() < cables.size() ? cables(rig, left) : rig;
    }

    private static boolean isThere(Rig rig, Socket socket) {
        return rig.find(socket.device()).isPresent()
                && rig.model(socket.device()).port(socket.port()).isPresent();
    }
}
