package embrack.app.store;

/** A run goes on at another server. */
public final class RunElsewhere extends RuntimeException {

    private static final long serialVersionUID = 1L;

    /** For a run. */
    public RunElsewhere(long run) {
        super("run %d goes on at another server".formatted(run));
    }
}
