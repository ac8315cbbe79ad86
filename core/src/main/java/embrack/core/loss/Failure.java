package embrack.core.loss;

import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.Rig;

/** One thing that fails. */
public sealed interface Failure {

    /** A cable comes out, or a connection drops. */
    record LinkFails(Link link) implements Failure {
        @Override
        public String words(Rig rig) {
            return "%s link %s".formatted(rig.kind(link).words(), rig.words(link));
        }
    }

    /** A box, a supply or an app stops. */
    record DeviceFails(DeviceId device) implements Failure {
        @Override
        public String words(Rig rig) {
            return rig.name(device).text();
        }
    }

    /** What fails, in words. */
    String words(Rig rig);
}
