package embrack.core.power;

import embrack.core.gear.Connector;
import embrack.core.gear.Kind;
import embrack.core.gear.Purpose;
import embrack.core.name.Words;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Linking;
import embrack.core.rig.Rig;
import embrack.core.way.Readiness;
import embrack.core.word.Wording;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * The order in which to plug and start, so that whatever looks for ports only when it starts finds them. Loudspeakers
 * last, and off first, is common practice, no source.
 */
public final class SwitchingOn {

    private final Rig rig;
    private final PowerPlan power;
    private final Readiness readiness;

    private SwitchingOn(Rig rig) {
        this.rig = rig;
        this.power = new PowerPlan(rig);
        this.readiness = new Readiness(rig);
    }

    /**
     * One stage; all of it before the next.
     *
     * @param title what it is about
     * @param lines each something to do
     */
    public record Stage(String title, List<String> lines) {
        public Stage {
            lines = List.copyOf(lines);
        }
    }

    /** The stages that have anything to do, in order. */
    public static List<Stage> of(Rig rig) {
        return new SwitchingOn(rig).stages();
    }

    private List<Stage> stages() {
        return Stream.of(
                        new Stage("Plug everything, power off, levels down", cables()),
                        new Stage("Supplies, hubs and network first", boxes(d -> isSupply(d))),
                        new Stage(
                                "Boards and boxes",
                                boxes(d -> !isSupply(d) && kind(d) != Kind.HOST && kind(d) != Kind.MIXER)),
                        new Stage(
                                "Computers and tablets, with all that belongs to them plugged in",
                                boxes(d -> kind(d) == Kind.HOST)),
                        new Stage("Wireless and network connections", connections()),
                        new Stage("Programs, in this order", apps()),
                        new Stage(
                                "Mixers last, then loudspeakers; unmute when all is quiet",
                                boxes(d -> kind(d) == Kind.MIXER)))
                .filter(stage -> !stage.lines().isEmpty())
                .toList();
    }

    private List<String> cables() {
        long cables = rig.links().stream()
                .filter(link -> rig.kind(link).isCable() && !Linking.isSession(rig, link))
                .count();
        return cables == 0 ? List.of() : List.of("%s, by the cable list".formatted(Words.count((int) cables, "cable")));
    }

    private Kind kind(Device device) {
        return rig.model(device.id()).kind();
    }

    /** A supply, or a box with nothing to press that others hang on. */
    private boolean isSupply(Device device) {
        return kind(device) == Kind.SUPPLY
                || kind(device) == Kind.INTERFACE && !rig.model(device.id()).isApp();
    }

    private List<String> boxes(Predicate<Device> wanted) {
        return rig.devices().stream()
                .filter(d -> !rig.model(d.id()).isApp())
                .filter(wanted)
                .map(d -> d.name()
                        + power.feedings().stream()
                                .filter(f -> f.device().equals(d.id()))
                                .findFirst()
                                .map(f -> f.isFed() ? ": from " + f.how(rig) : ": nothing powers it")
                                .orElse(""))
                .toList();
    }

    private List<String> connections() {
        List<String> lines = new ArrayList<>();
        rig.links().stream()
                .filter(link -> rig.kind(link) == LinkKind.WIRELESS
                        && rig.port(link.from()).connector() == Connector.BLUETOOTH)
                .forEach(link -> lines.add("%s offers itself; connect from %s.%s"
                        .formatted(rig.name(offering(link)), rig.name(other(link, offering(link))), note(link))));
        rig.links().stream()
                .filter(link -> Linking.isSession(rig, link))
                .forEach(link -> lines.add("%s invites %s.%s"
                        .formatted(rig.name(offering(link)), rig.name(other(link, offering(link))), note(link))));
        return lines;
    }

    private DeviceId offering(Link link) {
        boolean toOffers = rig.setting(link.to().device(), Purpose.ROLE)
                .filter(role -> role == 0)
                .isPresent();
        return toOffers ? link.to().device() : link.from().device();
    }

    private static DeviceId other(Link link, DeviceId one) {
        return link.from().device().equals(one)
                ? link.to().device()
                : link.from().device();
    }

    private String note(Link link) {
        return readiness
                .lack(link)
                .map(lack -> " Not ready: " + new Wording(rig).say(lack.what()))
                .orElse("");
    }

    private List<String> apps() {
        Programs programs = Programs.of(rig);
        return Stream.concat(
                        programs.order().stream()
                                .map(id -> "%s%s%s"
                                        .formatted(
                                                rig.name(id),
                                                host(id),
                                                Programs.looksAtStart(rig, id)
                                                        ? "; it looks for ports only now: all before it has to be there"
                                                        : "")),
                        programs.missed().stream()
                                .map(missed -> "%s once more: it was there before the port of %s"
                                        .formatted(rig.name(missed.app()), rig.name(missed.late()))))
                .toList();
    }

    private String host(DeviceId app) {
        return rig.device(app)
                .spot()
                .host()
                .map(host -> " on " + rig.name(host))
                .orElse("");
    }
}
