package embrack.app.store;

/** There is no rig of that number, or it was deleted. */
public final class NoSuchRig extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public NoSuchRig(RigId id) {
        super("there is no rig " + id);
    }
}
