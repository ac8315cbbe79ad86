package embrack.core.plan;

import embrack.core.rig.Cable;
import embrack.core.rig.Cabling;
import embrack.core.rig.Socket;

/** Changes to the cables of a rig. */
public sealed interface WiringEdit extends Edit {

    /** Plugs a cable into two sockets. */
    record Connect(Socket from, Socket to) implements WiringEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.device("from", plan, from.device());
            Typed.device("to", plan, to.device());
            Typed.accepted("from", () -> plan.rig().port(from));
            Typed.accepted("to", () -> plan.rig().port(to));
            Cabling.refusal(plan.rig(), from, to).ifPresent(why -> {
                throw new Refused("to", why);
            });
            return plan.withRig(plan.rig().withCable(new Cable(from, to)));
        }

        @Override
        public String summary(Plan before) {
            return "Cable " + before.rig().words(new Cable(from, to));
        }
    }

    /** Pulls a cable. */
    record Disconnect(Cable cable) implements WiringEdit {
        @Override
        public Plan apply(Plan plan) {
            if (!plan.rig().cables().contains(cable)) {
                throw new Refused("cable", "That cable is no longer plugged in.");
            }
            return plan.withRig(plan.rig().withoutCable(cable));
        }

        @Override
        public String summary(Plan before) {
            return "Pull the cable " + before.rig().words(cable);
        }
    }
}
