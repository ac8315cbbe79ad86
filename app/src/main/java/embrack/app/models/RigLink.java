package embrack.app.models;

import embrack.app.store.StoredRig;
import org.jspecify.annotations.Nullable;

/** The rig that a person came from and goes back to. */
record RigLink(long id, String name) {

    /** What keeps that rig in an address: "?rig=1" behind the mark; empty without one. */
    static String query(String mark, @Nullable Long rig) {
        return rig == null ? "" : "%srig=%d".formatted(mark, rig);
    }

    static RigLink of(StoredRig rig) {
        return new RigLink(rig.id().number(), rig.plan().rig().name().text());
    }
}
