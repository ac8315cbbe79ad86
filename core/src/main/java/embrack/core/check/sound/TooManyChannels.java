package embrack.core.check.sound;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.gear.Connector;
import embrack.core.rig.Buffering;
import embrack.core.rig.Carrier;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Rig;
import embrack.core.sound.SoundLoad;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Channels by samples a second by bits are more than what carries them has room for. */
final class TooManyChannels implements Rule {

    private static final int USUAL_HERTZ = 48_000;
    private static final long MEGA = 1_000_000;

    /** What carries sound as numbers. */
    private enum Medium {
        /** 100BASE-TX (IEEE 802.3u), a fifth kept for what the network adds: common practice, no source. */
        NETWORK("network", 80 * MEGA, 24),
        /** Of 480 Mbit/s four fifths may be sound (USB 2.0, 5.6.4); samples in 32 bits: common practice, no source. */
        USB("usb", 384 * MEGA, 32),
        /** Eight channels of 24 bits at 48 kHz: common practice, no source. */
        OPTICAL("optical", 8L * USUAL_HERTZ * 24, 24);

        private final String cause;
        private final long most;
        private final int bits;

        Medium(String cause, long most, int bits) {
            this.cause = cause;
            this.most = most;
            this.bits = bits;
        }

        static Optional<Medium> of(Rig rig, Link carrier) {
            Connector connector = rig.port(carrier.from()).connector();
            return rig.kind(carrier) == LinkKind.USB
                    ? Optional.of(USB)
                    : rig.kind(carrier) == LinkKind.NETWORK || connector == Connector.SOUND_NETWORK
                            ? Optional.of(NETWORK)
                            : connector == Connector.OPTICAL ? Optional.of(OPTICAL) : Optional.empty();
        }
    }

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SOUND, "too-many-channels");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        Map<Link, List<Link>> carried = new LinkedHashMap<>();
        rig.links().stream()
                .filter(link -> rig.kind(link).carriesSound())
                .forEach(link -> Carrier.of(rig, link)
                        .ifPresent(by -> carried.computeIfAbsent(by, l -> new ArrayList<>())
                                .add(link)));
        return carried.entrySet().stream()
                .flatMap(each -> Medium.of(rig, each.getKey())
                        .flatMap(medium -> finding(rig, medium, each.getKey(), each.getValue()))
                        .stream());
    }

    private Optional<Finding> finding(Rig rig, Medium medium, Link carrier, List<Link> links) {
        long bits = links.stream().mapToLong(link -> bits(rig, medium, link)).sum();
        return bits <= medium.most
                ? Optional.empty()
                : Optional.of(found(Severity.LOOK)
                        .with("link", carrier)
                        .with("at", carrier.from())
                        .with(
                                "channels",
                                links.stream()
                                        .mapToInt(link -> channels(rig, link))
                                        .sum())
                        .with("megabits", Math.round((double) bits / MEGA))
                        .with("most", Math.round((double) medium.most / MEGA))
                        .cause(medium.cause)
                        .made());
    }

    private static long bits(Rig rig, Medium medium, Link link) {
        int hertz = Stream.of(link.from(), link.to())
                .flatMap(end -> Buffering.hertz(rig, end.device()).stream())
                .findFirst()
                .orElse(USUAL_HERTZ);
        return SoundLoad.bits(channels(rig, link), hertz, medium.bits);
    }

    private static int channels(Rig rig, Link link) {
        return Math.min(
                rig.port(link.from()).signal().channels(),
                rig.port(link.to()).signal().channels());
    }
}
