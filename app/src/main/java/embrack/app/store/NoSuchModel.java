package embrack.app.store;

/** There is no model of that id, or it was deleted. */
public final class NoSuchModel extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public NoSuchModel(String id) {
        super("there is no model " + id);
    }
}
