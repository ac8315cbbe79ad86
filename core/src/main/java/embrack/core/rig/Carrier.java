package embrack.core.rig;

import java.util.Optional;

/** What carries sound from one place to another and can be pulled. */
public final class Carrier {

    private Carrier() {}

    /**
     * A lead carries itself; sound between a program and a box goes over the USB or network lead of its computer.
     *
     * @return empty for sound that stays in one computer
     */
    public static Optional<Link> of(Rig rig, Link link) {
        DeviceId from = rig.box(link.from().device());
        DeviceId to = rig.box(link.to().device());
        return rig.kind(link) == LinkKind.SOUND
                ? Optional.of(link)
                : rig.linksIn(from).stream()
                        .filter(lead -> !from.equals(to) && lead.isIn(to))
                        .filter(lead -> rig.kind(lead) == LinkKind.USB || rig.kind(lead) == LinkKind.NETWORK)
                        .findFirst();
    }
}
