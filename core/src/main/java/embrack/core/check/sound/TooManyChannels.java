package embrack.core.check.sound;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.gear.Connector;
import embrack.core.rig.Buffering;
import embrack.core.rig.Link;
import embrack.core.rig.Rig;
import embrack.core.sound.SoundLoad;
import java.util.stream.Stream;

/**
 * Channels by samples a second by bits are more than a network of 100 Mbit/s carries; a fifth of it is kept for what
 * the network itself adds. 100BASE-TX: IEEE 802.3u; the fifth is common practice, no source.
 */
final class TooManyChannels implements Rule {

    private static final long NETWORK = 100_000_000;
    private static final int PART = 80;
    private static final int BITS = 24;
    private static final int USUAL_HERTZ = 48_000;
    private static final long MEGA = 1_000_000;

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SOUND, "too-many-channels");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        return rig.links().stream()
                .filter(link -> rig.port(link.from()).connector() == Connector.SOUND_NETWORK
                        && bits(rig, link) > NETWORK * PART / 100)
                .map(link -> found(Severity.LOOK)
                        .with("link", link)
                        .with("at", link.from())
                        .with("channels", channels(rig, link))
                        .with("megabits", Math.round((double) bits(rig, link) / MEGA))
                        .made());
    }

    private static long bits(Rig rig, Link link) {
        int hertz = Buffering.hertz(rig, link.from().device()).orElse(USUAL_HERTZ);
        return SoundLoad.bits(channels(rig, link), hertz, BITS);
    }

    private static int channels(Rig rig, Link link) {
        return Math.min(
                rig.port(link.from()).signal().channels(),
                rig.port(link.to()).signal().channels());
    }
}
