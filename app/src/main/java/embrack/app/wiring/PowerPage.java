package embrack.app.wiring;

import embrack.core.name.Words;
import embrack.core.power.PowerPlan;
import embrack.core.rig.Rig;
import java.util.List;

/** What every box runs from, and what hangs on every port that gives power. */
record PowerPage(List<PortRow> ports, List<BoxRow> boxes) {

    /** A port; {@code over} in mA, 0 when it is enough; {@code percent} of what it gives. */
    record PortRow(String port, int gives, int draw, int over, int percent, String devices, String dies) {}

    /** A box that runs from something else than a port in the rig. */
    record BoxRow(String name, String from, String draw) {}

    static PowerPage of(Rig rig, PowerPlan power) {
        return new PowerPage(
                power.loads().stream()
                        .map(load -> new PortRow(
                                rig.words(load.port()),
                                load.gives(),
                                load.draw(),
                                load.over(),
                                Math.min(100, load.draw() * 100 / load.gives()),
                                Words.list(
                                        load.devices().stream().map(rig::name).toList()),
                                Words.list(power.diesWith(load.port().device()).stream()
                                        .filter(d -> !d.equals(load.port().device()))
                                        .map(rig::name)
                                        .toList())))
                        .toList(),
                power.feedings().stream()
                        .filter(f -> f.from().isEmpty())
                        .map(f -> new BoxRow(
                                rig.name(f.device()).text(),
                                f.how(rig),
                                f.milliamps() == 0 ? "" : f.milliamps() + " mA"))
                        .toList());
    }
}
