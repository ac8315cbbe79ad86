package embrack.app.wiring;

import embrack.app.frame.Spoken;
import embrack.core.loss.Failure;
import embrack.core.loss.SinglePoints;
import embrack.core.numbers.Channels;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Rig;
import embrack.core.show.Book;
import embrack.core.way.Delay;
import embrack.core.way.Readiness;
import embrack.core.way.SignalPath;
import embrack.core.way.Ways;
import embrack.core.word.Wording;
import java.util.List;
import java.util.Optional;

/**
 * A link: what it is, what it lacks, what goes over it, what dies with it.
 *
 * @param lack what it lacks to carry anything, with what to do; empty when nothing
 * @param measured how long messages were measured to wait at it, in ms; empty where nobody did
 * @param hasWire whether the load of a 5-pin wire can be asked about
 * @param caution what can hurt where it lies
 * @param meet what has its ends meet on one channel; empty where they do
 */
record LinkPanel(
        LinkRow link,
        String lack,
        List<String> ways,
        String loss,
        String measured,
        boolean hasWire,
        String caution,
        Optional<Meet> meet) {

    /** Two boxes on different channels, which can be brought together. */
    record Meet(String sender, String receiver, String words) {}

    static LinkPanel of(Plan plan, Ways ways, Link link, List<SignalPath> through) {
        Rig rig = plan.rig();
        String loss = SinglePoints.of(plan, ways).stream()
                .filter(l -> l.failure().equals(new Failure.LinkFails(link)))
                .findFirst()
                .map(l -> "Single point: without it go " + plan.words(l.switches()) + ".")
                .orElse("No switch goes with it alone.");
        return new LinkPanel(
                LinkRow.of(rig, link),
                rig.kind(link).carriesMidi()
                        ? ways.readiness()
                                .lack(link)
                                .map(lack -> words(rig, lack))
                                .orElse("")
                        : "",
                through.stream()
                        .map(way -> "%s to %s"
                                .formatted(
                                        rig.name(way.hops().getFirst().from().device()),
                                        rig.name(way.last().arrivesAt())))
                        .distinct()
                        .toList(),
                loss,
                link.measured()
                        .map(time -> new Delay(time.least(), time.usual(), time.worst()).words())
                        .orElse(""),
                rig.kind(link) == LinkKind.FIVE_PIN,
                caution(rig.kind(link)),
                meet(rig, link));
    }

    private static Optional<Meet> meet(Rig rig, Link link) {
        DeviceId sender = link.from().device();
        DeviceId receiver = link.to().device();
        boolean isDirect =
                !rig.model(receiver).parts().isEmpty() && rig.kind(link).carriesMidi();
        return Optional.of(new Meet(
                        sender.text(),
                        receiver.text(),
                        "%s and %s do not meet on one channel.".formatted(rig.name(sender), rig.name(receiver))))
                .filter(meet -> isDirect && !Channels.met(rig, sender, receiver).equals(rig));
    }

    private static String words(Rig rig, Readiness.Lack lack) {
        Wording wording = new Wording(rig, Book.EMPTY, Spoken.language());
        return wording.say(lack.what()) + " " + wording.say(lack.fix());
    }

    private static String caution(LinkKind kind) {
        return switch (kind) {
            case WIRELESS ->
                "Radio: keep to what is licensed where you play. A hall full of telephones is not the empty "
                        + "hall of the rehearsal.";
            case POWER ->
                "Mains, distribution and grounding are a licensed person's job. Never lift a safety earth to cure hum.";
            case INSIDE -> "";
            default -> "Plug with power off and levels down. Tape or ramp it where people walk.";
        };
    }
}
