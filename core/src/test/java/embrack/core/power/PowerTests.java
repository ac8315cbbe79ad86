package embrack.core.power;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import embrack.core.Sketch;
import embrack.core.check.Report;
import embrack.core.check.rule.Told;
import embrack.core.edit.GearEdit;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.Port;
import embrack.core.gear.Power;
import embrack.core.gear.Sockets;
import embrack.core.gear.library.Library;
import embrack.core.name.TapeLabel;
import embrack.core.rig.DeviceId;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

class PowerTests {

    /** USB 2.0 Specification, 7.2.1: 500 mA from a port, 100 mA from a socket of a hub without a supply. */
    @Test
    void aHubWithoutASupplySharesOnePort() {
        Sketch sketch = Sketch.of("Hub")
                .box("Computer", "computer")
                .box("Hub", "usb-hub-4-plain")
                .link("hub.computer > computer.usb-1");
        int[] draws = {100, 100, 100, 480};
        for (int i = 0; i < draws.length; i++) {
            sketch.edit(new GearEdit.AddDevice("Board " + (i + 1), drawing("board-" + (i + 1), draws[i])))
                    .link("board-%d.usb > hub.usb-%d".formatted(i + 1, i + 1));
        }
        Model usb2 = withPort500(sketch);
        List<PortLoad> loads = new PowerPlan(sketch.rig().withModelReplaced(usb2)).loads();
        PortLoad upstream = loads.getFirst();
        assertThat(upstream)
                .extracting(PortLoad::draw, PortLoad::gives, PortLoad::overBeforeHub, PortLoad::over)
                .containsExactly(880, 500, 280, 380);
        assertThat(loads)
                .filteredOn(load -> load.over() > 0)
                .extracting(load -> sketch.rig().words(load.port()))
                .containsExactly("Computer USB 1", "Hub USB 4");
        assertThat(Report.of(sketch.plan().withRig(sketch.rig().withModelReplaced(usb2)))
                        .findings())
                .filteredOn(f -> f.code().equals("power.too-much"))
                .extracting(f -> Told.of(f, sketch.plan()).what())
                .containsExactly(
                        "780 mA hang on Computer USB 1, which gives 500 mA: over by 280 mA before the hub's "
                                + "own draw, by 380 mA with it.",
                        "480 mA hang on Hub USB 4, which gives 100 mA: over by 380 mA.");
    }

    @Test
    void hubsPluggedIntoEachOtherPowerNothingAndBreakNothing() {
        Sketch sketch = Sketch.of("Ring")
                .box("One", "usb-hub-4-plain")
                .box("Two", "usb-hub-4-plain")
                .link("one.computer > two.usb-1", "two.computer > one.usb-1");
        assertThat(new PowerPlan(sketch.rig()).loads())
                .extracting(PortLoad::draw)
                .containsExactly(200, 200);
        assertThat(new PowerPlan(sketch.rig()).diesWith(new DeviceId("one"))).hasSize(2);
    }

    /** Charger, adapter, tablet and the controller behind it: all of it hangs on the charger. */
    @Test
    void powerAddsThroughAnAdapterThatCharges() {
        Sketch sketch = Sketch.of("Charger")
                .box("Supply", "tablet-supply")
                .box("Dock", "tablet-dock-with-sound")
                .box("Tablet", "tablet")
                .edit(new GearEdit.AddDevice("Board", drawing("board", 350)))
                .link("supply.plug > dock.power", "tablet.socket > dock.tablet", "dock.usb-1 > board.usb");
        assertThat(new PowerPlan(sketch.rig()).loads())
                .filteredOn(load -> sketch.rig().words(load.port()).startsWith("Supply"))
                .extracting(PortLoad::draw, PortLoad::gives, PortLoad::over)
                .containsExactly(tuple(200 + 2000 + 350, 2400, 150));
    }

    @Test
    void whatRunsFromASupplyDiesWithIt() {
        Sketch sketch = Sketch.of("Supply")
                .box("Supply", "tablet-supply")
                .box("Adapter", "tablet-adapter")
                .box("Tablet", "tablet")
                .box("Board", "four-switch-desk-board")
                .app("Tracks", "tablet-track-player", "tablet")
                .link("supply.plug > adapter.power", "adapter.tablet > tablet.socket", "board.usb > adapter.usb-1");
        var power = new PowerPlan(sketch.rig());
        assertThat(power.feedings())
                .extracting(f -> f.device() + ": " + f.how(sketch.rig()))
                .containsExactly("supply: mains", "adapter: a lead from Supply", "tablet: USB", "board: USB");
        assertThat(power.diesWith(new DeviceId("supply")))
                .extracting(DeviceId::text)
                .containsExactly("supply", "adapter", "tablet", "board", "tracks");
        assertThat(power.diesWith(new DeviceId("board"))).hasSize(1);
        assertThat(new PowerPlan(sketch.pull("adapter.tablet > tablet.socket").rig())
                        .feedings()
                        .get(2)
                        .how(sketch.rig()))
                .as("then it runs down")
                .isEqualTo("batteries");
    }

    @Test
    void whatLooksForPortsAtStartIsStartedLast() {
        Sketch sketch = Sketch.of("Order")
                .box("Computer", "computer")
                .app("Tracks", "linear-timeline-player", "computer")
                .app("Session", "network-session", "computer")
                .app("Sounds", "instrument-host-layer", "computer")
                .box("Board", "ten-switch-treadle-board")
                .box("Hub", "usb-hub-4-powered")
                .box("Mixer", "rack-mixer-24")
                .link(
                        "board.usb > hub.usb-1",
                        "hub.computer > computer.usb-1",
                        "computer.usb-1 > sounds.in",
                        "session.out > tracks.in");
        List<SwitchingOn.Stage> stages = SwitchingOn.of(sketch.rig());
        assertThat(stages)
                .extracting(SwitchingOn.Stage::title)
                .containsExactly(
                        "Plug everything, power off, levels down",
                        "Supplies, hubs and network first",
                        "Boards and boxes",
                        "Computers and tablets, with all that belongs to them plugged in",
                        "Programs, in this order",
                        "Mixers last, then loudspeakers; unmute when all is quiet");
        assertThat(stages.get(2).lines()).containsExactly("Board: from USB");
        assertThat(stages.get(4).lines())
                .containsExactly(
                        "Session on Computer",
                        "Tracks on Computer; it looks for ports only now: all before it has to be there",
                        "Sounds on Computer; it looks for ports only now: all before it has to be there");
        assertThat(SwitchingOn.of(sketch.app("Grid", "launch-grid-player", "computer")
                                .link("tracks.out > grid.in", "grid.out > tracks.in")
                                .rig())
                        .get(4)
                        .lines())
                .endsWith("Grid once more: it was there before the port of Tracks");
    }

    private static Model drawing(String id, int milliamps) {
        Model board = Library.FOUR_SWITCH_DESK_BOARD;
        return new Model(
                new ModelId(id),
                new TapeLabel(id),
                board.kind(),
                board.sockets(),
                board.surface(),
                board.memory(),
                board.implementation(),
                Optional.of(new Power(new TreeSet<>(Set.of(Power.Source.USB)), milliamps, 0, 0)));
    }

    /** The computer with sockets of USB 2. */
    private static Model withPort500(Sketch sketch) {
        Model computer = sketch.rig().model(new DeviceId("computer"));
        var ports = computer.ports().stream()
                .map(p -> p.gives() > 0 ? new Port(p.id(), p.name(), p.connector(), p.direction(), 500, false) : p)
                .toList();
        return new Model(
                computer.id(),
                computer.name(),
                computer.kind(),
                new Sockets(ports, List.of()),
                computer.surface(),
                computer.memory(),
                computer.implementation(),
                computer.power());
    }
}
