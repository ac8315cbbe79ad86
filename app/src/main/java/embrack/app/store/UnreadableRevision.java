package embrack.app.store;

/** A revision of a rig is stored, and what is stored cannot be read as a plan. */
public final class UnreadableRevision extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final transient RigId rig;
    private final int revision;

    UnreadableRevision(RigId rig, int revision, RuntimeException cause) {
        super("revision %d of rig %s cannot be read: %s".formatted(revision, rig, cause.getMessage()), cause);
        this.rig = rig;
        this.revision = revision;
    }

    public RigId rig() {
        return rig;
    }

    public int revision() {
        return revision;
    }
}
