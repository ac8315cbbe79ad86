package embrack.app.models;

import embrack.app.store.StoredRig;

/** The rig that a person came from and goes back to. */
record RigLink(long id, String name) {

    static RigLink of(StoredRig rig) {
        return new RigLink(rig.id().number(), rig.plan().rig().name().text());
    }
}
