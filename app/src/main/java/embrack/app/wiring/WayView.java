package embrack.app.wiring;

import embrack.core.gear.Kind;
import embrack.core.rig.Rig;
import embrack.core.way.Delay;
import embrack.core.way.Felt;
import embrack.core.way.Hop;
import embrack.core.way.Share;
import embrack.core.way.SignalPath;
import embrack.core.way.Timing;
import embrack.core.way.Ways;
import java.util.ArrayList;
import java.util.List;

/**
 * A way in words, with its times.
 *
 * @param title "to Vocal mixer"
 * @param hops each link with what lets it pass
 * @param best in milliseconds, as the other two
 * @param biggest what takes longest, and what would shorten it; empty when nothing takes time
 */
record WayView(
        String title,
        List<HopView> hops,
        List<ShareView> shares,
        String best,
        String usual,
        String worst,
        String judgement,
        String biggest) {

    /** A link of the way; {@code passes} empty where everything passes as it is. */
    record HopView(String link, String kind, String words, String passes) {}

    /** A part of the time. */
    record ShareView(String where, String what, String times) {}

    /** A way that one message of three bytes takes alone. */
    static WayView of(Ways ways, SignalPath way) {
        return of(ways, way, 3, 0);
    }

    static WayView of(Ways ways, SignalPath way, int own, int ahead) {
        Rig rig = ways.rig();
        List<Share> shares = new Timing(ways).shares(way, own, ahead);
        Delay total = Timing.total(shares);
        Kind sender = rig.model(way.hops().getFirst().from().device()).kind();
        Kind receiver = rig.model(way.last().arrivesAt()).kind();
        return new WayView(
                "%s to %s"
                        .formatted(
                                rig.name(way.hops().getFirst().from().device()),
                                rig.name(way.last().arrivesAt())),
                hops(rig, way),
                shares.stream()
                        .map(s -> new ShareView(s.where(), s.what(), s.delay().words()))
                        .toList(),
                Delay.millis(total.best()),
                Delay.millis(total.usual()),
                Delay.millis(total.worst()),
                Felt.between(sender, receiver).judge(total.worst()),
                Timing.biggest(shares)
                        .map(s -> "Most of it: %s, %s. %s".formatted(s.what(), s.where(), s.shorter()))
                        .orElse(""));
    }

    private static List<HopView> hops(Rig rig, SignalPath way) {
        List<HopView> views = new ArrayList<>();
        for (Hop hop : way.hops()) {
            views.add(new HopView(
                    PortKey.of(hop.link()),
                    rig.kind(hop.link()).words(),
                    "%s to %s".formatted(rig.words(hop.from()), rig.words(hop.to())),
                    hop.filter().isPlain()
                            ? ""
                            : "%s %s"
                                    .formatted(
                                            rig.name(hop.from().device()),
                                            hop.filter().words())));
        }
        return views;
    }
}
